// Lets a client's own page open without network. It keeps the page's files only, never what the server answers.
const FILES = "own-page";
const MOST = 80; // older builds' files go first
const PAGE = "/own";

addEventListener("install", () => skipWaiting());
addEventListener("activate", (event) => event.waitUntil(clients.claim()));

async function keep(request, answer) {
  const files = await caches.open(FILES);
  await files.put(request, answer);
  const names = await files.keys();
  const old = names.filter((one) => !one.url.endsWith(PAGE)).slice(0, Math.max(0, names.length - MOST));
  await Promise.all(old.map((one) => files.delete(one)));
}

// the page itself: the newest there is
async function newest(request) {
  try {
    const answer = await fetch(request);
    if (answer.ok) await keep(PAGE, answer.clone());
    return answer;
  } catch (error) {
    const kept = await caches.match(PAGE, { cacheName: FILES });
    if (kept) return kept;
    throw error;
  }
}

// its files are named by what they hold: what is here is right
async function here(request) {
  const kept = await caches.match(request, { cacheName: FILES });
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) await keep(request, answer.clone());
  return answer;
}

addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== "GET" || origin !== location.origin) return;
  if (request.mode === "navigate") event.respondWith(newest(request));
  else if (pathname.startsWith("/assets/")) event.respondWith(here(request));
});

// what had come before this worker was there
addEventListener("message", (event) => {
  const files = event.data.files.filter((one) => new URL(one).pathname.startsWith("/assets/"));
  const all = Promise.all(files.map((one) => here(new Request(one))));
  event.waitUntil(Promise.all([all, newest(new Request(PAGE))]).catch(() => undefined));
});
