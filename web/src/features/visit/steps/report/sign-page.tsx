import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { useSign } from "@/shared/api/queries";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { Modal } from "@/shared/ui/modal";
import { Segments } from "@/shared/ui/segments";
import { useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCell, useQueue } from "../../state/recording";

type Check = Schemas["Check"];

/** One screen before the signature: what is open, doubtful or not looked at, each a way to its place; then the name. */
export function Signing({
  draft,
  version,
  onDone,
}: {
  draft: Schemas["DraftReport"];
  version: number;
  onDone: () => void;
}) {
  const { visit, unit } = useVisitFacts();
  const { seek } = useNavigation();
  const me = useMe().data;
  const sign = useSign(visit.id, unit);
  const [id] = useNewId();
  const blocked = draft.checks.some((check) => check.blocks);
  const groups = new Map<string, Check[]>();
  for (const check of draft.checks)
    groups.set(check.group, [...(groups.get(check.group) ?? []), check]);
  const go = (path: string) => {
    onDone();
    seek(path);
  };
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={blocked ? t`Not ready to sign` : t`Sign version ${version}?`}
      says={
        blocked
          ? t`Marked items must be answered first; the rest is your judgement.`
          : t`You are signing this version. It can’t be changed or withdrawn; later changes create a new version.`
      }
    >
      {draft.checks.length === 0 && <p className="mb-3">{t`Nothing is open or queried.`}</p>}
      {[...groups].map(([group, checks]) => (
        <Group key={group} name={group} checks={checks} onGo={go} />
      ))}
      {draft.checks.some((check) => check.path.endsWith(".verdict")) && <Unconfirmed />}
      {!blocked && (
        <>
          <ul className="my-4 list-disc ps-5" aria-label={t`What you are signing`}>
            {draft.summary.map((line) => (
              <li key={line} className="figures">
                {line}
              </li>
            ))}
          </ul>
          {me && (
            <p className="mb-3">
              <Trans>
                Signed by <b>{me.name}</b>
                {me.title && `, ${me.title}`}
                {me.registration && t`, registration ${me.registration}`}. Three documents are
                locked: the client’s report, the workplace copy and the record.
              </Trans>
            </p>
          )}
        </>
      )}
      <Failure of={sign} className="mb-3" />
      <div className="sticky -bottom-6 -mx-6 -mb-6 flex gap-2 border-t border-hair bg-ground px-6 py-4">
        {!blocked && (
          <Button
            look="next"
            disabled={sign.isPending}
            onClick={() => sign.sign(id, draft.revision, onDone)}
          >
            {sign.isPending ? t`Signing…` : t`Sign version ${version}`}
          </Button>
        )}
        <Button look="quiet" onClick={onDone}>
          {t`Cancel`}
        </Button>
      </div>
    </Modal>
  );
}

/** What the client's paper does with findings that nobody has confirmed: the practitioner chooses. */
function Unconfirmed() {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const id = fieldId("report.unconfirmed");
  const field = fields.find((field) => field.id === id);
  const typed = useCell(id)?.typed || "mark";
  if (!field) return null;
  return (
    <div className="my-3">
      <p className="mb-1 text-sm font-semibold">{t`In the client’s report, these findings are`}</p>
      <Segments
        label={field.label}
        value={typed}
        disabled={readOnly}
        choices={(field.choices ?? []).map(([value, label]) => ({ value, label }))}
        onChange={(value) => queue.type(id, value, unit)}
      />
    </div>
  );
}

/** So many of a group are shown at once. */
const SHOWN = 4;

function Group({
  name,
  checks,
  onGo,
}: {
  name: string;
  checks: readonly Check[];
  onGo: (path: string) => void;
}) {
  const blocks = checks.some((check) => check.blocks);
  const line = (check: Check) => (
    <li key={`${check.path} ${check.says}`}>
      <button
        type="button"
        className="min-h-9 w-full py-1 text-start text-sm underline-offset-2 first-letter:uppercase hover:underline"
        onClick={() => onGo(check.path)}
      >
        {check.says}
      </button>
    </li>
  );
  return (
    <section
      aria-label={name}
      className={`mb-2 border-s-4 px-3 py-1 ${blocks ? "border-ink bg-deep" : "border-hair"}`}
    >
      <h3 className="flex justify-between font-semibold">
        {name} <span className="figures text-soft">{checks.length}</span>
      </h3>
      <ul>{checks.slice(0, SHOWN).map(line)}</ul>
      {checks.length > SHOWN && (
        <details>
          <summary className="flex min-h-9 items-center text-sm underline">
            <Trans>The other {checks.length - SHOWN}</Trans>
          </summary>
          <ul>{checks.slice(SHOWN).map(line)}</ul>
        </details>
      )}
    </section>
  );
}
