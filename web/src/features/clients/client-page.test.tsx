import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { aClient, aLine, aMember, openPage } from "@/test/page";
import { type Answers, refused } from "@/test/server";

const PATH = "/clients/client-1";
const TOM = { id: "member-2", name: "Tom Averly", email: "tom@example.org" };

function aLink(over: Partial<Schemas["LinkView"]> = {}): Schemas["LinkView"] {
  return {
    id: "link-1",
    visit_id: "visit-1",
    kind: "before",
    language: "en",
    made_at: "2026-11-20T09:00:00Z",
    ends_on: "2026-12-20",
    opened_at: null,
    revoked_at: null,
    made_by: "Ines Calloway",
    works: true,
    path: "/own#link-1",
    rounds: [],
    mails: [],
    ...over,
  };
}

function aMail(over: Partial<Schemas["MailView"]>): Schemas["MailView"] {
  return {
    id: `${over.kind ?? "link"} ${over.state}`,
    kind: "link",
    recipient: "odile@example.org",
    due_at: "2026-11-20T09:00:00Z",
    sent_at: null,
    state: "waiting",
    trouble: "",
    tries: 0,
    ...over,
  } as Schemas["MailView"];
}

const open = (answers: Answers = {}, me = {}) =>
  openPage(
    PATH,
    {
      "GET /api/clients": { body: [aClient()] },
      "GET /api/clients/client-1/history": { body: { events: [], visits: [], body: [] } },
      "GET /api/clients/client-1/links": { body: [] },
      ...answers,
    },
    me,
  );

test("a client’s page asks only for that client, and offers what comes next", async () => {
  const { server } = await open({ "GET /api/visits": { body: [aLine({ state: "signed" })] } });
  expect(await screen.findByRole("heading", { level: 1, name: "Odile Marrick" })).toBeTruthy();
  const lists = server.calls.filter(({ key }) => /\/api\/(clients|visits)$/.test(key));
  expect(lists.map(({ query }) => query)).toEqual(
    expect.arrayContaining([{ id: "client-1" }, { client_id: "client-1" }]),
  );
  expect(screen.getByRole("button", { name: "Follow-up" })).toBeTruthy();
});

test("a follow-up takes the last visit over", async () => {
  const { server, router } = await open({
    "GET /api/visits": { body: [aLine({ state: "signed" })] },
    "POST /api/visits": { status: 201, body: { id: "visit-9" } },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Follow-up" }));
  expect(server.sent("POST /api/visits")).toMatchObject({ from_visit: "visit-1" });
  await expect.poll(() => router.state.location.pathname).toBe("/visits/visit-9/ask");
});

test("a visit in which nothing was set yet has nothing to follow up", async () => {
  await open({ "GET /api/visits": { body: [aLine({ step: "look" })] } });
  await screen.findByRole("heading", { level: 1 });
  expect(screen.queryByRole("button", { name: "Follow-up" })).toBeNull();
});

test("a client who is gone is said to be, and leads back", async () => {
  await openPage(PATH, { "GET /api/clients": { body: [] } });
  expect(await screen.findByRole("heading", { name: "Client not found" })).toBeTruthy();
  expect(screen.getByRole("link", { name: "All clients" })).toBeTruthy();
});

test("facts are corrected upon the version that was read", async () => {
  const { server } = await open({ "PUT /api/clients/client-1": { body: aClient({ version: 2 }) } });
  await userEvent.click(await screen.findByRole("button", { name: "Edit" }));
  const form = within(screen.getByRole("dialog", { name: "Edit Odile Marrick" }));
  const year = form.getByLabelText("Year of birth") as HTMLInputElement;
  expect(year.value).toBe("1984");
  await userEvent.clear(year);
  await userEvent.type(year, "84");
  expect(year.validity.patternMismatch).toBe(true);
  await userEvent.clear(year);
  await userEvent.type(year, "1985");
  expect(year.validity.valid).toBe(true);
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  expect(server.sent("PUT /api/clients/client-1")).toMatchObject({
    version: 1,
    birth_year: 1985,
    sex: "female",
    name: "Odile Marrick",
  });
  await expect.poll(() => screen.queryByRole("dialog")).toBeNull();
});

test("what somebody else changed meanwhile is said, and what was typed stays", async () => {
  await open({
    "PUT /api/clients/client-1": refused(409, "Tom Averly changed this client meanwhile."),
  });
  await userEvent.click(await screen.findByRole("button", { name: "Edit" }));
  const form = within(screen.getByRole("dialog"));
  await userEvent.type(form.getByLabelText("Job and workplace"), ", upstairs");
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  expect((await form.findByRole("alert")).textContent).toContain("Tom Averly");
  expect(form.getByDisplayValue(/upstairs$/)).toBeTruthy();
});

test("erasing asks for the name and a reason, and hands over the proof before anything is left", async () => {
  const erasure: Schemas["ErasureView"] = {
    id: "erasure-1",
    client: "Odile Marrick",
    what: "client",
    reason: "mistake",
    at: "2026-11-30T10:00:00Z",
    by_name: "Ines Calloway",
    left_over: 0,
    counts: ["2 visits", "31 entries"],
    backups_until: "2026-12-15T00:00:00Z",
  };
  const { server, router } = await open({ "DELETE /api/clients/client-1": { body: erasure } });
  await userEvent.click(await screen.findByRole("button", { name: "Delete…" }));
  const dialog = within(screen.getByRole("dialog", { name: "Delete Odile Marrick?" }));
  const button = dialog.getByRole("button", { name: "Delete client" }) as HTMLButtonElement;
  await userEvent.type(dialog.getByLabelText("Type the client’s name to confirm"), "Odile Marric");
  expect(button.disabled).toBe(true);
  await userEvent.type(dialog.getByLabelText("Type the client’s name to confirm"), "k ");
  await userEvent.click(dialog.getByRole("radio", { name: "Created by mistake" }));
  await userEvent.click(button);
  const proof = within(await screen.findByRole("dialog", { name: "Deleted" }));
  expect(proof.getByText("31 entries")).toBeTruthy();
  expect(
    proof.getByText(
      /nothing is left in the database\. Earlier backups contain it until 15 December/,
    ),
  ).toBeTruthy();
  const erased = server.calls.find(({ key }) => key.startsWith("DELETE"));
  expect(erased?.query).toEqual({ reason: "mistake" });
  await userEvent.click(proof.getByRole("button", { name: "Done" }));
  await expect.poll(() => router.state.location.pathname).toBe("/clients");
});

test("the proof’s paper is asked for with the name, which is kept nowhere", async () => {
  URL.createObjectURL = vi.fn(() => "blob:proof");
  URL.revokeObjectURL = vi.fn();
  const saved = vi.spyOn(HTMLAnchorElement.prototype, "click").mockImplementation(() => undefined);
  const erasure = { id: "erasure-1", what: "client", at: "2026-11-30T10:00:00Z", counts: [] };
  const { server } = await open({
    "DELETE /api/clients/client-1": { body: { ...erasure, left_over: 2, backups_until: null } },
    "POST /api/erasures/erasure-1/proof.pdf": new Response("%PDF"),
  });
  await userEvent.click(await screen.findByRole("button", { name: "Delete…" }));
  await userEvent.type(screen.getByLabelText("Type the client’s name to confirm"), "Odile Marrick");
  await userEvent.click(screen.getByRole("button", { name: "Delete client" }));
  expect(
    await screen.findByText(/^2 rows still contain it.*No backups are made by this program\.$/),
  ).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Certificate for the client" }));
  await expect.poll(() => saved.mock.calls.length).toBe(1);
  expect(server.sent("POST /api/erasures/erasure-1/proof.pdf")).toEqual({
    client: "Odile Marrick",
  });
});

test("who sees a client: nobody loses an open visit unknowingly", async () => {
  const me = aMember();
  const members = [
    { id: me.id, name: me.name, email: me.email, title: me.title, sees_health: true },
    { ...TOM, title: "Ergonomist", sees_health: true },
    { id: "member-3", name: "Sam Reed", email: "sam@example.org", title: "", sees_health: false },
  ];
  const { server } = await open({
    "GET /api/members": { body: members },
    "GET /api/restricted/client-1": {
      body: {
        client_id: "client-1",
        client: "Odile Marrick",
        restricted: false,
        members: [],
        working: ["member-2"],
      },
    },
    "PUT /api/restricted/client-1": { body: {} },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Access" }));
  const dialog = within(await screen.findByRole("dialog", { name: "Who can see Odile Marrick?" }));
  await userEvent.click(await dialog.findByRole("radio", { name: "Selected members only" }));
  const named = () =>
    dialog.getAllByRole("checkbox").map((box) => box.getAttribute("aria-checked"));
  expect(named()).toEqual(["true", "true", "false"]); // oneself, and who is in the middle of a visit
  expect(dialog.getByText("without health data")).toBeTruthy();
  await userEvent.click(dialog.getByRole("checkbox", { name: /Tom Averly/ }));
  expect(dialog.getByRole("alert").textContent).toContain("Tom Averly has an open visit");
  await userEvent.click(dialog.getByRole("button", { name: "Save anyway" }));
  expect(server.sent("PUT /api/restricted/client-1")).toEqual({
    restricted: true,
    members: ["member-1"],
    knowing: true,
  });
});

test("a link is made for the visit it is about, and its code is shown once", async () => {
  const { server } = await open({
    "GET /api/visits": {
      body: [aLine(), aLine({ id: "visit-0", state: "signed", shared_report: null })],
    },
    "GET /api/languages": {
      body: [
        { language: "en", name: "English", direction: "ltr", open: 0 },
        { language: "ar", name: "العربية", direction: "rtl", open: 3 },
      ],
    },
    "POST /api/links": {
      status: 201,
      body: { link: aLink(), url: "https://plumb.example/own#abc", code: "482913" },
    },
    "POST /api/links/link-1/mail": { status: 202, body: {} },
  });
  await userEvent.click(await screen.findByRole("button", { name: "New link…" }));
  const form = within(screen.getByRole("dialog", { name: "New link" }));
  const workplace = form.getByRole("radio", { name: /^For the workplace/ }) as HTMLButtonElement;
  expect(workplace.disabled).toBe(true); // no paper was shared with it
  await userEvent.click(await form.findByRole("radio", { name: "العربية" }));
  await userEvent.type(form.getByLabelText("Open for (days)"), "2x1");
  await userEvent.click(form.getByRole("button", { name: "Create link" }));
  expect(server.sent("POST /api/links")).toEqual({
    visit_id: "visit-1",
    kind: "before",
    language: "ar",
    days: 21,
  });
  const told = within(await screen.findByRole("dialog", { name: "Link and code" }));
  expect(told.getByTestId("own-code").textContent).toBe("482913");
  await userEvent.click(told.getByRole("button", { name: "Send the link to odile@example.org" }));
  expect((await told.findByRole("status")).textContent).toBe("Sending to odile@example.org.");
});

test("a link tells how it stands, what came back and what became of its mail", async () => {
  const rounds: Schemas["RoundView"][] = [
    {
      id: "r1",
      round: "week_1",
      due_on: "2026-11-27",
      sent_at: "2026-11-28T10:00:00Z",
      decided: null,
    },
    { id: "r2", round: "week_3", due_on: "2026-12-11", sent_at: null, decided: null },
    {
      id: "r3",
      round: "before",
      due_on: "2026-11-20",
      sent_at: "2026-11-21T10:00:00Z",
      decided: "call",
    },
  ];
  const mails = [
    aMail({ state: "sent", sent_at: "2026-11-21T10:00:00Z" }),
    aMail({ state: "failed", kind: "check", trouble: "The address does not exist." }),
    aMail({ state: "waiting", tries: 2, trouble: "The mailbox is full." }),
    aMail({ state: "dropped" }),
    aMail({ state: "sending" }),
  ];
  await open({
    "GET /api/visits": { body: [aLine()] },
    "GET /api/clients/client-1/links": {
      body: [
        aLink({ kind: "after", opened_at: "2026-11-22T10:00:00Z", rounds, mails, language: "ar" }),
        aLink({ id: "link-2", revoked_at: "2026-11-23T10:00:00Z", works: false }),
        aLink({ id: "link-3", works: false, ends_on: "2026-11-24" }),
      ],
    },
  });
  const section = within(await screen.findByRole("region", { name: "Client’s page" }));
  expect(await section.findByText(/opened 22 Nov.*open until 20 Dec.*in ar/)).toBeTruthy();
  expect(section.getByText(/closed on 23 Nov/)).toBeTruthy();
  expect(section.getByText(/ended on 24 Nov/)).toBeTruthy();
  expect(section.getByRole("link", { name: /After 1 week: answers of 28 Nov/ })).toBeTruthy();
  expect(section.getByText("to review")).toBeTruthy();
  expect(section.getByText(/due 11 Dec/)).toBeTruthy();
  expect(section.getByText("Call")).toBeTruthy();
  for (const words of [
    /^Link emailed to odile@example.org on 21 Nov/,
    "Questions to odile@example.org: not sent. The address does not exist.",
    "Link to odile@example.org: tried 2 times; will try again. The mailbox is full.",
    "Link to odile@example.org: cancelled before it was sent.",
    /sending/,
  ])
    expect(section.getByText(words)).toBeTruthy();
});

test("closing a link is asked once more", async () => {
  const { server } = await open({
    "GET /api/visits": { body: [aLine()] },
    "GET /api/clients/client-1/links": { body: [aLink()] },
    "DELETE /api/links/link-1": { status: 204 },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Close link" }));
  const ask = within(await screen.findByRole("alertdialog", { name: "Close this link?" }));
  await userEvent.click(ask.getByRole("button", { name: "Cancel" }));
  expect(server.asked).not.toContain("DELETE /api/links/link-1");
  await userEvent.click(screen.getByRole("button", { name: "Close link" }));
  await userEvent.click(
    within(await screen.findByRole("alertdialog")).getByRole("button", { name: "Close link" }),
  );
  expect(server.asked).toContain("DELETE /api/links/link-1");
});

test("what happened is one line of time, the body a table over the visits", async () => {
  await open({
    "GET /api/clients/client-1/history": {
      body: {
        events: [
          { at: "2026-11-25T09:00:00Z", kind: "visit", says: "Visit begun", visit_id: "visit-1" },
          {
            at: "2026-11-25T11:00:00Z",
            kind: "signed",
            says: "Report signed",
            report_id: "report-1",
            copies: ["client", "record"],
          },
          {
            at: "2026-11-28T11:00:00Z",
            kind: "answers",
            says: "Answers after 1 week",
            check_id: "r1",
          },
          { at: "2026-11-29T11:00:00Z", kind: "note", says: "Photos erased" },
        ],
        visits: ["25 Nov"],
        body: [
          { label: "Popliteal height", values: ["44.1 cm"] },
          { label: "Stature", values: [""] },
        ],
      },
    },
  });
  const time = within(await screen.findByRole("region", { name: "Over time" }));
  expect(time.getByRole("link", { name: "Visit begun" }).getAttribute("href")).toBe(
    "/visits/visit-1/ask",
  );
  expect(time.getByRole("link", { name: "Client’s report" }).getAttribute("href")).toBe(
    "/api/reports/report-1.pdf?copy=client",
  );
  expect(time.getByRole("link", { name: "Answers after 1 week" })).toBeTruthy();
  const body = within(screen.getByRole("region", { name: "Measurements over time" }));
  expect(body.getByRole("row", { name: /Popliteal height 44\.1 cm/ })).toBeTruthy();
  expect(body.getByRole("row", { name: /Stature –/ })).toBeTruthy();
});

test("who sees no health data sees neither answers nor measurements", async () => {
  const { server } = await open(
    {},
    { role: "reader", writes: false, office: false, sees_health: false },
  );
  await screen.findByRole("heading", { level: 1 });
  expect(screen.queryByRole("region", { name: "Client’s page" })).toBeNull();
  expect(server.asked.some((key) => key.endsWith("/history"))).toBe(false);
});
