import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { aClient, aLine, openPage } from "@/test/page";
import { refused } from "@/test/server";

const nadia = aClient({ id: "client-2", name: "Nadia Orrin", work: "Bookbinder" });

test("a client is one line: who, when seen last, when due, and one press from a visit", async () => {
  const odile = aClient({ last_visit: "2026-11-20", follow_up: "2026-12-18" });
  const { server, router } = await openPage("/clients", {
    "GET /api/clients": { body: [odile, nadia] },
    "POST /api/visits": { status: 201, body: { id: "visit-9" } },
  });
  const [first, second] = await screen.findAllByRole("listitem");
  expect(first?.textContent).toContain("Last visit 20 Nov");
  expect(first?.textContent).toContain("Follow-up 18 Dec");
  expect(second?.textContent).toContain("No visits yet");
  await userEvent.click(screen.getByRole("button", { name: "New visit for Odile Marrick" }));
  expect(server.sent("POST /api/visits")).toMatchObject({
    client_id: "client-1",
    from_visit: null,
  });
  await expect.poll(() => router.state.location.pathname).toBe("/visits/visit-9/ask");
});

test("a visit begun on this device counts before the server’s list knows it", async () => {
  await openPage("/clients", {
    "GET /api/clients": { body: [aClient({ last_visit: "2026-11-01", follow_up: "2026-12-01" })] },
    "GET /api/visits": { body: [aLine({ started_on: "2026-11-30", follow_up: null })] },
  });
  const line = await screen.findByRole("listitem");
  expect(line.textContent).toContain("Last visit 30 Nov");
  expect(line.textContent).not.toContain("Follow-up");
});

test("what is looked for is asked of the server once the hand rests, and shown at once", async () => {
  const { server } = await openPage("/clients", {
    "GET /api/clients": { body: [aClient(), nadia] },
  });
  await screen.findByText("Nadia Orrin");
  await userEvent.type(screen.getByRole("searchbox", { name: "Find a client" }), "od");
  expect(screen.queryByText("Nadia Orrin")).toBeNull();
  expect(screen.getByText("Odile Marrick")).toBeTruthy();
  const searches = () =>
    server.calls.filter(({ key, query }) => key === "GET /api/clients" && query.q);
  await expect.poll(() => searches().map(({ query }) => query.q)).toEqual(["od"]);
});

test("a name that nobody has is offered as a new client, with what was typed", async () => {
  const { server } = await openPage("/clients", {
    "POST /api/clients": { status: 201, body: aClient({ id: "client-3", name: "Pia" }) },
    "POST /api/visits": { status: 201, body: { id: "visit-9" } },
  });
  await userEvent.type(await screen.findByRole("searchbox"), "Pia");
  await userEvent.click(await screen.findByRole("button", { name: "Add “Pia” as a new client" }));
  const form = within(await screen.findByRole("dialog", { name: "New client" }));
  expect((form.getByLabelText("Name") as HTMLInputElement).value).toBe("Pia");
  await userEvent.type(form.getByLabelText("Year of birth"), "1990");
  await userEvent.click(form.getByRole("radio", { name: "Combined" }));
  await userEvent.click(form.getByRole("button", { name: "Save and start visit" }));
  expect(server.sent("POST /api/clients")).toMatchObject({
    name: "Pia",
    birth_year: 1990,
    sex: null,
  });
  await expect.poll(() => server.asked.filter((key) => key === "POST /api/visits").length).toBe(1);
});

test("sent again after a refusal it is the same client, and the refusal stands in the form", async () => {
  const { server } = await openPage("/clients", {
    "POST /api/clients": refused(422, "Year of birth: 1884 is outside 1900 to 2026."),
  });
  await userEvent.click(await screen.findByRole("button", { name: "New client" }));
  const form = within(screen.getByRole("dialog"));
  await userEvent.type(form.getByLabelText("Name"), "Pia");
  await userEvent.click(form.getByRole("button", { name: "Save and start visit" }));
  expect((await form.findByRole("alert")).textContent).toContain("1884 is outside");
  await userEvent.click(form.getByRole("button", { name: "Save and start visit" }));
  const ids = server.calls
    .filter(({ key }) => key === "POST /api/clients")
    .map(({ body }) => (body as { id: string }).id);
  expect(new Set(ids).size).toBe(1);
  expect(ids.length).toBe(2);
});

test("who may not write sees the list, and nothing that changes it", async () => {
  await openPage(
    "/clients",
    { "GET /api/clients": { body: [aClient()] } },
    { role: "reader", writes: false, office: false },
  );
  await screen.findByText("Odile Marrick");
  for (const name of [/New visit/, "New client", "Import…", "Reports…"])
    expect(screen.queryByRole("button", { name })).toBeNull();
});

test("an assistant adds a client without beginning a visit", async () => {
  const { server } = await openPage(
    "/clients",
    { "POST /api/clients": { status: 201, body: aClient() } },
    { role: "assistant", writes: false, office: true },
  );
  await userEvent.click(await screen.findByRole("button", { name: "New client" }));
  const form = within(screen.getByRole("dialog"));
  await userEvent.type(form.getByLabelText("Name"), "Odile Marrick");
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  await expect.poll(() => screen.queryByRole("dialog")).toBeNull();
  expect(server.asked).not.toContain("POST /api/visits");
});

test("a list that can’t be fetched says why instead of looking empty", async () => {
  await openPage("/clients", {
    "GET /api/clients": refused(503, "The database is not responding."),
  });
  expect((await screen.findByRole("alert")).textContent).toBe("The database is not responding.");
  expect(screen.queryByText("No clients yet.")).toBeNull();
});

test("papers of a period are asked for, watched while they are made, and let go", async () => {
  const job = {
    id: "job-1",
    kind: "papers",
    since: "2026-09-01",
    until: "2026-11-30",
    copy: "client",
  };
  const waits = {
    ...job,
    state: "waiting",
    says: "",
    made_at: "2026-11-30T09:00:00Z",
    done_at: null,
  };
  const { server } = await openPage("/clients", {
    "POST /api/bulk/papers": { status: 202, body: waits },
    "DELETE /api/bulk/job-1": { status: 204 },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Reports…" }));
  const dialog = within(screen.getByRole("dialog"));
  await userEvent.click(dialog.getByRole("radio", { name: "Workplace’s" }));
  server.answers["GET /api/bulk"] = { body: [waits] };
  await userEvent.click(dialog.getByRole("button", { name: "Create ZIP" }));
  expect(server.sent("POST /api/bulk/papers")).toMatchObject({ which: "workplace" });
  expect((await dialog.findByRole("status")).textContent).toBe("waits");
  server.answers["GET /api/bulk"] = { body: [{ ...waits, state: "done", says: "12 papers" }] };
  await dialog.findByText("12 papers", {}, { timeout: 5000 });
  expect(dialog.getByRole("button", { name: "Download" })).toBeTruthy();
  server.answers["GET /api/bulk"] = { body: [] };
  await userEvent.click(dialog.getByRole("button", { name: /^Remove:/ }));
  await expect.poll(() => dialog.queryByRole("listitem")).toBeNull();
});

test("an archive is imported only with the client’s word, and leads to the client", async () => {
  const { server, router } = await openPage("/clients", {
    "POST /api/clients/archive": { status: 201, body: aClient({ id: "client-7" }) },
    "GET /api/clients/client-7/history": { body: { events: [], visits: [], body: [] } },
    "GET /api/clients/client-7/links": { body: [] },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Import…" }));
  const dialog = within(screen.getByRole("dialog", { name: "Import a client" }));
  const button = () => dialog.getByRole("button", { name: "Import" }) as HTMLButtonElement;
  expect(button().disabled).toBe(true);
  await userEvent.upload(dialog.getByLabelText("Archive (ZIP)"), new File(["zip"], "odile.zip"));
  expect(button().disabled).toBe(true);
  await userEvent.click(dialog.getByRole("checkbox"));
  await userEvent.click(button());
  await expect.poll(() => router.state.location.pathname).toBe("/clients/client-7");
  expect(server.calls.find(({ key }) => key === "POST /api/clients/archive")?.query).toEqual({
    agreed: "true",
  });
});

test("a large archive is left to a worker, and what becomes of it is told", async () => {
  const job = { id: "job-2", kind: "import", since: null, until: null, copy: "", state: "working" };
  const made = { ...job, says: "", made_at: "2026-11-30T09:00:00Z", done_at: null };
  const { server } = await openPage("/clients", {
    "POST /api/bulk/import": { status: 202, body: made },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Import…" }));
  const dialog = within(screen.getByRole("dialog"));
  const large = new File([new Uint8Array(5_000_001)], "large.zip");
  await userEvent.upload(dialog.getByLabelText("Archive (ZIP)"), large);
  await userEvent.click(dialog.getByRole("checkbox"));
  server.answers["GET /api/bulk"] = {
    body: [{ ...made, state: "failed", says: "No archive of ours." }],
  };
  await userEvent.click(dialog.getByRole("button", { name: "Import" }));
  expect((await dialog.findByText("No archive of ours.")).textContent).toBeTruthy();
  expect(dialog.getAllByRole("button", { name: "Close" }).length).toBe(2);
});
