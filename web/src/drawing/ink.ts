import type { CSSProperties } from "react";
import type { Schemas } from "@/shared/api/client";

const colour = (token: string): string =>
  token === "none" ? "none" : token === "hatch" ? "url(#hatch)" : `var(--${token})`;

/** An ink as a style: colours by token, so that day and night differ in one place only. */
export function inkStyle(ink: Schemas["Ink"], text: boolean, lit: boolean): CSSProperties {
  if (text)
    return {
      fill: colour(ink.fill),
      fontFamily: ink.figures ? "var(--font-figures)" : "var(--font-sans)",
      fontSize: ink.size,
      fontWeight: ink.weight,
      fontVariantNumeric: "tabular-nums",
      ...(ink.halo && { paintOrder: "stroke", stroke: "var(--ground)", strokeWidth: 3 }),
    };
  return {
    fill: colour(ink.fill),
    stroke: colour(ink.stroke),
    strokeWidth: lit ? 2.6 : ink.width,
    strokeDasharray: ink.dash || undefined,
    strokeLinecap: "round",
    strokeLinejoin: "round",
    opacity: ink.opacity,
  };
}
