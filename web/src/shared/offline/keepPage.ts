/** Has the browser keep the files of this page, so that it loads again without a connection. */
export function keepPage(): void {
  if (!("serviceWorker" in navigator)) {
    return;
  }
  window.addEventListener("load", () => {
    navigator.serviceWorker
      .register("/sw.js")
      .then(() => navigator.serviceWorker.ready)
      .then((registration) => {
        const files = performance
          .getEntriesByType("resource")
          .map((entry) => new URL(entry.name).pathname)
          .filter((path) => path.startsWith("/assets/") || path === "/favicon.svg");
        registration.active?.postMessage({ keep: [...new Set(files)] });
      })
      .catch(() => undefined); // a browser that keeps nothing still works while the server is there
  });
}
