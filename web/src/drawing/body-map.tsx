import { type KeyboardEvent, type MouseEvent, useRef } from "react";
import type { Schemas } from "@/shared/api/client";
import { inkStyle } from "./ink";

type Region = Schemas["Region"];

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** What the body map says around it, in whatever language. */
export type MapWords = {
  front: string;
  back: string;
  left: string;
  right: string;
  all: string;
  /** A region with its strength. */
  region: (region: Region, strength: number) => string;
};

/** The body, front and back; a region is chosen by a tap near it or by the arrow keys. */
export function BodyMap({
  map,
  words,
  readOnly,
  chosen,
  strength,
  onChoose,
  onStrength,
}: {
  map: Pick<Schemas["OwnMap"], "width" | "height" | "marks" | "regions" | "inks">;
  words: MapWords;
  readOnly: boolean;
  chosen: string | null;
  strength: (id: string) => number;
  onChoose: (id: string) => void;
  onStrength: (id: string, value: number) => void;
}) {
  const { width, height, marks, regions, inks } = map;
  const svg = useRef<SVGSVGElement>(null);
  const at = (region: Region): [number, number] => [
    region.x + (region.view === "back" ? width : 0),
    region.y,
  ];
  const present = regions.find((region) => region.id === chosen);

  const tap = (event: MouseEvent) => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return;
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const best = nearest(regions, (region) => {
      const [x, y] = at(region);
      return Math.hypot((point.x - x) / (region.w + 6), (point.y - y) / (region.h + 6));
    });
    if (!best || best[1] > 1.6) return;
    onChoose(best[0].id);
    svg.current?.querySelector<SVGElement>(`[data-region="${best[0].id}"]`)?.focus();
  };
  const press = (event: KeyboardEvent, region: Region) => {
    const step = STEPS[event.key];
    const digit = /^\d$/.test(event.key) ? Number(event.key) : null;
    const now = strength(region.id);
    if (step) {
      const [x, y] = at(region);
      const best = nearest(regions, (other) => {
        const dx = at(other)[0] - x;
        const dy = at(other)[1] - y;
        const along = dx * step[0] + dy * step[1];
        const aside = Math.abs(dx * step[1]) + Math.abs(dy * step[0]);
        return other === region || along < 3 ? Number.POSITIVE_INFINITY : along + 2.5 * aside;
      });
      if (best && Number.isFinite(best[1])) {
        onChoose(best[0].id);
        svg.current?.querySelector<SVGElement>(`[data-region="${best[0].id}"]`)?.focus();
      }
    } else if (digit !== null) onStrength(region.id, digit);
    else if (event.key === "+" || event.key === "=") onStrength(region.id, Math.min(10, now + 1));
    else if (event.key === "-") onStrength(region.id, Math.max(0, now - 1));
    else if (event.key === "Backspace" || event.key === "Delete") onStrength(region.id, 0);
    else if (event.key === "Enter" || event.key === " ") onChoose(region.id);
    else return;
    event.preventDefault();
  };
  return (
    <>
      {/* biome-ignore lint/a11y/useSemanticElements: SVG has no fieldset */}
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the regions inside take the keys */}
      <svg
        ref={svg}
        viewBox={`-20 -24 ${2 * width + 40} ${height + 30}`}
        className="min-h-0 w-full flex-1 select-none"
        role="group"
        aria-label={words.all}
        onClick={readOnly ? undefined : tap}
        data-testid="body-map"
      >
        <defs>
          <pattern
            id="ache"
            width="4"
            height="4"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(-45)"
          >
            <path d="M0 0V4" stroke="var(--ink)" strokeWidth="1.5" />
          </pattern>
        </defs>
        {[words.front, words.back].map((name, index) => (
          <g key={name} transform={`translate(${index * width} 0)`}>
            {marks.map((mark) => {
              const ink = inks[mark.role];
              return ink && <path key={mark.role} d={mark.d} style={inkStyle(ink, false, false)} />;
            })}
            <text x={width / 2} y={-10} textAnchor="middle" fontSize="11" fill="var(--soft)">
              {name}
            </text>
            {[words.right, words.left].map((side, value) => (
              <text
                key={side}
                x={(index + value) % 2 ? width - 14 : 14}
                y={44}
                textAnchor="middle"
                fontSize="9.5"
                fill="var(--soft)"
              >
                {side}
              </text>
            ))}
          </g>
        ))}
        {regions.map((region, index) => {
          const value = strength(region.id);
          const [x, y] = at(region);
          const on = region === present;
          return (
            // biome-ignore lint/a11y/useSemanticElements: SVG has no button element
            <g
              key={region.id}
              role="button"
              data-region={region.id}
              tabIndex={on || (!present && index === 0) ? 0 : -1}
              aria-label={words.region(region, value)}
              aria-pressed={value > 0}
              transform={`translate(${x} ${y}) rotate(${region.turn})`}
              onKeyDown={(event) => press(event, region)}
              style={{ cursor: "pointer" }}
            >
              <ellipse
                rx={region.w}
                ry={region.h}
                fill={value ? "url(#ache)" : "var(--ground)"}
                fillOpacity={value ? 0.25 + 0.075 * value : 0.18}
                stroke={on ? "var(--blue)" : value ? "var(--ink)" : "var(--figure-line)"}
                strokeWidth={on ? 2.2 : value ? 1 + value / 8 : 0.5}
                strokeDasharray={value || on ? undefined : "2 2"}
              />
              {value > 0 && (
                <text
                  transform={`rotate(${-region.turn})`}
                  y="4.5"
                  textAnchor="middle"
                  fontSize="13"
                  fontWeight="600"
                  className="figures"
                  fill="var(--ink)"
                  stroke="var(--ground)"
                  strokeWidth="3.5"
                  paintOrder="stroke"
                >
                  {value}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </>
  );
}

function nearest(
  regions: readonly Region[],
  far: (region: Region) => number,
): [Region, number] | null {
  let best: [Region, number] | null = null;
  for (const region of regions) {
    const distance = far(region);
    if (!best || distance < best[1]) best = [region, distance];
  }
  return best;
}
