import { useRouter } from "@tanstack/react-router";
import { useEffect } from "react";

const SOON_MS = 2000;
const PLACES = ["/", "/clients", "/equipment", "/measuring", "/rules", "/people"] as const;

/** Fetch the other places before the network may be gone: leaving a visit never ends in nothing. */
export function usePlacesAhead(signedIn: boolean): void {
  const router = useRouter();
  useEffect(() => {
    if (!signedIn) return;
    const timer = setTimeout(() => {
      const visit = { visitId: "-", step: "ask" };
      const ahead = [
        router.preloadRoute({ to: "/visits/$visitId/$step", params: visit }),
        ...PLACES.map((to) => router.preloadRoute({ to })),
      ];
      for (const place of ahead) void place.catch(() => undefined);
    }, SOON_MS);
    return () => clearTimeout(timer);
  }, [router, signedIn]);
}
