import { t } from "@lingui/core/macro";
import { useEffect, useRef, useState } from "react";
import { DrawnPicture } from "@/shared/ui/picture";
import { useVisitFacts } from "../../../state/facts";
import { useCells } from "../../../state/recording";
import { useWorkup } from "../../../state/workup";
import { linesOf, type Points, pointsOf, type Shot } from "./points";

const FOOT_PX = 80;
const MARGIN_MM = 220;
const AROUND = /^(scale|upright|other)/;

/** Before and after side by side, a millimetre as long in the one as in the other. */
export function Compare({ before, after }: { before: Shot; after: Shot }) {
  const { catalogue } = useVisitFacts();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const room = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 760, height: 600 });
  useEffect(() => {
    const element = room.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => entry && setSize(entry.contentRect));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const shots = [before, after].map((shot) => {
    const read = drawnVisit?.photos.find((photo) => photo.id === shot.id);
    return { shot, points: pointsOf(cells, shot.id, catalogue.landmarks), mm: read?.mm_per_px };
  });
  const same = shots.every((shot) => shot.mm);
  const framed = shots.map((shot) => {
    const mm = shot.mm ?? 1600 / shot.shot.width;
    return { ...shot, mm, frame: frameOf(shot.shot, shot.points, MARGIN_MM / mm) };
  });
  const widest = Math.max(...framed.map(({ frame, mm }) => frame.width * mm));
  const tallest = Math.max(...framed.map(({ frame, mm }) => frame.height * mm));
  const perMm = Math.min((size.width - 36) / 2 / widest, (size.height - FOOT_PX) / tallest);
  return (
    <div ref={room} className="flex min-h-0 flex-1 flex-col justify-center bg-deep">
      <div className="flex items-end justify-center gap-3">
        {framed.map(({ shot, points, frame, mm }) => (
          <figure key={shot.id}>
            <figcaption className="pb-1 text-center font-semibold">
              {shot.when === "before" ? t`Before` : t`After`}
            </figcaption>
            <svg
              viewBox={`${frame.x} ${frame.y} ${frame.width} ${frame.height}`}
              width={frame.width * mm * perMm}
              height={frame.height * mm * perMm}
              role="img"
              aria-label={shot.when === "before" ? t`Before` : t`After`}
            >
              <Still shot={shot} points={points} perPx={1 / (mm * perMm)} />
            </svg>
          </figure>
        ))}
      </div>
      <p className="px-5 py-2 text-center text-sm text-soft" role="status">
        {same
          ? t`Same scale: 10 cm is ${(100 * perMm).toFixed(0)} px in both.`
          : t`Scales differ: mark a known length in both photos.`}
      </p>
    </div>
  );
}

/** The part of a picture around the body, px; the whole where nothing is placed. */
function frameOf(shot: Shot, points: Points, margin: number) {
  const body = Object.entries(points)
    .filter(([name]) => !AROUND.test(name))
    .map(([, point]) => point);
  if (body.length < 2) return { x: 0, y: 0, width: shot.width, height: shot.height };
  const clip = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const x = clip(Math.min(...body.map((point) => point.x)) - margin, shot.width);
  const y = clip(Math.min(...body.map((point) => point.y)) - margin, shot.height);
  const right = clip(Math.max(...body.map((point) => point.x)) + margin, shot.width);
  const foot = clip(Math.max(...body.map((point) => point.y)) + margin / 2, shot.height);
  return { x, y, width: right - x, height: foot - y };
}

/** A picture with its lines, and the plumb through the shoulder. */
function Still({ shot, points, perPx }: { shot: Shot; points: Points; perPx: number }) {
  const lines = linesOf(points);
  const shoulder = points.shoulder ?? points.c7;
  return (
    <>
      <DrawnPicture id={shot.id} width={shot.width} height={shot.height} />
      <path d={lines} fill="none" stroke="var(--ground)" strokeWidth={4.5 * perPx} />
      <path d={lines} fill="none" stroke="var(--ink)" strokeWidth={1.8 * perPx} />
      {shoulder && (
        <path
          d={`M${shoulder.x} 0V${shot.height}`}
          stroke="var(--blue)"
          strokeWidth={1.6 * perPx}
          strokeDasharray={`${7 * perPx} ${5 * perPx}`}
        />
      )}
    </>
  );
}
