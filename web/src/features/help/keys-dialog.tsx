import { msg, t } from "@lingui/core/macro";
import { Tabs } from "radix-ui";
import { useFields } from "@/shared/api/queries";
import { changeSettings, useSettings } from "@/shared/settings";
import { CheckBox } from "@/shared/ui/check-box";
import { Modal } from "@/shared/ui/modal";
import { said } from "@/shared/words/said";
import { Marks } from "../../drawing/marks";
import { LEGEND, LEGEND_SIZE, SIGNS } from "./legend";

const KEYS: [string, string][] = said([
  ["Ctrl K, /", msg`Find a client, visit, piece of equipment, setting or action`],
  ["t", msg`Today`],
  ["c", msg`Clients`],
  ["e", msg`Equipment`],
  ["r", msg`Measuring: lists, repeatability, reference data, import and export, training`],
  ["h", msg`Practice defaults`],
  ["p", msg`Practice: team and settings`],
  ["1 … 7", msg`In a visit: go to step 1 to 7`],
  ["n", msg`In a visit: press Next`],
  ["m", msg`In a visit: add a note or photo from any step`],
  [
    msg`Enter, arrows`,
    msg`In Measure: next reading, then next dimension; up and down to move between them`,
  ],
  [
    "r, o, k, x, b",
    msg`In Measure: r take reading, o accept correction, k keep value, x leave out, b carry over`,
  ],
  [
    msg`drag, ↑ ↓`,
    msg`In Work out: move a flag or item in the drawing to try another height; arrow keys by 5 mm, with Shift by 1 mm`,
  ],
  ["u", msg`Switch units: cm, mm, in`],
  ["o", msg`Overlay seated and standing on or off`],
  ["f", msg`Show as found, setting or as left`],
  ["e, w", msg`In a visit: hide or show the drawing; drawing only`],
  ["arrows", msg`Body map: next region. Photo: move the point by 1 px (Shift: 10 px)`],
  ["0 … 9, +", msg`Body map: discomfort intensity`],
  ["z", msg`Undo the last change`],
  ["?", msg`Show this help`],
]);

/** Keys and the legend of the drawing, one key away. */
export function Keys({
  open,
  onOpenChange,
  inVisit = false,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** Asked from a visit: the marks of the drawing come first. */
  inVisit?: boolean;
}) {
  const { singleKeys } = useSettings();
  return (
    <Modal open={open} onOpenChange={onOpenChange} title={t`Shortcuts and symbols`}>
      <Tabs.Root defaultValue={inVisit ? "marks" : "keys"}>
        <Tabs.List aria-label={t`Help`} className="mb-3 flex gap-5 border-b border-hair">
          {[
            ["marks", t`Symbols in the drawing`],
            ["keys", t`Shortcuts`],
          ].map(([id, words]) => (
            <Tabs.Trigger
              key={id}
              value={id ?? ""}
              className="min-h-11 border-b-2 border-transparent text-soft data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
            >
              {words}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="keys" tabIndex={-1}>
          <CheckBox
            className="mb-2"
            checked={singleKeys}
            onChange={(singleKeys) => changeSettings({ singleKeys })}
          >
            {t`Single-key shortcuts work when no field is active`}
          </CheckBox>
          <Table rows={KEYS} />
        </Tabs.Content>
        <Tabs.Content value="marks" tabIndex={-1}>
          <Legend />
        </Tabs.Content>
      </Tabs.Root>
      <p className="mt-4 text-sm">
        <a href="/licences.txt" target="_blank" rel="noreferrer" className="underline">
          {t`Licences of fonts and packages`}
        </a>
      </p>
    </Modal>
  );
}

function Legend() {
  const inks = useFields().data?.inks;
  return (
    <>
      <ul className="text-sm">
        {LEGEND.map(({ words, marks }) => (
          <li key={words} className="flex items-center gap-4 border-b border-hair py-1.5">
            <span className="w-12 shrink-0">
              {inks && <Marks marks={marks} inks={inks} {...LEGEND_SIZE} />}
            </span>
            {words}
          </li>
        ))}
      </ul>
      <Table rows={SIGNS} />
    </>
  );
}

function Table({ rows }: { rows: readonly (readonly [string, string])[] }) {
  return (
    <table className="w-full text-sm">
      <tbody>
        {rows.map(([name, words]) => (
          <tr key={name} className="border-b border-hair align-top">
            <th scope="row" className="figures w-24 py-1.5 pe-3 text-start font-semibold">
              {name}
            </th>
            <td className="py-1.5">{words}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
