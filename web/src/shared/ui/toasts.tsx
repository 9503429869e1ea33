import { useEffect, useState } from "react";
import type { ExternalToast } from "sonner";

type Sonner = typeof import("sonner");

const AGAIN_MS = 3000;
let sonner: Promise<Sonner> | null = null;
let here: () => void = () => undefined;
const place = new Promise<void>((resolve) => {
  here = resolve;
});

/** Load the message library ahead of the first message, retrying while the network is down. */
export function fetchToasts(): Promise<Sonner> {
  sonner ??= fetched();
  return sonner;
}

async function fetched(): Promise<Sonner> {
  for (;;) {
    try {
      return await import("sonner");
    } catch {
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }
}

/** Show a short message at the foot of the page. */
export async function toast(words: string, more?: ExternalToast): Promise<void> {
  const [{ toast: show }] = await Promise.all([fetchToasts(), place]);
  show(words, more);
}

/** Where short messages appear, once the library that shows them has loaded. */
export function Toasts() {
  const [shown, setShown] = useState<Sonner | null>(null);
  useEffect(() => {
    let gone = false;
    const timer = setTimeout(
      () => {
        void fetchToasts().then((loaded) => !gone && setShown(loaded));
      },
      sonner ? 0 : SOON_MS,
    ); // at once where something waits to be said
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, []);
  if (!shown) return null;
  const { Toaster } = shown;
  return (
    <>
      <Toaster
        position="bottom-center"
        toastOptions={{
          unstyled: true,
          classNames: {
            toast:
              "flex w-full items-center gap-4 border border-ink bg-ground px-4 py-2 text-ink shadow-none",
            content: "flex-1",
            actionButton: "min-h-11 px-3 font-semibold underline",
          },
        }}
      />
      <Here />
    </>
  );
}

/** After the page itself has loaded; few messages come sooner. */
const SOON_MS = 1000;

/** Rendered after the toaster, so that the toaster is listening when this effect runs. */
function Here() {
  useEffect(() => here(), []);
  return null;
}
