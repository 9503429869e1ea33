import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { openPage } from "@/test/page";
import { refused } from "@/test/server";

const keeping: Schemas["RetentionView"] = {
  keep_signed_years: 8,
  keep_unsigned_years: null,
  keep_photographs_months: null,
  due: [
    {
      client_id: "client-1",
      client: "Odile Marrick",
      what: "photographs",
      signed: 0,
      photographs: 2,
      last_on: "2026-01-10",
      due_on: "2026-11-10",
    },
  ],
  erased: [
    {
      id: "erasure-1",
      client: "",
      what: "client",
      reason: "due",
      at: "2026-11-20T10:00:00Z",
      by_name: "Ines Calloway",
      counts: ["1 visit"],
      left_over: 0,
      backups_until: null,
    },
  ],
};

test("periods are saved as whole numbers, an empty one as none", async () => {
  const { server } = await openPage("/retention", {
    "GET /api/retention": { body: keeping },
    "PUT /api/retention": { body: {} },
  });
  const form = within(await screen.findByRole("form", { name: "Retention periods" }));
  await userEvent.clear(form.getByLabelText("With a signed report, years"));
  await userEvent.type(form.getByLabelText("Photos, months"), "10");
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  expect(server.sent("PUT /api/retention")).toEqual({
    keep_signed_years: null,
    keep_unsigned_years: null,
    keep_photographs_months: 10,
  });
});

test("what is due says what it holds, and is erased for that reason", async () => {
  const { server } = await openPage("/retention", {
    "GET /api/retention": { body: keeping },
    "DELETE /api/clients/client-1/photos": {
      body: { ...keeping.erased[0], what: "photos" },
    },
  });
  const due = within(await screen.findByRole("region", { name: "Due for deletion" }));
  expect(due.getByText(/: 2 photos/)).toBeTruthy();
  expect(due.getByText(/last 10 January.*due since 10 November/)).toBeTruthy();
  await userEvent.click(due.getByRole("button", { name: "Delete…" }));
  const dialog = within(
    screen.getByRole("dialog", { name: "Delete the photos of Odile Marrick?" }),
  );
  expect(
    dialog.getByRole("radio", { name: "Retention period has ended" }).getAttribute("aria-checked"),
  ).toBe("true");
  await userEvent.type(dialog.getByLabelText("Type the client’s name to confirm"), "Odile Marrick");
  await userEvent.click(dialog.getByRole("button", { name: "Delete photos" }));
  const erased = server.calls.find(({ key }) => key.startsWith("DELETE"));
  expect(erased?.query).toEqual({ reason: "due" });
});

test("what was erased is kept without a name; one typed for the paper is kept nowhere", async () => {
  await openPage("/retention", { "GET /api/retention": { body: { ...keeping, due: [] } } });
  const erased = within(await screen.findByRole("region", { name: "Deleted" }));
  expect(erased.getByText(/its time was over\./)).toBeTruthy();
  await userEvent.click(erased.getByRole("button", { name: "Certificate…" }));
  expect(erased.getByLabelText("Name on the certificate")).toBeTruthy();
  expect(screen.getByText("Nothing is due.")).toBeTruthy();
});

test("without a period nothing is ever due, and the page says so", async () => {
  const none = { ...keeping, keep_signed_years: null, due: [], erased: [] };
  await openPage("/retention", { "GET /api/retention": { body: none } });
  expect(await screen.findByText("No period is set, so nothing is due.")).toBeTruthy();
});

const running: Schemas["Running"] = {
  version: "0.21.0",
  backups: true,
  late: false,
  backup_trouble: null,
  kept_days: 14,
  last_backup: { file: "plumb.age", at: "2026-11-29T02:00:00Z", size: 12_300_000 } as never,
  worker_heard: "2026-11-30T09:00:00Z",
  worker_lost: false,
  waiting: 2,
  failed_jobs: 1,
  failed: [],
};

test("an owner sees the last backup, what waits and which version runs", async () => {
  await openPage("/status", { "GET /api/system-status": { body: running } });
  const backups = await screen.findByRole("region", { name: "Backups" });
  expect(backups.textContent).toContain("12.3 MB, encrypted and read back.");
  expect(backups.textContent).toContain("kept for 14 days");
  expect(screen.getByText(/2 waiting, 1 failed.*Gentle Plumb 0\.21\.0/)).toBeTruthy();
  expect(screen.queryByRole("alert")).toBeNull();
});

test.each([
  [{ late: true, last_backup: null }, "No backup yet."],
  [{ late: true }, "That is too old. Contact your administrator."],
  [
    { late: true, backup_trouble: { at: "2026-11-30T02:00:00Z", detail: "No room on the disk." } },
    "No room on the disk.",
  ],
  [{ worker_lost: true }, "Background tasks have not run since"],
  [{ worker_lost: true, worker_heard: null }, "Background tasks have never run."],
])("trouble is said where it is: %o", async (over, words) => {
  await openPage("/status", { "GET /api/system-status": { body: { ...running, ...over } } });
  const alerts = await screen.findAllByRole("alert");
  expect(alerts.map(({ textContent }) => textContent).join()).toContain(words);
  expect(alerts.length).toBe(1);
});

test("a mail that was given up leads to where it is sent again, or is let go", async () => {
  const mail = { id: "mail-1", to: "odile@example.org", what: "Link", at: "2026-11-28T09:00:00Z" };
  const failed = [
    { ...mail, trouble: "The mailbox is full.", client_id: "client-1" },
    { ...mail, id: "mail-2", to: "sam@example.org", trouble: "No such host.", client_id: null },
  ];
  const { server } = await openPage("/status", {
    "GET /api/system-status": { body: { ...running, failed } },
    "DELETE /api/system-status/failed/mail-2": { status: 204 },
  });
  const section = within(await screen.findByRole("region", { name: "Failed email" }));
  expect(section.getByRole("link", { name: /from the client/ }).getAttribute("href")).toBe(
    "/clients/client-1",
  );
  expect(section.getByRole("link", { name: /under Practice/ }).getAttribute("href")).toBe(
    "/people",
  );
  await userEvent.click(section.getByRole("button", { name: /Dismiss.*sam@example\.org/ }));
  expect(server.asked).toContain("DELETE /api/system-status/failed/mail-2");
});

const lineOf = (number: number): Schemas["AuditLineView"] => ({
  number,
  at: "2026-11-30T09:05:00Z",
  who: "Ines Calloway",
  act: "read",
  says: "Read a visit",
  what: "",
  client_id: "client-1",
  client: "Odile Marrick",
  visit_id: null,
  digest: "0a",
});

test("the audit log is asked by client, person, act and day, and handed over as it is asked", async () => {
  const { server } = await openPage("/audit-log?client=client-1", {
    "GET /api/audit-log": { body: [lineOf(7)] },
    "GET /api/members": { body: [{ id: "member-2", name: "Tom Averly" }] },
  });
  const list = within(await screen.findByRole("list", { name: "Activity log" }));
  expect(await list.findByText("Read a visit")).toBeTruthy();
  const asked = () => server.calls.filter(({ key }) => key === "GET /api/audit-log").at(-1)?.query;
  expect(asked()).toEqual({ client: "client-1", carried: "false" });
  await userEvent.click(screen.getByRole("checkbox", { name: /Include copies/ }));
  await expect.poll(asked).toEqual({ client: "client-1", carried: "true" });
  await userEvent.click(screen.getByRole("combobox", { name: "What" }));
  await userEvent.click(await screen.findByRole("option", { name: "Exported" }));
  await expect.poll(asked).toEqual({ client: "client-1", carried: "true", act: "export" });
  server.answers["GET /api/audit-log"] = { body: [] };
  await userEvent.type(screen.getByLabelText("From"), "2026-11-01");
  expect(await screen.findByText("No entries match.")).toBeTruthy();
  expect(asked()).toMatchObject({ since: "2026-11-01" });
});

test("two hundred lines are a page; earlier ones come below, and there is a way back", async () => {
  const page = Array.from({ length: 200 }, (_, value) => lineOf(400 - value));
  const { server } = await openPage("/audit-log", {
    "GET /api/audit-log": ({ url }) => ({
      body: url.includes("before=201") ? [lineOf(200)] : page,
    }),
  });
  await userEvent.click(await screen.findByRole("button", { name: "Earlier entries" }));
  await expect.poll(() => server.calls.at(-1)?.query.before).toBe("201");
  await expect.poll(() => screen.queryByRole("button", { name: "Earlier entries" })).toBeNull();
  await userEvent.click(screen.getByRole("button", { name: "Latest entries" }));
  expect(await screen.findByRole("button", { name: "Earlier entries" })).toBeTruthy();
});

test.each([
  ["/retention", "/api/retention"],
  ["/status", "/api/system-status"],
  ["/audit-log", "/api/audit-log"],
])("%s says why it shows nothing", async (path, asked) => {
  await openPage(path, { [`GET ${asked}`]: refused(403, "An owner sees this.") });
  expect((await screen.findByRole("alert")).textContent).toBe("An owner sees this.");
});
