import { memo, useEffect, useRef, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import type { View } from "@/shared/api/queries";
import { Segments } from "@/shared/ui/segments";
import { Elevation } from "../../drawing/elevation";

/** A size in steps, so that a few pixels more or less ask for nothing new. */
const stepped = (value: number): number => Math.max(320, Math.floor(value / 10) * 10);

export type Size = { width: number; height: number };

/** The drawing and its switches; it keeps its place and scale from step to step. */
export function Stage({
  scene,
  inks,
  rows,
  active,
  mode,
  show,
  narrow,
  stands,
  away,
  habits,
  posed,
  onPosed,
  onMode,
  onShow,
  onPick,
  onSize,
  onGrab,
  onDrag,
  onNudge,
  head = null,
}: {
  scene: Schemas["Scene"] | undefined;
  inks: Record<string, Schemas["Ink"]>;
  rows: readonly Schemas["RowView"][];
  active: string | null;
  mode: View["mode"];
  show: View["show"];
  narrow: boolean;
  /** Whether anybody works standing here; else there is one posture to draw. */
  stands: boolean;
  /** Something else lies over it. */
  away: boolean;
  /** It shows habits: one posture at a time, as found. */
  habits: boolean;
  /** Whether it shows the figure in the pose of a dimension; null where none is measured. */
  posed: boolean | null;
  onPosed: (posed: boolean) => void;
  onMode: (mode: View["mode"]) => void;
  onShow: (show: View["show"]) => void;
  onPick: (part: string, posture: string) => void;
  onSize: (size: Size) => void;
  /** Take hold of a part of the drawing; whether it can be moved. */
  onGrab?: (part: string, posture: string) => boolean;
  /** It has been moved so far from where it was taken hold of, px. */
  onDrag?: (dx: number, dy: number) => void;
  /** A key moves it: so many millimetres or degrees more. */
  onNudge?: (up: number) => void;
  /** Something over the drawing: what is being tried. */
  head?: React.ReactNode;
}) {
  const room = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<Size | null>(null);
  useEffect(() => {
    const element = room.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => {
      if (!entry) return;
      const { width, height } = entry.contentRect;
      setSize({ width: stepped(width), height: stepped(height) });
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    if (size) onSize(size);
  }, [size, onSize]);
  const modes = [
    ...(narrow || habits ? [] : [{ value: "both", label: "Both" }]),
    { value: "seated", label: "Seated" },
    { value: "standing", label: "Standing" },
    ...(habits ? [] : [{ value: "overlay", label: "Overlay" }]),
  ];
  return (
    <section
      aria-label="Elevation"
      className="flex min-h-0 flex-1 flex-col bg-ground"
      inert={away}
      aria-hidden={away}
    >
      <div className="flex flex-wrap items-center justify-between gap-x-3 px-4 pt-1">
        {posed !== null && (
          <Segments
            label="Drawn"
            compact
            value={posed ? "pose" : "desk"}
            onChange={(value) => onPosed(value === "pose")}
            choices={[
              { value: "pose", label: "The dimension" },
              { value: "desk", label: "At the desk" },
            ]}
          />
        )}
        {!posed && (
          <Segments
            label="Settings drawn"
            compact
            value={show}
            onChange={(value) => onShow(value as View["show"])}
            choices={[
              { value: "found", label: "As found" },
              { value: "target", label: "Target" },
              { value: "left", label: "As set" },
            ]}
          />
        )}
        {head}
        {!posed && stands && (
          <Segments
            label="Postures drawn"
            compact
            value={habits && mode !== "standing" ? "seated" : mode}
            onChange={(value) => onMode(value as View["mode"])}
            choices={modes}
          />
        )}
      </div>
      <div ref={room} className="min-h-0 flex-1 overflow-hidden">
        {scene && (
          <Elevation
            scene={scene}
            inks={inks}
            active={active}
            onPick={onPick}
            {...(onGrab && onDrag && onNudge ? { onGrab, onDrag, onNudge } : {})}
            label={
              posed
                ? "The client in the pose of the dimension, with the tape on it; the panel says the same in words"
                : habits
                  ? "Side view of the client with what can be seen of the body; each is one tap"
                  : "Side view of the client at the workstation; the table after it holds the same numbers"
            }
          />
        )}
      </div>
      <DataTable rows={rows} />
    </section>
  );
}

/** The same heights and distances as a table, for those who don't see the drawing. */
const DataTable = memo(function DataTable({ rows }: { rows: readonly Schemas["RowView"][] }) {
  return (
    <div className="sr-only">
      <table>
        <caption>Heights and distances of the drawing</caption>
        <thead>
          <tr>
            <th>Posture</th>
            <th>What</th>
            <th>As found</th>
            <th>Target</th>
            <th>Change</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <TwinRow key={`${row.posture}.${row.key}`} row={row} />
          ))}
        </tbody>
      </table>
    </div>
  );
});

const TwinRow = memo(function TwinRow({ row }: { row: Schemas["RowView"] }) {
  return (
    <tr>
      <td>{row.posture}</td>
      <th scope="row">{row.label}</th>
      <td>{row.found ? `${row.found} ${row.unit}` : "not recorded"}</td>
      <td>{row.setting ? `${row.setting} ${row.unit}` : (row.reason ?? "none")}</td>
      <td>{row.change ?? ""}</td>
    </tr>
  );
});
