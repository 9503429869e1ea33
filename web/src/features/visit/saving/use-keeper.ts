import { hashKey, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useSyncExternalStore } from "react";
import type { Schemas } from "@/shared/api/client";
import { refresh } from "@/shared/api/queries";
import { Keeper, type Snapshot } from "./keeper";

/** Keepers whose page is open, or was left before everything was sent: never two for one visit. */
const keepers = new Map<string, Keeper>();

function stillSending(name: string): Keeper | undefined {
  const keeper = keepers.get(name);
  return keeper?.read().signedOut ? undefined : keeper;
}

/** The keeper of a visit and its state; every kept change refreshes what is worked out. */
export function useKeeper(
  visit: Schemas["VisitOut"],
  member: string,
): { keeper: Keeper; snapshot: Snapshot } {
  const queries = useQueryClient();
  const name = `${member} ${visit.id}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: one keeper a visit and member; later entries come through it
  const keeper = useMemo(
    () =>
      stillSending(name) ??
      new Keeper(
        visit.id,
        visit.entries,
        ({ entry, revision, worked }, view) => {
          queries.setQueryData<Schemas["VisitOut"]>(
            ["visit", visit.id],
            (old) =>
              old && {
                ...old,
                revision: Math.max(revision, old.revision),
                entries: { ...old.entries, [entry.path]: entry },
                reports: old.reports.map((report) => ({ ...report, current: false })),
              },
          );
          const key = ["worked", visit.id, view];
          if (worked) queries.setQueryData(key, worked);
          void queries.invalidateQueries({
            queryKey: ["worked", visit.id],
            predicate: (query) => !worked || query.queryHash !== hashKey(key),
          });
          void queries.invalidateQueries({ queryKey: ["draft", visit.id] });
          if (entry.path.startsWith("ask.consent.") && entry.value !== "yes")
            void refresh(queries, visit.id); // a consent taken back has erased things
          void queries.invalidateQueries({ queryKey: ["visits"], refetchType: "none" });
        },
        member,
      ),
    [visit.id, member],
  );
  useEffect(() => {
    keepers.set(name, keeper);
    return () => {
      if (keeper.open.length === 0) keepers.delete(name);
    };
  }, [keeper, name]);
  useEffect(() => keeper.adopt(visit.entries), [keeper, visit.entries]);
  const signed = visit.reports.at(-1)?.current ?? false;
  useEffect(() => keeper.setSigned(signed), [keeper, signed]);
  const snapshot = useSyncExternalStore(keeper.subscribe, keeper.read);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      keeper.flush();
      if (keeper.open.length > 0 || keeper.read().full) event.preventDefault();
    };
    const flush = () => keeper.flush();
    addEventListener("beforeunload", warn);
    addEventListener("pagehide", flush);
    document.addEventListener("visibilitychange", flush);
    return () => {
      removeEventListener("beforeunload", warn);
      removeEventListener("pagehide", flush);
      document.removeEventListener("visibilitychange", flush);
    };
  }, [keeper]);
  return { keeper, snapshot };
}
