import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Schemas, Unit } from "@/shared/api/client";
import type { View } from "@/shared/api/queries";
import { coreRunner, type Trial, type Tried } from "./core-runner";

export type Tries = Readonly<Record<string, string>>;
export type Base = { label: string; tries: Tries; found: boolean };

const PLANS_AFTER_MS = 600;

export type TrialState = {
  /** What is tried, by field; nothing is kept until somebody says so. */
  tries: Tries;
  /** Everything else as it was found. */
  found: boolean;
  /** Whether anything is tried at all. */
  on: boolean;
  tried: Tried | undefined;
  /** Where the last answer came from. */
  by: "page" | "server";
  ready: boolean;
  trouble: string | null;
  /** What it is compared with, drawn behind; null for what is kept. */
  snapshot: Base | null;
  /** A name for what is tried, where it has one. */
  label: string | null;
  put: (path: string, typed: string) => void;
  putAll: (tries: Tries) => void;
  toBest: () => void;
  toFound: () => void;
  takeSnapshot: () => void;
  dropSnapshot: () => void;
  /** Lay one bundle over another. */
  compare: (first: Base, second: Base) => void;
  /** What something else would come to, without trying it here. */
  ask: (tries: Tries) => Promise<Tried>;
};

/** The bench of "what if": tries are worked out as fast as they come, the latest one wins. */
export function useTrial(
  visitId: string,
  revision: number,
  view: View | null,
  unit: Unit,
  working: boolean,
): TrialState {
  const [tries, setTries] = useState<Tries>({});
  const [found, setFound] = useState(false);
  const [snapshot, setSnapshot] = useState<Base | null>(null);
  const [label, setLabel] = useState<string | null>(null);
  const [tried, setTried] = useState<Tried>();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [ready, setReady] = useState(false);
  const [by, setBy] = useState<"page" | "server">("server");
  const runner = coreRunner();
  const on = working && (found || snapshot !== null || Object.keys(tries).length > 0);

  useEffect(() => {
    if (!working) return;
    let gone = false;
    void runner.open(visitId, revision).then(() => {
      if (!gone) setReady(runner.ready(visitId, revision));
    });
    return () => {
      gone = true;
    };
  }, [runner, working, visitId, revision]);

  const request = useMemo<Trial | null>(() => {
    if (!view) return null;
    const { width, height, mode } = view;
    return {
      tries,
      unit,
      scene: { width, height, mode, show: "target", unit },
      against: snapshot ? snapshot.tries : null,
      behind: snapshot !== null,
      plans: false,
      found,
      brief: true,
    };
  }, [view, tries, unit, snapshot, found]);

  const busy = useRef(false);
  const latest = useRef<Trial | null>(null);
  useEffect(() => {
    latest.current = on ? request : null;
    if (!on) setTried(undefined);
    if (!on || busy.current) return;
    const run = async () => {
      busy.current = true;
      while (latest.current) {
        const mine: Trial = latest.current;
        latest.current = null;
        try {
          const answer = await runner.tryOut(visitId, revision, mine);
          setTried((last) =>
            mine.plans || !last ? answer : { ...answer, plans: last.plans, fixes: last.fixes },
          );
          setBy(runner.by);
          setTrouble(null);
        } catch (error) {
          setTrouble(error instanceof Error ? error.message : String(error));
        }
      }
      busy.current = false;
    };
    void run();
  }, [on, request, runner, visitId, revision]);
  useEffect(() => {
    if (!on || !request) return;
    const timer = setTimeout(() => {
      void runner
        .tryOut(visitId, revision, { ...request, plans: true, brief: false })
        .then((whole) => setTried((last) => last && whole))
        .catch(() => undefined);
    }, PLANS_AFTER_MS);
    return () => clearTimeout(timer);
  }, [on, request, runner, visitId, revision]);

  const put = useCallback(
    (path: string, typed: string) =>
      setTries((last) => {
        const next = { ...last, [path]: typed };
        if (!typed) delete next[path];
        setLabel(null);
        return next;
      }),
    [],
  );
  const toBest = useCallback(() => {
    setTries({});
    setFound(false);
    setSnapshot(null);
    setLabel(null);
  }, []);
  return {
    tries,
    found,
    on,
    tried: on ? tried : undefined,
    by,
    ready,
    trouble,
    snapshot,
    label,
    put,
    putAll: setTries,
    toBest,
    toFound: useCallback(() => {
      setTries({});
      setFound(true);
    }, []),
    takeSnapshot: () => setSnapshot({ label: "the snapshot", tries, found }),
    dropSnapshot: () => setSnapshot(null),
    compare: (first, second) => {
      setFound(false);
      setSnapshot(first);
      setTries(second.tries);
      setLabel(second.label);
    },
    ask: (other) =>
      runner.tryOut(visitId, revision, {
        tries: other,
        unit,
        scene: { width: 400, height: 400, mode: "seated", show: "target", unit },
        against: null,
        behind: false,
        plans: false,
        found: false,
        brief: true,
      }),
  };
}

/** The rows to show: what is tried where something is, else what is kept. */
export function rowsOf(
  trial: TrialState,
  worked: Schemas["WorkedOut"] | undefined,
): readonly Schemas["RowView"][] {
  return trial.tried?.rows ?? worked?.rows ?? [];
}
