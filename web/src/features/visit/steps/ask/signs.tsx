import { Check } from "lucide-react";
import { Checkbox } from "radix-ui";
import { Button } from "@/shared/ui/button";
import { FieldRow, Trouble } from "../../field-row";
import { type Field, useVisitState } from "../../visit-context";

/** Warning signs, by what they ask for; a ticked one waits for what was done about it. */
export function Signs() {
  const { fields, cells, catalogue, keeper, unit, readOnly } = useVisitState();
  const signs = fields.filter((field) => /^ask\.sign\.[a-z]+$/.test(field.id));
  const ticked = signs.some((sign) => cells.get(sign.id)?.typed === "yes");
  const other = fields.find((field) => field.id === "ask.warning");
  const done = fields.find((field) => field.id === "ask.warning_done");
  const said = cells.get("ask.warning")?.typed ?? "";
  const urgencies = Object.entries(catalogue.urgencies);
  return (
    <div>
      <p className="mb-2 text-sm">
        Ask about each. What is there is recorded in any case, with or without consent to notes.
      </p>
      {urgencies.map(([urgency, words]) => (
        <fieldset key={urgency} className="mb-3">
          <legend className="mb-1 border-b-2 border-ink pr-4 font-semibold">{words}</legend>
          {signs
            .filter((field) =>
              catalogue.signs.some(
                (sign) => field.id === `ask.sign.${sign.id}` && sign.urgency === urgency,
              ),
            )
            .map((sign) => (
              <Sign key={sign.id} sign={sign} />
            ))}
        </fieldset>
      ))}
      {!ticked && said !== "none" && !readOnly && (
        <Button className="mb-3 w-full" onClick={() => keeper.type("ask.warning", "none", unit)}>
          All asked about: none of them is there
        </Button>
      )}
      {other && <FieldRow field={other} />}
      {(said === "clinician" || said === "urgent") && done && (
        <div className="mt-2 border-l-4 border-ink pl-3">
          <FieldRow field={done} />
        </div>
      )}
    </div>
  );
}

function Sign({ sign }: { sign: Field }) {
  const { fields, cells, keeper, unit, readOnly } = useVisitState();
  const on = cells.get(sign.id)?.typed === "yes";
  const done = fields.find((field) => field.id === `${sign.id}.done`);
  return (
    <div data-field={sign.id} className={on ? "my-1 border-l-4 border-ink bg-deep" : ""}>
      <label
        htmlFor={sign.id}
        className="flex min-h-11 w-full cursor-pointer items-center gap-2.5 px-1 py-1"
      >
        <Checkbox.Root
          id={sign.id}
          checked={on}
          disabled={readOnly}
          onCheckedChange={(now) => keeper.type(sign.id, now ? "yes" : "", unit)}
          className="grid size-6 shrink-0 place-items-center border-2 border-ink bg-ground"
        >
          <Checkbox.Indicator>
            <Check size={18} strokeWidth={3} aria-hidden="true" />
          </Checkbox.Indicator>
        </Checkbox.Root>
        <span className={on ? "font-semibold" : ""}>{sign.label}</span>
      </label>
      <Trouble path={sign.id} id={`${sign.id}-trouble`} />
      {on && done && (
        <div className="px-3 pb-2">
          <FieldRow field={done} />
        </div>
      )}
    </div>
  );
}
