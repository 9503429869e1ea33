import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Segments } from "@/shared/ui/segments";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";

/** Each task of the day: sitting, standing or moving, and why. */
export function Tasks({ day }: { day: Schemas["DayView"] }) {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  return (
    <ul className="max-w-[880px] border-t border-ink">
      {day.tasks.map((task) => {
        const field = fields.find((field) => field.id === `pace.task.${task.id}`);
        return (
          <li
            key={task.id}
            data-field={`pace.task.${task.id}`}
            className="grid items-center gap-x-6 gap-y-1 border-b border-hair py-2 desk:grid-cols-[220px_auto_minmax(0,1fr)]"
          >
            <p>
              <b>{task.label}</b>{" "}
              <span className="figures text-soft whitespace-nowrap">
                <Trans>{task.minutes} min</Trans>
              </span>
            </p>
            {field ? (
              <Segments
                compact
                label={task.label}
                value={task.posture}
                disabled={readOnly}
                choices={field.choices.map(([value, label]) => ({ value, label }))}
                onChange={(value) => queue.type(field.id, value, unit)}
              />
            ) : (
              <span />
            )}
            <p className="text-sm text-soft">
              {task.reason} {task.laptop}
              {task.own && !readOnly && field && (
                <Button look="quiet" onClick={() => queue.type(field.id, "", unit)}>
                  {t`As usual`}
                </Button>
              )}
            </p>
          </li>
        );
      })}
    </ul>
  );
}
