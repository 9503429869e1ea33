import { Modal } from "@/shared/ui/modal";

const KEYS: [string, string][] = [
  ["t", "Today"],
  ["c", "Clients"],
  ["w", "Workstations"],
  ["s", "Shelf"],
  ["r", "Measuring: lists, repeats, tables, in and out, the drill"],
  ["h", "House rules"],
  ["p", "People"],
  ["1 … 7", "In a visit: the step on the cord"],
  ["n", "In a visit: the next thing"],
  ["m", "In a visit: a note or a picture, wherever you are"],
  [
    "Enter, arrows",
    "In a field of Measure: the next reading, then the next dimension; up and down between them",
  ],
  [
    "r, o, k, x, b",
    "In a field of Measure: take a reading, put it right, keep it, leave it out, carry over",
  ],
  [
    "drag, ↑ ↓",
    "In Work out: a flag or piece of the drawing to try another height; arrows by 5 mm, with Shift by 1",
  ],
  ["u", "Centimetres, millimetres, inches in turn"],
  ["o", "Seated over standing, and back"],
  ["f", "Drawn as found, as aimed at, as left"],
  ["arrows", "On the body: the next region; on a photograph: the point, by one px (Shift: ten)"],
  ["0 … 9, +", "On the body: how strong the discomfort is"],
  ["z", "Take the last change back"],
  ["?", "This page"],
];

const MARKS: [string, string][] = [
  ["Thin flag", "target, on plumb or to be set; the number beside it says how far to go"],
  ["Bold flag", "found outside its band"],
  ["Shaded flag with a bar", "the equipment ends before the target; the panel says where"],
  ["Dashed flag, ~", "rests on an estimate, not on the tape"],
  [
    "Long-dashed blue flag",
    "your own number in place of the computed one; the panel has the reason",
  ],
  ["Thick tick on the staff", "as found; the bracket leads to the target"],
  ["Hatched wedge", "a joint outside its band, as wide as the excess"],
  ["Filled field on the figure", "a habit that was seen; tap again to take it back"],
  ["One, two, three strokes", "slight, marked, strong: how far off times how long a day"],
  ["Hatched region of the body", "discomfort; the denser and the higher its number, the stronger"],
  ["Blue wedge at a flag's foot", "how sure the target is: as wide as its plus-minus on the staff"],
  ["↶, ⌂ behind a value", "carried over from an earlier visit; self-measured"],
  ["~ before a value", "estimated, not measured"],
  ["Faint dashed figure", "too little measured: drawn as an average body"],
];

/** Keys and the legend of the drawing, one key away. */
export function Keys({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <Modal open={open} onOpenChange={onOpenChange} title="Keys and marks">
      <table className="w-full text-sm">
        <caption className="pb-1 text-left text-soft">Keys, where no field has the focus</caption>
        <tbody>
          {KEYS.map(([key, words]) => (
            <tr key={key} className="border-t border-hair">
              <th scope="row" className="figures w-24 py-1.5 text-left font-semibold">
                {key}
              </th>
              <td>{words}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className="mt-5 w-full text-sm">
        <caption className="pb-1 text-left text-soft">Marks of the drawing</caption>
        <tbody>
          {MARKS.map(([mark, words]) => (
            <tr key={mark} className="border-t border-hair align-top">
              <th scope="row" className="w-44 py-1.5 pr-3 text-left font-semibold">
                {mark}
              </th>
              <td className="py-1.5">{words}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Modal>
  );
}
