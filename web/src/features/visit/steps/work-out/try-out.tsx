import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { memo, useEffect, useId, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Select } from "@/shared/ui/select";
import { applies, type Field, useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { rowsOf, useBench, useWhatIf } from "../../what-if/bench";
import { Left } from "../../what-if/what-if-bar";
import { SettingChanges } from "./moved";

const ANGLES = /^work\.number\./;
const CHOICES = /^work\.policy\./;
const PIECES = new Set<string>([
  fieldId("look.chair.seat_min"),
  fieldId("look.chair.seat_max"),
  fieldId("look.chair.backrest_max"),
  fieldId("look.desk.surface_min"),
  fieldId("look.desk.surface_max"),
  fieldId("look.desk.thickness"),
  fieldId("look.desk.depth"),
  fieldId("look.keyboard.kind"),
  fieldId("look.keyboard.thickness"),
  fieldId("look.screen.diagonal"),
  fieldId("look.screen.top_min"),
  fieldId("look.screen.top_max"),
  fieldId("look.support.footrest"),
  fieldId("ask.shoe_seated"),
  fieldId("ask.shoe_standing"),
  fieldId("ask.eyewear"),
  fieldId("ask.mouse_hand"),
]); // prettier-ignore

/** Try anything: a height, a distance, an angle, a choice, a piece. Nothing is kept until you say so. */
export function TryOut() {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const bench = useBench();
  const trial = useWhatIf();
  const { tried } = trial;
  const rows = rowsOf(trial, drawnVisit);
  const many = Object.keys(trial.tries).length;
  const settings = fields.filter((field) => /^work\.(seated|standing)\.[a-z_]+$/.test(field.id));
  const groups: [string, Field[]][] = [
    [t`Seated`, settings.filter((field) => field.id.startsWith("work.seated."))],
    [
      t`Standing`,
      drawnVisit?.standing_possible
        ? settings.filter((field) => field.id.startsWith("work.standing."))
        : [],
    ],
    [t`Angles`, fields.filter((field) => ANGLES.test(field.id))],
    [t`Equipment`, fields.filter((field) => PIECES.has(field.id) && applies(field, cells))],
    [t`Options`, fields.filter((field) => CHOICES.test(field.id))],
  ];
  const present = (field: Field): string => {
    const [, posture, key] = field.id.split(".");
    const row = rows.find((row) => row.posture === posture && row.key === key);
    // a support of no height is none: it is not in the order of work
    const none = Number(row?.setting) === 0 && !drawnVisit?.order.includes(`${posture}.${key}`);
    return (none ? null : row?.setting) ?? cells.get(field.id)?.typed ?? "";
  };
  return (
    <div className="flex flex-col gap-3 pb-6">
      <p className="text-sm text-soft">
        <Trans>
          Drag a flag or item in the drawing, turn a ring, or type here. Joints and findings update
          as you go. Nothing is saved until you choose Save.{" "}
          {trial.ready ? t`Calculated on this device.` : t`Calculated on the server for now.`}
        </Trans>
      </p>
      {trial.trouble && <Notice role="alert">{trial.trouble}</Notice>}
      {trial.on && tried && (
        <section aria-label={t`Trial result`} className="border border-ink/60 p-3">
          <p className="figures mb-2">
            <Left of={tried} />
          </p>
          <SettingChanges
            of={tried.setting_changes}
            none={t`No change from ${trial.snapshot ? trial.snapshot.label : t`the saved values`}.`}
          />
          {tried.findings.length > 0 && (
            <ul aria-label={t`Still out of range`} className="mt-2 text-sm">
              {tried.findings.map((finding) => (
                <li key={finding.id} className="mb-1 border-s-4 border-ink ps-2">
                  {finding.text}
                </li>
              ))}
            </ul>
          )}
          <Turned tried={tried} />
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={bench.toBest}>{t`Reset to target`}</Button>
            <Button onClick={bench.toFound}>{t`Reset to as found`}</Button>
            <Button onClick={trial.snapshot ? bench.dropSnapshot : bench.takeSnapshot}>
              {trial.snapshot ? t`Remove snapshot` : t`Take snapshot to compare`}
            </Button>
            {many > 0 && !readOnly && (
              <Button
                onClick={() => {
                  queue.typeAll(Object.entries(trial.tries), unit);
                  bench.toBest();
                }}
              >
                {t`Save`}
              </Button>
            )}
          </div>
        </section>
      )}
      {groups.map(
        ([name, members]) =>
          members.length > 0 && (
            <details key={name} open={name === t`Seated` || name === t`Angles`}>
              <summary className="flex min-h-11 items-center font-semibold">{name}</summary>
              <div className="space-y-1.5">
                {members.map((field) => (
                  <TryField
                    key={field.id}
                    field={field}
                    present={present(field)}
                    typed={trial.tries[field.id]}
                    trouble={tried?.troubles.find((trouble) => trouble.field === field.id)?.detail}
                    unit={unit}
                    put={bench.put}
                  />
                ))}
              </div>
            </details>
          ),
      )}
    </div>
  );
}

/** Which of the visit's findings would go, and which would come. */
function Turned({
  tried: { resolved: gone, new: come, unchanged: stays },
}: {
  tried: Schemas["WhatIfResult"];
}) {
  if (gone.length + come.length + stays === 0) return null;
  const names = (some: readonly Schemas["FindingSummary"][]) =>
    some.map((findingSummary) => findingSummary.text).join("; ");
  return (
    <p className="mt-2 text-sm">
      <Trans>
        Findings of this visit: {gone.length > 0 ? t`${names(gone)} resolved` : t`none resolved`}
        {come.length > 0 && t`, ${names(come)} new`}
        {stays > 0 && t`, ${stays} unchanged`}.
      </Trans>
    </p>
  );
}

/** One thing to try, beside what it is now. */
const TryField = memo(function TryField({
  field,
  present,
  typed,
  trouble,
  unit,
  put,
}: {
  field: Field;
  present: string;
  typed: string | undefined;
  trouble: string | undefined;
  unit: string;
  put: (path: string, typed: string) => void;
}) {
  const id = useId();
  const [draft, setDraft] = useState(typed ?? "");
  useEffect(() => setDraft(typed ?? ""), [typed]);
  const label = field.label.replace(/, my number$/, "");
  const suffix = field.kind === "length" ? unit : field.unit;
  const edge = typed === undefined ? "border-ink/40" : "border-ink border-2";
  return (
    <div>
      <div className="grid grid-cols-[1fr_auto] items-center gap-2">
        <label htmlFor={id} className="text-sm">
          {field.id.startsWith("work.policy.standing.") ? t`${label}, standing` : label}
        </label>
        {field.kind === "choice" ? (
          <Select
            label={field.id.startsWith("work.policy.standing.") ? t`${label}, standing` : label}
            value={typed ?? ""}
            onChange={(next) => put(field.id, next)}
            className={`w-[168px] text-sm ${edge}`}
            options={[
              { value: "", label: said(field, present) ?? t`as it is` },
              ...field.choices.map(([value, label]) => ({ value, label })),
            ]}
          />
        ) : (
          <span className="flex items-center gap-1.5">
            <input
              id={id}
              inputMode="decimal"
              autoComplete="off"
              placeholder={present}
              value={draft}
              aria-invalid={trouble ? true : undefined}
              aria-describedby={trouble ? `${id}-trouble` : undefined}
              onChange={(event) => {
                setDraft(event.target.value);
                put(field.id, event.target.value);
              }}
              className={`figures min-h-11 w-[92px] rounded-[3px] border bg-ground px-2 text-end placeholder:text-soft placeholder:opacity-100 ${edge}`}
            />
            <span className="w-7 text-sm text-soft">{suffix}</span>
          </span>
        )}
      </div>
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="border-s-4 border-ink ps-2 text-sm">
          {trouble}
        </p>
      )}
    </div>
  );
});

/** The label of what a choice holds now. */
function said(field: Field, present: string): string | undefined {
  return field.choices.find(([value]) => value === present)?.[1];
}
