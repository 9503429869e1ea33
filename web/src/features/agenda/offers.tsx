import { t } from "@lingui/core/macro";
import { useMe } from "@/shared/api/account";
import { type Due, useAgenda, useAppointments } from "@/shared/api/agenda";
import { dayOf, weekStart } from "@/shared/dates";
import { toast } from "@/shared/ui/toasts";
import { saidWithUndo } from "@/shared/ui/undo";
import { dayAndTime } from "./words";

/** Free times for what a visit or a client's answers say is due: one press keeps one, with a way back. */
export function Offers({ of }: { of: (due: Due) => boolean }) {
  const agenda = useAgenda(weekStart(dayOf(new Date()))).data;
  const [due, rooms] = [agenda?.due.find(of), agenda?.rooms ?? []];
  const me = useMe().data;
  const { add, cancel } = useAppointments();
  if (!due || !me?.writes || due.offers.length === 0) return null;
  const call = due.kind === "call_back" || due.kind === "check";
  const keep = ({ on, at }: { on: string; at: number }) => {
    const id = crypto.randomUUID();
    const place = {
      place_kind: call ? "call" : "room",
      place: call ? "" : (rooms[0] ?? ""),
    } as const;
    const { client_id, kind, minutes } = due;
    const facts = { client_id, member_id: me.id, on, at, minutes, kind, ...place };
    add.mutateAsync({ body: { id, ...facts, mail_client: !call } }).then(
      () =>
        saidWithUndo(t`${due.client}: ${dayAndTime(on, at)}`, () =>
          cancel.mutateAsync({ params: { path: { appointment_id: id } } }),
        ),
      (error: unknown) => void toast(error instanceof Error ? error.message : String(error)),
    );
  };
  return (
    <fieldset className="relative z-10 flex flex-wrap items-center gap-x-2 gap-y-1">
      <legend className="sr-only">{t`Free times for ${due.client}`}</legend>
      <span className="text-sm text-soft" aria-hidden="true">{t`Free:`}</span>
      {due.offers.map((offer) => (
        <button
          key={`${offer.on} ${offer.at}`}
          type="button"
          disabled={add.isPending}
          className="figures min-h-8 rounded-[3px] border border-ink/60 bg-ground px-2 text-sm hover:bg-deep pointer-coarse:min-h-11"
          onClick={() => keep(offer)}
        >
          {dayAndTime(offer.on, offer.at)}
        </button>
      ))}
    </fieldset>
  );
}
