/* Keeps the page itself, so that it loads without a connection. What it shows is kept elsewhere, by person. */
const SHELL = "lexicor-shell";

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

/** The page names the files it is made of; those of earlier versions go. */
self.addEventListener("message", (event) => {
  const files = event.data && event.data.keep;
  if (Array.isArray(files)) {
    event.waitUntil(keep(files));
  }
});

async function keep(files) {
  const shell = await caches.open(SHELL);
  const wanted = new Set(["/", ...files].map((file) => new URL(file, self.location.origin).href));
  const had = await shell.keys();
  await Promise.all(had.filter((request) => !wanted.has(request.url)).map((request) => shell.delete(request)));
  const known = new Set(had.map((request) => request.url));
  await Promise.all([...wanted].filter((url) => !known.has(url)).map((url) => shell.add(url).catch(() => undefined)));
}

self.addEventListener("fetch", (event) => {
  const request = event.request;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) {
    return;
  }
  if (request.mode === "navigate") {
    event.respondWith(page(request));
  } else if (url.pathname.startsWith("/assets/") || url.pathname === "/favicon.svg") {
    event.respondWith(asset(request));
  }
});

/** The newest page there is: from the server, or the one kept. Every view is the same page. */
async function page(request) {
  const shell = await caches.open(SHELL);
  try {
    const fresh = await fetch(request);
    if (fresh.ok) {
      await shell.put("/", fresh.clone());
    }
    return fresh;
  } catch (fault) {
    const kept = await shell.match("/");
    if (kept) {
      return kept;
    }
    throw fault;
  }
}

/** Files whose names change with what is in them. */
async function asset(request) {
  const shell = await caches.open(SHELL);
  const kept = await shell.match(request);
  if (kept) {
    return kept;
  }
  const fresh = await fetch(request);
  if (fresh.ok) {
    await shell.put(request, fresh.clone());
  }
  return fresh;
}
