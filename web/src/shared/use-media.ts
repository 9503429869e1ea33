import { useSyncExternalStore } from "react";

/** Whether a media query holds, as it changes. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (listener) => {
      const media = matchMedia(query);
      media.addEventListener("change", listener);
      return () => media.removeEventListener("change", listener);
    },
    () => matchMedia(query).matches,
  );
}

/** Narrower than this there is one column, and the drawing is a sheet: a phone, or a page zoomed in. */
export const PHONE = "(max-width: 899.98px)";
/** Narrower than this one posture is drawn at a time. */
export const NARROW = "(max-width: 1180px)";
/** A finger, before which no keyboard opens by itself. */
export const COARSE = "(pointer: coarse)";

export const usePhone = () => useMedia(PHONE);
