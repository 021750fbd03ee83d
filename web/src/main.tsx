import { QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { App } from "./App";
import { watchConnection } from "./record/queues";
import { cache } from "./shared/api/cache";
import { keepPage } from "./shared/offline/keepPage";
import { answerOtherTabs } from "./shared/offline/pageKey";
import { followTheme } from "./shared/theme";
import "./shared/theme.css";

followTheme();
keepPage();
answerOtherTabs();
watchConnection();

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
