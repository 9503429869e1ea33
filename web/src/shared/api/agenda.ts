import { keepPreviousData, useQueryClient } from "@tanstack/react-query";
import { type Schemas, server } from "./client";
import { stale } from "./stale";

export type Appointment = Schemas["AgendaLine"];
export type Agenda = Schemas["AgendaView"];
export type Due = Schemas["DueLine"];
export type AppointmentFacts = Omit<Schemas["ChangedAppointment"], "version">;

const ASKED_AGAIN_MS = 60_000;

/** A week of the agenda, what clashes in it, and free times for what is due; asked again while it is seen. */
export function useAgenda(start: string) {
  return server.useQuery(
    "get",
    "/api/agenda",
    { params: { query: { start, days: 7 } } },
    { placeholderData: keepPreviousData, refetchInterval: ASKED_AGAIN_MS },
  );
}

/** Make, move and cancel appointments. */
export function useAppointments() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/agenda") };
  return {
    add: server.useMutation("post", "/api/appointments", done),
    change: server.useMutation("put", "/api/appointments/{appointment_id}", done),
    cancel: server.useMutation("delete", "/api/appointments/{appointment_id}", done),
  };
}

/** One's private calendar: whether it is on, made, given another address, closed. */
export function useCalendar() {
  const queries = useQueryClient();
  const done = { onSuccess: () => stale(queries, "/api/calendar") };
  return {
    held: server.useQuery("get", "/api/calendar"),
    make: server.useMutation("post", "/api/calendar", done),
    close: server.useMutation("delete", "/api/calendar", done),
  };
}

/** What is sent of an appointment. */
export function factsOf(line: Appointment): AppointmentFacts {
  const { client_id, member_id, on, at, minutes, kind, place_kind, place, mail_client } = line;
  return { client_id, member_id, on, at, minutes, kind, place_kind, place, mail_client };
}
