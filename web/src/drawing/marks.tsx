import type { Schemas } from "@/shared/api/client";
import { Inked } from "./elevation";

/** A small drawing of marks that can't be pressed. */
export function Marks({
  marks,
  inks,
  width,
  height,
}: {
  marks: readonly Schemas["Mark"][];
  inks: Record<string, Schemas["Ink"]>;
  width: number;
  height: number;
}) {
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      aria-hidden="true"
      className="block max-w-full"
    >
      {marks.map((mark, index) => (
        <Inked
          // biome-ignore lint/suspicious/noArrayIndexKey: marks have no identity of their own
          key={index}
          mark={mark}
          ink={inks[mark.role]}
          lit={false}
          onPick={null}
        />
      ))}
    </svg>
  );
}
