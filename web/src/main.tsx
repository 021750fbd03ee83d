import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { App } from "./App";
import { Refused } from "./shared/api/client";
import { keepPage } from "./shared/offline/keepPage";
import { followTheme } from "./shared/theme";
import "./shared/theme.css";

followTheme();
keepPage();

const cache = new QueryClient({ defaultOptions: { queries: { refetchOnWindowFocus: true, retry: (failures, error) => !(error instanceof Refused) && failures < 3, networkMode: "always" } } });
const root = document.getElementById("root");

if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={cache}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
}
