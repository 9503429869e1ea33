import { useSyncExternalStore } from "react";

type Watched = { subscribe: (listener: () => void) => () => void; read: () => boolean };

const watched = new Map<string, Watched>();

function watch(query: string): Watched {
  const media = matchMedia(query);
  const made: Watched = {
    subscribe: (listener) => {
      media.addEventListener("change", listener);
      return () => media.removeEventListener("change", listener);
    },
    read: () => media.matches,
  };
  watched.set(query, made);
  return made;
}

/** Whether a media query holds, as it changes. */
export function useMedia(query: string): boolean {
  const { subscribe, read } = watched.get(query) ?? watch(query);
  return useSyncExternalStore(subscribe, read);
}

/** Narrower than this there is one column, and the drawing is a sheet: a phone, or a page zoomed in. */
export const PHONE = "(max-width: 899.98px)";
/** Narrower than this one posture is drawn at a time. */
export const NARROW = "(max-width: 1180px)";
/** A finger, before which no keyboard opens by itself. */
export const COARSE = "(pointer: coarse)";

export const usePhone = () => useMedia(PHONE);
