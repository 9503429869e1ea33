import { createStore } from "zustand/vanilla";

/** Whether this page's own files are here, so that it opens without network. */
export const installed = createStore<{ ready: boolean }>(() => ({
  ready: typeof navigator !== "undefined" && !!navigator.serviceWorker?.controller,
}));

/** How long after somebody is here its files are fetched, ms: what is looked at comes first. House value. */
const SOON_MS = 4000;
let asked = false;

/** Fetch the page's files to this device, once somebody is signed in. */
export function install(): void {
  if (asked || !import.meta.env.PROD || !("serviceWorker" in navigator)) return;
  asked = true;
  const { serviceWorker } = navigator;
  const look = () => installed.setState({ ready: !!serviceWorker.controller });
  serviceWorker.addEventListener("controllerchange", look);
  setTimeout(() => void serviceWorker.register("/sw.js").catch(() => undefined), SOON_MS);
}
