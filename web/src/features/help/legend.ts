import { msg } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";
import { said } from "@/shared/words/said";

type Mark = Schemas["Mark"];

/** A mark of the drawing, as small as a word. */
function path(role: string, d: string): Mark {
  return {
    kind: "path",
    role,
    d,
    x: 0,
    y: 0,
    size: 0,
    text: "",
    value: null,
    anchor: "start",
    part: "",
    posture: "",
  };
}

function word(role: string, text: string, x: number, y: number): Mark {
  return { ...path(role, ""), kind: "text", text, x, y };
}

const PENNANT = "M3 4L36 4L43 13L36 22L3 22Z";
const flag = (state: string, text = "46.0"): Mark[] => [
  path(`flag-${state}`, PENNANT),
  word("flag-value", text, 8, 18),
];

export const LEGEND_SIZE = { width: 48, height: 26 };

/** What each mark of the drawing means, with the mark itself, from the drawing's own inks. */
export const LEGEND: readonly { words: string; marks: readonly Mark[] }[] = said([
  { words: msg`This height is right: no change needed.`, marks: flag("on") },
  {
    words: msg`This height has to change: the arrow shows which way and how far.`,
    marks: flag("off"),
  },
  {
    words: msg`The equipment stops short of the target; see the panel for where.`,
    marks: [...flag("limit"), path("stop-bar", "M6 4L6 22")],
  },
  {
    words: msg`Based on an estimated body dimension.`,
    marks: flag("estimated", "~46"),
  },
  {
    words: msg`Your own value instead of the calculated one; see the panel for the reason.`,
    marks: flag("overruled"),
  },
  {
    words: msg`The tick marks the height as found; the bracket leads from there to the target.`,
    marks: [
      path("staff", "M14 2L14 24L34 24L34 2Z"),
      path("found-tick", "M10 20L22 20"),
      path("bracket", "M14 20L20 20L20 7L14 7"),
    ],
  },
  {
    words: msg`How certain a target is: the blue wedge spans its ± on the scale.`,
    marks: [path("spread-wedge", "M4 13L36 5h5v16h-5Z")],
  },
  {
    words: msg`A joint out of range: the hatched wedge shows how far.`,
    marks: [path("wedge", "M6 22L40 22L36 6Z"), path("dial-band", "M40 22A34 34 0 0 0 36 6")],
  },
  {
    words: msg`Items that collide with each other or with the body.`,
    marks: [path("clash", "M8 5L40 5L40 21L8 21Z")],
  },
  {
    words: msg`Stacked or added for this client.`,
    marks: [path("stack", "M8 15L40 15L40 22L8 22Z"), path("stack", "M10 8L38 8L38 15L10 15Z")],
  },
  {
    words: msg`A cushion, an insert or a roll.`,
    marks: [path("cushion", "M8 9L40 9L40 20L8 20Z")],
  },
  {
    words: msg`Not recorded: drawn at an average or ideal position.`,
    marks: [path("piece-faint", "M8 6L40 6L40 20L8 20Z")],
  },
  {
    words: msg`An observed habit; tap again to remove it.`,
    marks: [path("habit-on", "M4 5L44 5L44 21L4 21Z")],
  },
]);

/** Signs beside words and numbers. */
export const SIGNS: readonly [sign: string, words: string][] = said([
  ["~", msg`Estimated, not measured`],
  ["↶", msg`Carried over from an earlier visit`],
  ["⌂", msg`Measured by the client`],
  ["*", msg`Set to target, not measured`],
  ["▮ ▮▮ ▮▮▮", msg`Slight, moderate, severe: how far out of range × hours a day`],
]);
