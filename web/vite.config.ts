import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 700 }, // what the bench needs stays in one piece: it has to work without a connection
  server: { proxy: { "/api": "http://localhost:8080" } },
});
