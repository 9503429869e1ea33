import { t } from "@lingui/core/macro";
import { Button } from "@/shared/ui/button";
import { type Part, PartTabs } from "@/shared/ui/part-tabs";
import { FieldsForm } from "../../fields-form";
import { PanelFoot, StepHead } from "../../panel-parts";
import { askPart, slug } from "../../parts";
import { applies, useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells } from "../../state/recording";
import { Conditions } from "./conditions";
import { Consents } from "./consents";
import { Discomfort } from "./discomfort";
import { FromClient } from "./from-client";
import { Hours } from "./hours";
import { LastTime } from "./last-time";
import { RedFlags } from "./red-flags";

type Own = (props: { onDone: () => void }) => React.ReactNode;

/** Parts with a form of their own, by a field of theirs. */
const OWN: [path: string, form: Own][] = [
  ["ask.consent", Consents],
  ["ask.sign", RedFlags],
  ["ask.care", Conditions],
  ["ask.discomfort", Discomfort],
  ["ask.hours", Hours],
];

/** Ask: before anything is touched, one part at a time. */
export function AskPanel() {
  const { fields } = useVisitFacts();
  const cells = useCells();
  const { part, setPart, go } = useNavigation();
  const mine = fields.filter((field) => field.step === "ask");
  const groups = [...new Set(mine.map((field) => field.group))];
  const present = groups.find((name) => slug(name) === part) ?? groups[0] ?? "";
  const next = groups[groups.indexOf(present) + 1];
  const onward = () => (next ? setPart(slug(next)) : go("look"));
  const Form = OWN.find(([path]) => askPart(path, fields) === slug(present))?.[1];
  const parts = groups.map((name): Part => {
    const needed = mine.filter((field) => field.group === name && field.needed);
    const open = needed.some((field) => applies(field, cells) && !cells.get(field.id)?.held?.typed);
    return { id: slug(name), name, ...(needed.length ? { open } : {}) };
  });
  return (
    <>
      <StepHead says={t`Before you adjust anything.`}>{t`Ask`}</StepHead>
      <FromClient />
      <LastTime />
      <PartTabs
        label={t`Sections of this step`}
        parts={parts}
        present={slug(present)}
        onChoose={setPart}
        aside
      >
        <h3
          data-arrival=""
          tabIndex={-1}
          className="sr-only text-lg outline-none desk:not-sr-only desk:mb-2"
        >
          {present}
        </h3>
        {Form ? (
          <Form onDone={onward} />
        ) : (
          <div className="max-w-[640px]">
            <FieldsForm fields={mine.filter((field) => field.group === present)} />
          </div>
        )}
        <PanelFoot>
          <Button look="next" className="w-full desk:max-w-[440px]" data-next="" onClick={onward}>
            {next ? t`Next: ${next}` : t`Continue to Look`}
          </Button>
        </PanelFoot>
      </PartTabs>
    </>
  );
}
