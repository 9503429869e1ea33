import { t } from "@lingui/core/macro";
import { type Appointment, factsOf, useAppointments } from "@/shared/api/agenda";
import { toast } from "@/shared/ui/toasts";
import { saidWithUndo } from "@/shared/ui/undo";
import { dayAndTime, whoOf } from "./words";

type Place = { on: string; at: number };

/** Move appointments, and cancel them, each with a way back; where one stands that is on its way. */
export function useMove() {
  const { add, change, cancel } = useAppointments();
  const going = change.isPending ? change.variables : null;
  const put = (line: Appointment, version: number, to: Place) =>
    change.mutateAsync({
      params: { path: { appointment_id: line.id } },
      body: { ...factsOf(line), ...to, version },
    });
  const told = (error: unknown) =>
    void toast(error instanceof Error ? error.message : String(error));
  return {
    move(line: Appointment, to: Place) {
      if (to.on === line.on && to.at === line.at) return;
      const { on, at } = line;
      put(line, line.version, to).then(
        (moved) =>
          saidWithUndo(t`${whoOf(line)} moved to ${dayAndTime(to.on, to.at)}`, () =>
            put(line, moved.version, { on, at }),
          ),
        told,
      );
    },
    cancel(line: Appointment) {
      cancel
        .mutateAsync({ params: { path: { appointment_id: line.id } } })
        .then(
          () =>
            saidWithUndo(
              t`The appointment of ${line.client} on ${dayAndTime(line.on, line.at)} was cancelled.`,
              () => add.mutateAsync({ body: { id: line.id, ...factsOf(line) } }),
            ),
          told,
        );
    },
    /** An appointment where it is, or where it is being moved to. */
    placed: (line: Appointment): Appointment =>
      going?.params.path.appointment_id === line.id
        ? { ...line, on: going.body.on, at: going.body.at }
        : line,
  };
}
