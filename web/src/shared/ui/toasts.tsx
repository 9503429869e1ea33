import { lazy, Suspense, useEffect } from "react";
import type { ExternalToast } from "sonner";
import { useStore } from "zustand";
import { createStore } from "zustand/vanilla";

const wanted = createStore(() => false);
const Toaster = lazy(() => import("sonner").then((file) => ({ default: file.Toaster })));
let here: () => void = () => undefined;
const place = new Promise<void>((resolve) => {
  here = resolve;
});

/** Fetch what shows short messages, before the first is said. */
export function wantToasts(): void {
  wanted.setState(true, true);
}

/** Say something shortly, at the foot of the page. */
export async function toast(words: string, more?: ExternalToast): Promise<void> {
  wantToasts();
  const [sonner] = await Promise.all([import("sonner"), place]);
  sonner.toast(words, more);
}

/** Where short messages stand. */
export function Toasts() {
  if (!useStore(wanted)) return null;
  return (
    <Suspense>
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
    </Suspense>
  );
}

/** Its effect runs after that of what stands before it, and listens by then. */
function Here() {
  useEffect(() => here(), []);
  return null;
}
