import { screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import { anAgenda, anAppointment } from "@/test/agenda";
import { aClient, aLine, openPage } from "@/test/page";

const DAY = "2026-12-03";
const week = (over = {}) => ({
  "GET /api/agenda": {
    body: anAgenda({
      appointments: [
        anAppointment(),
        anAppointment({
          id: "a2",
          client: "",
          client_id: "00000000-0000-0000-0000-000000000000",
          at: 600,
          place: "",
          private: true,
          clashes: ["Ines Calloway has another appointment then"],
        }),
      ],
      ...over,
    }),
  },
});

const bar = (name: RegExp) =>
  within(screen.getByRole("region", { name: "Week" })).getByRole("button", { name });

test("the day is told in order, clashes are pointed out, and a private one tells no name", async () => {
  await openPage(`/?day=${DAY}`, week());
  const day = await screen.findByRole("region", { name: "Agenda for the day" });
  const rows = within(day).getAllByRole("listitem");
  expect(rows.map(({ textContent }) => textContent)).toEqual([
    expect.stringMatching(/09:30–10:30Odile MarrickVisit · Room 2 · Ines Calloway/),
    expect.stringMatching(/10:00–11:00PrivateInes CallowayInes Calloway has another appointment/),
  ]);
  expect(within(rows[1] as HTMLElement).queryByRole("button")).toBeNull();
});

test("arrow keys move an appointment, and the way back puts it where it was", async () => {
  let version = 1;
  const { server } = await openPage(`/?day=${DAY}`, {
    ...week(),
    "PUT /api/appointments/appointment-1": () => {
      version += 1;
      return { body: { ...anAppointment(), version } };
    },
  });
  await screen.findByRole("region", { name: "Week" });
  bar(/^09:30 Odile Marrick/).focus();
  await userEvent.keyboard("{ArrowDown}");
  expect(server.sent("PUT /api/appointments/appointment-1")).toMatchObject({
    on: DAY,
    at: 585,
    version: 1,
    client_id: "client-1",
  });
  await userEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() =>
    expect(server.sent("PUT /api/appointments/appointment-1")).toMatchObject({
      at: 570,
      version: 2,
    }),
  );
});

test("a new appointment begins at the time that was pressed, and its client is found by letters", async () => {
  const { server } = await openPage(`/?day=${DAY}`, {
    ...week({ appointments: [] }),
    "GET /api/clients": { body: [aClient()] },
    "POST /api/appointments": { status: 201, body: anAppointment() },
  });
  await userEvent.click(await screen.findByRole("button", { name: "New appointment" }));
  await userEvent.click(await screen.findByRole("button", { name: /Odile Marrick/ }));
  await userEvent.click(screen.getByRole("radio", { name: "Follow-up" }));
  await userEvent.click(screen.getByRole("button", { name: "Save" }));
  expect(server.sent("POST /api/appointments")).toMatchObject({
    ...{ client_id: "client-1", member_id: "member-1", on: DAY, at: 480 },
    ...{ kind: "follow_up", minutes: 45, place_kind: "room", place: "Room 2", mail_client: true },
  });
});

test("a free time for a follow-up is kept by one press, and cancelled again", async () => {
  vi.useFakeTimers({ now: new Date("2026-12-02T09:00:00Z"), toFake: ["Date"] });
  const due = {
    kind: "follow_up" as const,
    client_id: "client-1",
    client: "Odile Marrick",
    due: DAY,
    minutes: 45,
    offers: [{ on: DAY, at: 480 }],
    visit_id: "visit-1",
    check_id: null,
  };
  const { server } = await openPage("/", {
    ...week({ appointments: [], due: [due] }),
    "GET /api/visits": { body: [aLine({ state: "signed", follow_up: DAY })] },
    "POST /api/appointments": { status: 201, body: anAppointment() },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Thu 3 Dec, 08:00" }));
  const kept = server.sent("POST /api/appointments") as { id: string };
  expect(kept).toMatchObject({ on: DAY, at: 480, minutes: 45, kind: "follow_up" });
  server.answers[`DELETE /api/appointments/${kept.id}`] = { status: 204 };
  await userEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(server.asked).toContain(`DELETE /api/appointments/${kept.id}`));
  vi.useRealTimers();
});

test("the visit of a follow-up begins with the client's last signed one, under the appointment's id", async () => {
  const { server } = await openPage(`/?day=${DAY}`, {
    ...week({ appointments: [anAppointment({ kind: "follow_up" })] }),
    "GET /api/visits": { body: [aLine({ id: "old", state: "signed" })] },
    "POST /api/visits": {
      status: 503,
      body: { detail: "Not now.", title: "", status: 503, type: "x" },
    },
  });
  await userEvent.click(await screen.findByRole("button", { name: /Start visit/ }));
  await waitFor(() =>
    expect(server.sent("POST /api/visits")).toEqual({
      id: "appointment-1",
      client_id: "client-1",
      from_visit: "old",
    }),
  );
  expect(await screen.findByText("Not now.")).toBeTruthy();
});

test("the address of a private calendar is shown once it is made", async () => {
  const { server } = await openPage("/account", {
    "POST /api/calendar": (request) => {
      void request;
      return {
        status: 201,
        body: { names: true, made_at: "2026-12-02T09:00:00Z", url: "https://x/c" },
      };
    },
    "GET /api/calendar": () => ({
      body: {
        names: true,
        made_at: server.asked.includes("POST /api/calendar") ? "2026-12-02" : null,
      },
    }),
    "GET /api/sessions": { body: [] },
  });
  const part = await screen.findByRole("region", { name: "Private calendar" });
  await userEvent.click(within(part).getByRole("checkbox"));
  await userEvent.click(within(part).getByRole("button", { name: "Create address" }));
  expect(server.sent("POST /api/calendar")).toEqual({ names: true });
  expect(await within(part).findByDisplayValue("https://x/c")).toBeTruthy();
});
