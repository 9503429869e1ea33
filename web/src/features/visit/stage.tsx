import { t } from "@lingui/core/macro";
import { Maximize2, Minimize2 } from "lucide-react";
import { memo, useEffect, useRef } from "react";
import type { Schemas } from "@/shared/api/client";
import type { View } from "@/shared/api/queries";
import { quantity } from "@/shared/quantity";
import { Segments } from "@/shared/ui/segments";
import { Tip } from "@/shared/ui/tip";
import { usePhone } from "@/shared/use-media";
import { sayPosture } from "@/shared/words/postures";
import { Elevation, type Hand } from "../../drawing/elevation";
import { BeforeAfter } from "./before-after";
import { useDrawing, useDrawingStore } from "./state/drawing-store";
import { useVisitFacts } from "./state/facts";
import { useNavigation } from "./state/navigation";
import { useWorkup } from "./state/workup";
import { useShown } from "./use-view";

/** A size in steps, so that a few pixels more or less ask for nothing new. */
const stepped = (value: number): number => Math.max(240, Math.floor(value / 10) * 10);

type Rows = readonly Schemas["RowView"][];

/** The drawing and its switches; it keeps its place and scale from step to step. */
export function Stage({
  scene,
  rows,
  away,
  hand,
  head,
}: {
  scene: Schemas["Scene"] | undefined;
  rows: Rows;
  /** Something else lies over it. */
  away: boolean;
  /** What can be moved in it, where anything can. */
  hand: Hand | null;
  /** Something over the drawing: what is being tried. */
  head: React.ReactNode;
}) {
  const room = useMeasuredRoom();
  const { catalogue } = useVisitFacts();
  const drawing = useDrawingStore();
  const active = useDrawing((state) => state.active);
  const label = useDrawing(({ tape, posed, habits }) =>
    tape && posed
      ? t`The client in position for this dimension, with the tape; the panel describes it in words`
      : habits
        ? t`Side view of the client with the habits to look for; tap each one you see`
        : t`Side view of the client at the workstation; the table below has the same numbers`,
  );
  return (
    <section
      aria-label={t`Elevation`}
      className="flex min-h-0 flex-1 flex-col bg-ground"
      inert={away}
      aria-hidden={away}
    >
      <Switches head={head} />
      <div ref={room} className="min-h-[400px] flex-1 overflow-hidden desk:min-h-0">
        {scene && (
          <Elevation
            scene={scene}
            inks={catalogue.inks}
            active={active}
            onPick={drawing.pick}
            hand={hand}
            label={label}
          />
        )}
      </div>
      <DataTable rows={rows} />
    </section>
  );
}

/** Tells the drawing how much room it has. */
function useMeasuredRoom(): React.RefObject<HTMLDivElement | null> {
  const room = useRef<HTMLDivElement>(null);
  const { store, set } = useDrawingStore();
  useEffect(() => {
    const element = room.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => {
      if (!entry) return;
      const width = stepped(entry.contentRect.width);
      const height = stepped(entry.contentRect.height);
      const size = store.getState().size;
      if (size?.width !== width || size.height !== height) set({ size: { width, height } });
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, [store, set]);
  return room;
}

/** Which settings and which figures are drawn. */
function Switches({ head }: { head: React.ReactNode }) {
  const { step } = useNavigation();
  const { set } = useDrawingStore();
  const { mode, show, narrow } = useShown(step);
  const drawnVisit = useWorkup();
  const habits = useDrawing((state) => state.habits);
  const posed = useDrawing((state) => (state.tape ? state.posed : null));
  const between = useDrawing((state) => state.between);
  const sits = drawnVisit?.seated_possible ?? true;
  const stands = sits && (step !== "work" || (drawnVisit?.standing_possible ?? true));
  const modes = [
    ...(narrow || habits ? [] : [{ value: "both", label: t`Both` }]),
    { value: "seated", label: t`Seated` },
    { value: "standing", label: t`Standing` },
    ...(habits ? [] : [{ value: "overlay", label: t`Overlay` }]),
  ];
  return (
    <div className="flex shrink-0 items-center gap-x-3 gap-y-1 overflow-x-auto px-3 pt-1 desk:flex-wrap desk:justify-between desk:overflow-visible">
      {posed !== null && (
        <Segments
          label={t`View`}
          compact
          value={posed ? "pose" : "desk"}
          onChange={(value) => set({ posed: value === "pose" })}
          choices={[
            { value: "pose", label: t`Dimension` },
            { value: "desk", label: t`At the desk` },
          ]}
        />
      )}
      {!posed && (
        <Segments
          label={t`Settings shown`}
          compact
          value={between === null ? show : ""}
          onChange={(value) =>
            set({ chosenShow: { step, show: value as View["show"] }, between: null })
          }
          choices={[
            { value: "found", label: t`As found` },
            { value: "target", label: t`Setting` },
            { value: "left", label: t`As left` },
          ]}
        />
      )}
      {head}
      {!posed && !habits && !head && <BeforeAfter />}
      {!posed && stands && (
        <Segments
          label={t`Postures shown`}
          compact
          value={habits && mode !== "standing" ? "seated" : mode}
          onChange={(value) => set({ mode: value as View["mode"] })}
          choices={modes}
        />
      )}
      <Enlarge />
    </div>
  );
}

/** Drawing only, to point at together with the client. */
function Enlarge() {
  const { set } = useDrawingStore();
  const alone = useDrawing((state) => state.chosenRoom === "alone");
  const words = alone ? t`Show the panel` : t`Drawing only`;
  if (usePhone()) return null;
  return (
    <Tip words={words} hotkey="w">
      <button
        type="button"
        aria-label={`${words} (w)`}
        onClick={() => set({ chosenRoom: alone ? null : "alone" })}
        className="grid size-11 place-items-center hover:bg-deep"
      >
        {alone ? <Minimize2 size={18} /> : <Maximize2 size={18} />}
      </button>
    </Tip>
  );
}

/** The same heights and distances as a table, for those who don't see the drawing. */
const DataTable = memo(function DataTable({ rows }: { rows: Rows }) {
  return (
    <div className="sr-only">
      <table>
        <caption>{t`Heights and distances in the drawing`}</caption>
        <thead>
          <tr>
            <th>{t`Posture`}</th>
            <th>{t`What`}</th>
            <th>{t`As found`}</th>
            <th>{t`Target`}</th>
            <th>{t`Change`}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <DataRow key={`${row.posture}.${row.key}`} row={row} />
          ))}
        </tbody>
      </table>
    </div>
  );
});

const DataRow = memo(function DataRow({ row }: { row: Schemas["RowView"] }) {
  return (
    <tr>
      <td>{sayPosture(row.posture)}</td>
      <th scope="row">{row.label}</th>
      <td>{row.found ? quantity(row.found, row.unit) : t`not recorded`}</td>
      <td>{row.setting ? quantity(row.setting, row.unit) : (row.reason ?? "none")}</td>
      <td>{row.change ?? ""}</td>
    </tr>
  );
});
