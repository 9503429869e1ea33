import type { Agenda, Appointment } from "@/shared/api/agenda";

/** An appointment of Odile's with Ines, Thursday at half past nine. */
export function anAppointment(over: Partial<Appointment> = {}): Appointment {
  return {
    id: "appointment-1",
    version: 1,
    client_id: "client-1",
    client: "Odile Marrick",
    work: "Claims clerk, Tidewater Mutual",
    email: true,
    member_id: "member-1",
    member: "Ines Calloway",
    on: "2026-12-03",
    at: 570,
    minutes: 60,
    kind: "visit",
    place_kind: "room",
    place: "Room 2",
    mail_client: true,
    begun: false,
    clashes: [],
    private: false,
    ...over,
  };
}

/** A week of the practice, from Monday 30 November; today is Wednesday. */
export function anAgenda(over: Partial<Agenda> = {}): Agenda {
  return {
    today: "2026-12-02",
    now: 540,
    start: "2026-11-30",
    days: 7,
    opens_at: 480,
    closes_at: 1080,
    open_days: "12345",
    rooms: ["Room 2"],
    members: [{ id: "member-1", name: "Ines Calloway" }],
    usual_minutes: { visit: 60, follow_up: 45, check: 20, call_back: 15 },
    mail: true,
    appointments: [],
    due: [],
    ...over,
  };
}
