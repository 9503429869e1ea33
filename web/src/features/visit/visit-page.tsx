import { Link, useNavigate, useParams } from "@tanstack/react-router";
import { CircleHelp, Moon, NotebookPen, Sun, Undo2 } from "lucide-react";
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from "react";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { useFields, useVisit, useWorked, type View } from "@/shared/api/queries";
import { useKeys } from "@/shared/keys";
import { changeSettings, useSettings, useUnitSwitch } from "@/shared/settings";
import { STEP_IDS, type StepId } from "@/shared/steps";
import { Keys } from "../../app/keys-dialog";
import { cellsAt, MAIN, type PlaceId, queueAt } from "./at-place";
import { PlaceBar } from "./place-bar";
import { placeOf } from "./places";
import { QuickNote } from "./quick-note";
import { RedFlagsBanner } from "./red-flags-banner";
import { SaveStatus } from "./save-status";
import { useChangeQueue } from "./saving/use-change-queue";
import { SignedDialog } from "./signed-dialog";
import type { Size } from "./stage";
import { StepNav } from "./step-nav";
import { AskPanel } from "./steps/ask/ask-panel";
import { LookPanel } from "./steps/look/look-panel";
import { MeasurePanel } from "./steps/measure/measure-panel";
import { PacePanel } from "./steps/pace-panel";
import { ReportPanel } from "./steps/report-panel";
import { SetPanel } from "./steps/set-panel";
import { WorkPanel } from "./steps/work-out/work-out-panel";
import { type Pick, VisitContext, type VisitState } from "./visit-context";
import { useWhatIfStore } from "./what-if/use-what-if";
import { WhatIfStage } from "./what-if/what-if-stage";

const SHOWN: Record<StepId, View["show"]> = {
  ask: "found",
  look: "found",
  measure: "found",
  work: "target",
  set: "left",
  pace: "target",
  report: "left",
};
const PANELS: Record<StepId, () => React.ReactNode> = {
  ask: AskPanel,
  look: LookPanel,
  measure: MeasurePanel,
  work: WorkPanel,
  set: SetPanel,
  pace: PacePanel,
  report: ReportPanel,
};
const NARROW = "(max-width: 1180px)";

function useNarrow(): boolean {
  return useSyncExternalStore(
    (listener) => {
      const query = matchMedia(NARROW);
      query.addEventListener("change", listener);
      return () => query.removeEventListener("change", listener);
    },
    () => matchMedia(NARROW).matches,
  );
}

export function VisitPage() {
  const { visitId, step } = useParams({ from: "/visits/$visitId/$step" });
  const visit = useVisit(visitId);
  const fields = useFields();
  const known = STEP_IDS.find((id) => id === step) ?? "ask";
  if (visit.isError)
    return (
      <main className="p-8">
        <p role="alert">{visit.error.message}</p>
        <Link to="/" className="underline">
          Back to Today
        </Link>
      </main>
    );
  if (!visit.data || !fields.data) return <p className="p-8 text-soft">One moment …</p>;
  return <OpenVisit key={visitId} visit={visit.data} fields={fields.data} step={known} />;
}

function OpenVisit({
  visit,
  fields,
  step,
}: {
  visit: Schemas["VisitOut"];
  fields: Schemas["Fields"];
  step: StepId;
}) {
  const me = useMe().data;
  const { unit, nextUnit } = useUnitSwitch(me?.unit ?? "cm");
  const { night } = useSettings();
  const narrow = useNarrow();
  const navigate = useNavigate();
  const { queue, snapshot } = useChangeQueue(visit, me?.email ?? "");
  const [place, setPlace] = useState<PlaceId>(MAIN);
  const here = useMemo(() => queueAt(queue, place), [queue, place]);
  const cells = useMemo(() => cellsAt(snapshot.cells, place), [snapshot.cells, place]);
  const [active, setActive] = useState<string | null>(null);
  const [picked, setPicked] = useState<Pick | null>(null);
  const [sought, setSought] = useState<string | null>(null);
  const [tape, setTape] = useState<string | null>(null);
  const [size, setSize] = useState<Size | null>(null);
  const [chosenMode, setMode] = useState<View["mode"] | null>(null);
  const [chosenShow, setShow] = useState<{ step: StepId; show: View["show"] } | null>(null);
  const [help, setHelp] = useState(false);
  const [jotting, setJotting] = useState(false);
  const [habits, setHabits] = useState(false);
  const [posed, setPosed] = useState(true);
  const [stageRoom, setStageRoom] = useState<HTMLElement | null>(null);
  const [taken, takeStage] = useState(false);
  const [parts, setParts] = useState<Partial<Record<StepId, string>>>({});
  const mode =
    chosenMode && !(narrow && chosenMode === "both") ? chosenMode : narrow ? "seated" : "both";
  const show = chosenShow?.step === step ? chosenShow.show : SHOWN[step];

  const grips = step === "work" && show === "target" && parts.work === "Try";

  const view: View | null = size && {
    ...size,
    unit,
    mode,
    show,
    place,
    body: step === "measure",
    plans: step === "work" && parts.work === "Plans",
    ...(tape ? { tape } : {}),
    ...(tape && posed ? { layer: "measuring" as const } : {}),
    ...(habits ? { layer: "habits" as const } : {}),
    ...(grips ? { grips } : {}),
  };
  const worked = useWorked(visit.id, view).data;
  const tryScene = useMemo(
    () => (size ? { ...size, unit, mode, show: "target" as const, grips } : null),
    [size, unit, mode, grips],
  );
  const sits = worked?.seated_possible ?? true;
  const asked = useMemo(
    () => (sits ? fields.fields : fields.fields.filter((field) => !field.of_the_seat)),
    [fields, sits],
  );
  const working = step === "work" && show === "target";
  const revision = worked?.revision ?? visit.revision;
  const isLength = useCallback(
    (path: string) => fields.fields.find((field) => field.id === path)?.kind === "length",
    [fields],
  );
  const bench = useWhatIfStore({
    visitId: place === MAIN ? visit.id : `${visit.id}#${place}`,
    revision,
    scene: tryScene,
    unit,
    working,
    isLength,
  });
  useEffect(() => {
    queue.view = view;
  });

  const go = useCallback(
    (to: StepId, part?: string) => {
      setActive(null);
      setPicked(null);
      if (part) setParts((last) => ({ ...last, [to]: part }));
      void navigate({ to: "/visits/$visitId/$step", params: { visitId: visit.id, step: to } });
    },
    [navigate, visit.id],
  );
  const pick = useCallback(
    (part: string, posture: string) =>
      setPicked((last) => ({ part, posture, count: (last?.count ?? 0) + 1 })),
    [],
  );
  const seek = useCallback(
    (path: string) => {
      const { step: to, part } = placeOf(path, [...fields.fields, ...fields.families]);
      go(to, part);
      setSought(path);
    },
    [fields, go],
  );
  useEffect(() => {
    if (!sought) return;
    // the panel has opened what it is in by now
    const wait = setTimeout(() => {
      setSought(null);
      const place = document.querySelector(`[data-field="${CSS.escape(sought)}"]`);
      place?.scrollIntoView({ block: "center" });
      place?.querySelector<HTMLElement>("input, textarea, button")?.focus();
    }, 60);
    return () => clearTimeout(wait);
  }, [sought]);
  const chooseShow = useCallback((next: View["show"]) => setShow({ step, show: next }), [step]);
  const undo = useCallback(() => queue.undo(unit), [queue, unit]);
  useKeys(
    useMemo(() => {
      const steps = Object.fromEntries(STEP_IDS.map((id, index) => [`${index + 1}`, () => go(id)]));
      const shows: View["show"][] = ["found", "target", "left"];
      return {
        ...steps,
        u: nextUnit,
        z: undo,
        m: () => setJotting(me?.role !== "reader"),
        o: () => setMode((last) => (last === "overlay" ? null : "overlay")),
        f: () => setShow({ step, show: shows[(shows.indexOf(show) + 1) % 3] ?? "found" }),
        n: () => document.querySelector<HTMLElement>("[data-next]")?.click(),
        t: () => void navigate({ to: "/" }),
        c: () => void navigate({ to: "/clients" }),
        "?": () => setHelp(true),
      };
    }, [go, nextUnit, undo, navigate, step, show, me?.role]),
  );

  const state: VisitState = {
    visit,
    catalogue: fields,
    fields: asked,
    queue: here,
    cells,
    place,
    worked,
    unit,
    readOnly: me?.role === "reader",
    step,
    active,
    setActive,
    picked,
    sought,
    seek,
    setTape,
    setHabits,
    stageRoom,
    takeStage,
    part: parts[step] ?? null,
    setPart: (part) => setParts((last) => ({ ...last, [step]: part })),
    go,
    bench,
  };
  const Panel = PANELS[step];
  const steps =
    worked?.steps ??
    STEP_IDS.map((id) => ({
      step: id,
      label: fields.steps[id] ?? id,
      done: 0,
      needed: 1,
      next: null,
    }));
  return (
    <VisitContext.Provider value={state}>
      <div className="grid h-full overflow-hidden grid-cols-[112px_minmax(320px,372px)_1fr] grid-rows-[56px_1fr]">
        <header className="col-span-3 flex items-center gap-4 border-b border-hair pr-3 pl-4">
          <Link to="/" className="min-h-11 content-center pr-3 text-sm text-soft hover:underline">
            Today
          </Link>
          <h1 className="text-xl whitespace-nowrap">{visit.client.name}</h1>
          <p className="min-w-0 flex-1 truncate text-soft">{visit.client.work}</p>
          <PlaceBar kept={queue} onGo={setPlace} />
          {state.readOnly && <p className="text-soft">You may read here, not change.</p>}
          <SaveStatus snapshot={snapshot} queue={queue} onSeek={seek} />
          <div className="flex">
            <Tool
              label="A note or a picture (m)"
              onClick={() => setJotting(true)}
              disabled={state.readOnly}
            >
              <NotebookPen size={18} />
            </Tool>
            <Tool label="Take the last change back (z)" onClick={undo} disabled={state.readOnly}>
              <Undo2 size={18} />
            </Tool>
            <Tool label={`Unit ${unit}: change (u)`} onClick={nextUnit}>
              <span className="figures font-semibold">{unit}</span>
            </Tool>
            <Tool label={night ? "Day" : "Night"} onClick={() => changeSettings({ night: !night })}>
              {night ? <Sun size={18} /> : <Moon size={18} />}
            </Tool>
            <Tool label="Keys and marks (?)" onClick={() => setHelp(true)}>
              <CircleHelp size={18} />
            </Tool>
          </div>
        </header>
        <StepNav steps={steps} present={step} onGo={go} />
        <main
          className="relative overflow-y-auto px-5 pt-4"
          aria-label={fields.steps[step] ?? step}
        >
          <RedFlagsBanner />
          <Panel key={step} />
        </main>
        <div className="relative flex min-h-0 min-w-0 flex-col border-l border-hair">
          <div
            ref={setStageRoom}
            className={taken ? "absolute inset-0 z-10 flex flex-col bg-ground" : "hidden"}
          />
          <WhatIfStage
            dragged={working}
            away={taken}
            habits={habits}
            posed={tape ? posed : null}
            onPosed={setPosed}
            inks={fields.inks}
            active={active}
            mode={mode}
            show={show}
            narrow={narrow}
            stands={sits && (step !== "work" || (worked?.standing_possible ?? true))}
            onMode={setMode}
            onShow={chooseShow}
            onPick={pick}
            onSize={setSize}
          />
        </div>
      </div>
      <SignedDialog
        asking={snapshot.asking}
        version={visit.reports.at(-1)?.number ?? 1}
        onAnswer={(change) => queue.answer(change)}
      />
      <Keys open={help} onOpenChange={setHelp} />
      <QuickNote open={jotting} onOpenChange={setJotting} />
    </VisitContext.Provider>
  );
}

function Tool({
  label,
  onClick,
  disabled = false,
  children,
}: {
  label: string;
  onClick: () => void;
  disabled?: boolean;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
      className="grid size-11 place-items-center hover:bg-deep disabled:opacity-40"
    >
      {children}
    </button>
  );
}
