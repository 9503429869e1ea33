import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, expect, test } from "vitest";
import { network } from "@/shared/device/network";
import { outbox } from "@/shared/device/outbox";
import { waiting } from "@/shared/device/words";
import { aLine, openPage } from "@/test/page";
import { refused } from "@/test/server";
import { saysOf } from "./on-this-device";

const LONG_AGO = "2025-01-10";
const practice = {
  letterhead: "Harbour Street 1",
  contact: "Ines, 01 555",
  has_second_factor: true,
};

afterEach(() => {
  network.setState({ away: false });
  outbox.setState({ count: 0, refused: [] });
  waiting.setState(new Map(), true);
});

test("red flags come first, then clients who are to seek care, then what is due", async () => {
  await openPage(
    "/",
    {
      "GET /api/visits": {
        body: [
          aLine({ id: "v1", started_on: LONG_AGO }),
          aLine({ id: "v2", client: "Nadia Orrin", sign: "Numb saddle", started_on: LONG_AGO }),
        ],
      },
      "GET /api/checks": {
        body: [
          {
            id: "c1",
            client: "Pia Holt",
            round: "week_1",
            sent_at: "2026-11-28",
            level: "stop",
            level_says: "Stop and seek care",
          },
          {
            id: "c2",
            client: "Jonas Reed",
            round: "week_3",
            sent_at: "2026-11-28",
            level: "advice",
            level_says: "Written advice",
          },
        ],
      },
    },
    practice,
  );
  await screen.findByText("Nadia Orrin");
  const order = (await screen.findAllByRole("region")).map((element) =>
    element.getAttribute("aria-label"),
  );
  expect(order.indexOf("Clients advised to seek care")).toBeLessThan(
    order.indexOf("Answers to review"),
  );
  const [first] = screen
    .getAllByRole("heading", { level: 2 })
    .map(({ textContent }) => textContent);
  expect(first).toMatch(/Clients advised to seek care 1|red flag/i);
  expect(screen.getByText("Numb saddle")).toBeTruthy();
});

test("a line opens its visit where it stopped, and an empty one is deleted with a way back", async () => {
  const { server } = await openPage(
    "/",
    {
      "GET /api/visits": {
        body: [
          aLine({ id: "v1", step: "measure" }),
          aLine({ id: "v2", client: "Nadia Orrin", state: "new", step: null }),
        ],
      },
      "DELETE /api/visits/v2": { status: 204 },
      "POST /api/visits": { status: 201, body: { id: "v2" } },
    },
    practice,
  );
  const link = await screen.findByRole("link", { name: "Odile Marrick" });
  expect(link.getAttribute("href")).toBe("/visits/v1/measure");
  await userEvent.click(
    screen.getByRole("button", { name: "Delete the empty visit of Nadia Orrin" }),
  );
  await userEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await expect
    .poll(() => server.sent("POST /api/visits"))
    .toEqual({ id: "v2", client_id: "client-1" });
});

test("an old draft is discarded, and taken back", async () => {
  const { server } = await openPage(
    "/",
    {
      "GET /api/visits": { body: [aLine({ id: "v1", started_on: LONG_AGO })] },
      "PUT /api/visits/v1/discarded": { status: 204 },
    },
    practice,
  );
  await userEvent.click(
    await screen.findByRole("button", { name: "Discard the draft of Odile Marrick" }),
  );
  await userEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await expect
    .poll(() =>
      server.calls.filter(({ key }) => key.endsWith("/discarded")).map(({ body }) => body),
    )
    .toEqual([{ discarded: true }, { discarded: false }]);
});

test("who sees no health data opens no visit, but the workplace’s copy", async () => {
  await openPage(
    "/",
    {
      "GET /api/visits": {
        body: [aLine({ state: "signed", shared_report: "report-1", started_on: LONG_AGO })],
      },
    },
    { ...practice, role: "reader", writes: false, sees_health: false },
  );
  await userEvent.click(await screen.findByRole("button", { name: /Signed|Done/i }));
  expect(screen.queryByRole("link", { name: "Odile Marrick" })).toBeNull();
  expect(screen.getByRole("link", { name: "Workplace copy (PDF)" }).getAttribute("href")).toBe(
    "/api/reports/report-1.pdf?copy=workplace",
  );
});

test("mine alone is asked of the server, and an empty choice says so", async () => {
  const { server } = await openPage(
    "/",
    { "GET /api/visits": { body: [aLine({ practitioner: "Tom Averly" })] } },
    practice,
  );
  await screen.findByText("Odile Marrick");
  await userEvent.click(screen.getByRole("radio", { name: "Mine" }));
  expect(await screen.findByText(/No visit matches this choice among yours\./)).toBeTruthy();
  await expect.poll(() => server.calls.some(({ query }) => query.mine === "true")).toBe(true);
});

test("an owner is asked for what papers need, once, and can put it off", async () => {
  await openPage("/", {}, { letterhead: "", contact: "" });
  const first = within(await screen.findByRole("region", { name: "Before your first report" }));
  expect(first.getByRole("link", { name: "Letterhead" }).getAttribute("href")).toBe("/people");
  expect(first.queryByRole("link", { name: "Your profession" })).toBeNull();
  await userEvent.click(first.getByRole("button", { name: "Not now" }));
  expect(screen.queryByRole("region", { name: "Before your first report" })).toBeNull();
});

test("a list that does not come says why", async () => {
  await openPage(
    "/",
    { "GET /api/visits": refused(503, "The database is not responding.") },
    practice,
  );
  expect((await screen.findByRole("alert")).textContent).toBe("The database is not responding.");
});

test("what is only on this device is named with what it waits for", async () => {
  await openPage("/", { "GET /api/visits": { body: [aLine({ id: "v1" })] } }, practice);
  await screen.findByText("Odile Marrick");
  network.setState({ away: true });
  waiting.setState(
    new Map([
      ["v1", { unsent: 2, open: 3 }],
      ["v9", { unsent: 1, open: 0 }],
    ]),
    true,
  );
  outbox.setState({
    count: 1,
    refused: [
      {
        name: "out:1",
        what: { kind: "client", of: "", method: "POST", path: "clients" },
        says: "Name: missing.",
      },
    ],
  });
  const here = within(await screen.findByRole("region", { name: "On this device" }));
  expect(here.getByText(/Offline\..*Kept here for 14 days/)).toBeTruthy();
  expect(here.getByText("2 changes to send, 1 to resolve")).toBeTruthy();
  expect(here.getByText("A visit")).toBeTruthy();
  expect(here.getByText("A client was not accepted: Name: missing.")).toBeTruthy();
  await userEvent.click(here.getByRole("button", { name: "Dismiss" }));
  await expect.poll(() => outbox.getState().refused).toEqual([]);
});

test.each([
  [0, 0, ""],
  [1, 0, "1 change to send"],
  [0, 2, "2 to resolve"],
  [3, 4, "3 changes to send, 1 to resolve"],
])("%i unsent of %i open", (unsent, open, says) => {
  expect(saysOf(unsent, open)).toBe(says);
});
