import { t } from "@lingui/core/macro";
import { useNavigate } from "@tanstack/react-router";
import { clsx } from "clsx";
import { memo, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useFind } from "@/features/find/use-find";
import { Keys } from "@/features/help/keys-dialog";
import { useKeys } from "@/shared/keys";
import { useUnitSwitch } from "@/shared/settings";
import { STEP_IDS, type StepId } from "@/shared/steps";
import { arriveAt, useTitle } from "@/shared/title";
import { saidWithUndo } from "@/shared/ui/undo";
import { usePhone } from "@/shared/use-media";
import { DrawingRoom } from "./drawing-room";
import { calledRoom, roomOf } from "./layout";
import { QuickNote } from "./quick-note";
import { RedFlagsBanner } from "./red-flags-banner";
import { SignedDialog } from "./signed-dialog";
import { useDrawing, useDrawingStore } from "./state/drawing-store";
import { useVisitFacts } from "./state/facts";
import { useNavigation } from "./state/navigation";
import { useRecording } from "./state/recording";
import { useWorkup } from "./state/workup";
import { StepNav } from "./step-nav";
import { AskPanel } from "./steps/ask/ask-panel";
import { LookPanel } from "./steps/look/look-panel";
import { MeasurePanel } from "./steps/measure/measure-panel";
import { PacePanel } from "./steps/pace/pace-panel";
import { ReportPanel } from "./steps/report/report-panel";
import { SetPanel } from "./steps/set/set-panel";
import { WorkPanel } from "./steps/work-out/work-out-panel";
import { useShown } from "./use-view";
import { VisitHeader } from "./visit-header";

const PANELS: Record<StepId, () => React.ReactNode> = {
  ask: AskPanel,
  look: LookPanel,
  measure: MeasurePanel,
  work: WorkPanel,
  set: SetPanel,
  pace: PacePanel,
  report: ReportPanel,
};

/** The frame of a visit: cord, panel and drawing, each step with the room it needs. */
export const VisitFrame = memo(function VisitFrame({ trying }: { trying: boolean }) {
  const { visit, catalogue } = useVisitFacts();
  const { step, part } = useNavigation();
  const { kept } = useRecording();
  const [help, setHelp] = useState(false);
  const [noting, setNoting] = useState(false);
  const phone = usePhone();
  const own = roomOf(step, part);
  const room = useDrawing((state) => state.chosenRoom ?? own);
  const wide = room === "wide";
  const alone = room === "alone" && !phone;
  // in one column what takes the drawing's place follows its panel
  const flows = phone && room === "paper";
  const panel = useRef<HTMLElement>(null);
  useTitle(catalogue.steps[step] ?? step); // no name: titles stay readable in the history
  useArrival(panel);
  const undo = useUndo();
  const drawing = useDrawingStore();
  const elevation = () => drawing.set({ chosenRoom: calledRoom(room, own) });
  const enlarge = () => drawing.set({ chosenRoom: room === "alone" ? null : "alone" });
  useVisitKeys({
    help: () => setHelp(true),
    note: () => setNoting(true),
    ...{ undo, elevation, enlarge },
  });
  const find = useVisitFind(() => setNoting(true));
  const Panel = PANELS[step];
  return (
    <>
      {find}
      <div
        className={clsx(
          "grid h-full overflow-hidden",
          "grid-cols-[minmax(0,1fr)] grid-rows-[52px_44px_minmax(0,1fr)_auto]",
          "desk:grid-rows-[56px_minmax(0,1fr)]",
          wide || alone
            ? "desk:grid-cols-[108px_minmax(0,1fr)]"
            : own === "paper" && step === "ask"
              ? "desk:grid-cols-[108px_clamp(500px,50vw,660px)_minmax(0,1fr)]"
              : "desk:grid-cols-[108px_clamp(340px,29vw,440px)_minmax(0,1fr)]",
        )}
      >
        <VisitHeader
          kept={kept}
          onNote={() => setNoting(true)}
          onUndo={undo}
          onHelp={() => setHelp(true)}
          onElevation={elevation}
        />
        <Steps />
        <div
          className={clsx(
            flows ? "flex min-h-0 flex-col overflow-y-auto overscroll-contain" : "contents",
          )}
        >
          <main
            id="main"
            ref={panel}
            tabIndex={-1}
            className={clsx(
              "relative flex min-h-0 flex-col px-4 pt-4 outline-none scroll-pb-24 desk:px-5",
              !flows && "overflow-y-auto overscroll-contain",
              flows && "shrink-0",
              alone && "desk:hidden",
            )}
            aria-label={catalogue.steps[step] ?? step}
          >
            <div className={clsx("flex min-h-full w-full flex-col", wide && "desk:max-w-[1080px]")}>
              <RedFlagsBanner />
              <Panel key={step} />
            </div>
          </main>
          <DrawingRoom room={room} trying={trying} />
        </div>
      </div>
      <SignedDialog queue={kept} version={visit.reports.at(-1)?.number ?? 1} />
      <Keys open={help} onOpenChange={setHelp} inVisit />
      <QuickNote open={noting} onOpenChange={setNoting} />
    </>
  );
});

function Steps() {
  const { catalogue } = useVisitFacts();
  const { step, go } = useNavigation();
  const drawnVisit = useWorkup();
  const steps =
    drawnVisit?.steps ?? STEP_IDS.map((id) => ({ step: id, label: catalogue.steps[id] ?? id }));
  return <StepNav steps={steps} present={step} onGo={go} />;
}

/** What is new begins at its top, with the focus on its heading, or on the field that was sought. */
function useArrival(panel: React.RefObject<HTMLElement | null>): void {
  const { step, part, sought, found } = useNavigation();
  const drawing = useDrawingStore();
  const ready = useWorkup() !== undefined;
  const arrive = useCallback(() => {
    const at = (selector: string) => panel.current?.querySelector<HTMLElement>(selector);
    const heading = at("[role=tabpanel] [data-arrival]") ?? at("[data-arrival]");
    arriveAt(panel.current, heading ?? at("[role=tabpanel]") ?? panel.current);
  }, [panel]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: at each step and part anew
  useEffect(() => {
    if (!sought) arrive();
  }, [step, part]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once what it shows is there
  useEffect(() => {
    // whoever has moved on in the meantime is left where they are
    const unmoved = [document.body, panel.current].includes(document.activeElement as HTMLElement);
    if (ready && unmoved && !sought) arrive();
  }, [ready]);
  useEffect(() => {
    if (!sought) return;
    // the panel has opened what it is in by now
    const wait = setTimeout(() => {
      found();
      const place = document.querySelector(`[data-field="${CSS.escape(sought)}"]`);
      place?.scrollIntoView({ block: "center" });
      const [field, ...others] =
        place?.querySelectorAll<HTMLElement>("input, textarea, button, [role=radio]") ?? [];
      const chosen = others.find((other) => other.getAttribute("aria-checked") === "true");
      (chosen ?? field)?.focus();
    }, 80);
    return () => clearTimeout(wait);
  }, [sought, found]);
  useEffect(() => () => drawing.setActive(null), [drawing]);
}

/** Take the last change back, and say which it was. */
function useUndo(): () => void {
  const { unit, catalogue } = useVisitFacts();
  const { kept } = useRecording();
  return useCallback(() => {
    const taken = kept.undo(unit);
    if (taken === null) return;
    const label = catalogue.fields.find((field) => field.id === taken)?.label;
    saidWithUndo(t`Undone: ${label ?? t`the last change`}`, async () => kept.redo(unit), t`Redo`);
  }, [kept, unit, catalogue]);
}

/** Single keys, where no field has the focus. */
/** The field that finds anything, with the steps of the visit. */
function useVisitFind(note: () => void) {
  const { catalogue, unit } = useVisitFacts();
  const { go } = useNavigation();
  const { nextUnit } = useUnitSwitch(unit);
  const navigate = useNavigate();
  return useFind([
    ...STEP_IDS.map((id) => ({ label: catalogue.steps[id] ?? id, run: () => go(id) })),
    { label: t`Add a note or photo`, run: note },
    { label: t`Switch units`, more: "cm mm in", run: nextUnit },
    { label: t`Today`, run: () => void navigate({ to: "/" }) },
  ]);
}

function useVisitKeys(acts: {
  help: () => void;
  note: () => void;
  undo: () => void;
  elevation: () => void;
  enlarge: () => void;
}): void {
  const { readOnly, unit } = useVisitFacts();
  const { step, go } = useNavigation();
  const { nextUnit } = useUnitSwitch(unit);
  const drawing = useDrawingStore();
  const { show } = useShown(step);
  const navigate = useNavigate();
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useKeys(
    useMemo(() => {
      const steps = Object.fromEntries(STEP_IDS.map((id, index) => [`${index + 1}`, () => go(id)]));
      const shows = ["found", "target", "left"] as const;
      const next = shows[(shows.indexOf(show) + 1) % shows.length] ?? "found";
      return {
        ...steps,
        u: nextUnit,
        z: () => latest.current.undo(),
        m: () => !readOnly && latest.current.note(),
        e: () => latest.current.elevation(),
        w: () => latest.current.enlarge(),
        o: () => {
          const { mode } = drawing.store.getState();
          drawing.set({ mode: mode === "overlay" ? null : "overlay" });
        },
        f: () => drawing.set({ chosenShow: { step, show: next }, between: null }),
        n: () => document.querySelector<HTMLElement>("[data-next]")?.click(),
        t: () => void navigate({ to: "/" }),
        c: () => void navigate({ to: "/clients" }),
        "?": () => latest.current.help(),
      };
    }, [go, nextUnit, navigate, step, show, readOnly, drawing]),
  );
}
