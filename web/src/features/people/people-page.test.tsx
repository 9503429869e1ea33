import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { aMember, openPage } from "@/test/page";
import { type Answers, refused } from "@/test/server";

type Member = Schemas["MemberView"];
const me = aMember();
const ines: Member = {
  id: me.id,
  email: me.email,
  name: me.name,
  title: me.title,
  role: "owner",
  sees_health: true,
  registration: "",
  language: "",
  has_second_factor: true,
};
const rhea: Member = {
  id: "member-2",
  email: "rhea@example.org",
  name: "Rhea Stone",
  title: "",
  role: "reader",
  sees_health: false,
  registration: "",
  language: "",
  has_second_factor: true,
};
const link = {
  id: "door-1",
  kind: "invitation",
  email: "sam@example.org",
  name: "Sam Reed",
  role: "assistant",
  made_by: "Ines Calloway",
  made_at: "2026-11-30T09:00:00Z",
  ends_at: "2026-12-07T09:00:00Z",
  letter: "failed",
  trouble: "The mailbox does not exist.",
};

const open = (answers: Answers = {}, over = {}) =>
  openPage(
    "/people",
    {
      "GET /api/members": { body: [ines, rhea] },
      "GET /api/invitations": { body: [] },
      "GET /api/restricted": { body: [] },
      ...answers,
    },
    over,
  );

test("the team stands with what each may do; nobody takes oneself out", async () => {
  await open();
  const team = await screen.findByRole("list", { name: "Team" });
  const lines = await within(team).findAllByRole("listitem");
  expect(lines.map(({ textContent }) => textContent)).toEqual([
    expect.stringContaining("Owner: full access"),
    expect.stringContaining("Reader: visit dates"),
  ]);
  expect(within(lines[0] as HTMLElement).queryByRole("button")).toBeNull();
  expect(within(lines[1] as HTMLElement).getAllByRole("button").length).toBe(3);
});

test("who is no owner sees the team, and neither settings nor buttons", async () => {
  await open({}, { role: "practitioner" });
  await screen.findByText("Rhea Stone");
  expect(screen.queryByRole("form", { name: "Settings" })).toBeNull();
  expect(screen.queryByRole("button", { name: /Remove from team/ })).toBeNull();
  expect((screen.getByRole("checkbox") as HTMLButtonElement).disabled).toBe(true);
});

test("a reader is granted health data, a lost second factor is reset", async () => {
  const { server } = await open({
    "PUT /api/members/member-2/health": refused(403, "An owner grants this."),
    "DELETE /api/members/member-2/second-factor": { status: 204 },
  });
  await userEvent.click(await screen.findByRole("checkbox", { name: /Can view health data/ }));
  expect(server.sent("PUT /api/members/member-2/health")).toEqual({ sees_health: true });
  expect((await screen.findByRole("alert")).textContent).toBe("An owner grants this.");
  await userEvent.click(screen.getByRole("button", { name: /Reset two-step sign-in.*Rhea Stone/ }));
  expect(server.asked).toContain("DELETE /api/members/member-2/second-factor");
});

test("somebody who has left is taken out only after it was asked", async () => {
  const { server } = await open({ "DELETE /api/members/member-2": { status: 204 } });
  await userEvent.click(
    await screen.findByRole("button", { name: /Remove from team.*Rhea Stone/ }),
  );
  const dialog = within(screen.getByRole("dialog", { name: "Remove Rhea Stone from the team?" }));
  await userEvent.click(dialog.getByRole("button", { name: "Cancel" }));
  expect(server.asked).not.toContain("DELETE /api/members/member-2");
  await userEvent.click(screen.getByRole("button", { name: /Remove from team.*Rhea Stone/ }));
  await userEvent.click(screen.getByRole("button", { name: "Remove from team" }));
  expect(server.asked).toContain("DELETE /api/members/member-2");
});

test("an invitation says what its role may do, and that its mail is on its way", async () => {
  const { server } = await open({
    "POST /api/invitations": { status: 201, body: { link, mailed: true, url: "" } },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Invite a member" }));
  const form = within(screen.getByRole("dialog", { name: "Invite a member" }));
  await userEvent.type(form.getByLabelText("Name"), "Sam Reed");
  await userEvent.type(form.getByLabelText("Email"), "sam@example.org");
  await userEvent.click(form.getByRole("radio", { name: "Assistant" }));
  expect(form.getByText(/No access to visits or health data/)).toBeTruthy();
  await userEvent.click(form.getByRole("button", { name: "Send invitation" }));
  expect(server.sent("POST /api/invitations")).toEqual({
    name: "Sam Reed",
    title: "",
    email: "sam@example.org",
    role: "assistant",
  });
  expect((await screen.findByRole("status")).textContent).toContain(
    "on its way to sam@example.org",
  );
});

test("without a mail server the link is shown this once, to be handed over", async () => {
  const url = "https://plumb.example/enter#abc";
  const write = vi.fn(async () => undefined);
  Object.defineProperty(navigator, "clipboard", {
    value: { writeText: write },
    configurable: true,
  });
  await open({ "POST /api/members/member-2/reset": { body: { link, mailed: false, url } } });
  await userEvent.click(await screen.findByRole("button", { name: /Reset password.*Rhea Stone/ }));
  await userEvent.click(screen.getByRole("button", { name: "Create link" }));
  const told = within(await screen.findByRole("dialog", { name: "Link created" }));
  expect(told.getByText(url)).toBeTruthy();
  Object.defineProperty(navigator, "clipboard", {
    value: { writeText: write },
    configurable: true,
  });
  await userEvent.click(told.getByRole("button", { name: "Copy link" }));
  expect(write).toHaveBeenCalledWith(url);
  expect(await told.findByRole("button", { name: "Copied" })).toBeTruthy();
});

test("links that wait say why their mail failed, are made again or withdrawn", async () => {
  const { server } = await open({
    "GET /api/invitations": {
      body: [link, { ...link, id: "door-2", kind: "reset", role: "", letter: "sent" }],
    },
    "POST /api/invitations/door-1/again": { body: { link, mailed: true, url: "" } },
    "DELETE /api/invitations/door-2": { status: 204 },
  });
  const section = within(await screen.findByRole("region", { name: "Pending invitations" }));
  const [first, second] = section.getAllByRole("listitem") as [HTMLElement, HTMLElement];
  expect(first.textContent).toMatch(
    /Assistant, until 7 December.*: mail failed\. The mailbox does not exist\./,
  );
  expect(second.textContent).toMatch(/Password reset.*mail sent/);
  await userEvent.click(within(first).getByRole("button", { name: /New link/ }));
  await userEvent.click(await screen.findByRole("button", { name: "Done" }));
  await userEvent.click(within(second).getByRole("button", { name: /Withdraw/ }));
  expect(server.asked).toContain("DELETE /api/invitations/door-2");
});

test("settings are saved as numbers, a comma read as a point, an empty sum as none", async () => {
  const { server } = await open({ "PUT /api/practice": { body: {} } });
  const form = within(await screen.findByRole("form", { name: "Settings" }));
  const save = form.getByRole("button", { name: "Save" }) as HTMLButtonElement;
  expect(save.disabled).toBe(true);
  await userEvent.clear(form.getByLabelText("Small purchase"));
  await userEvent.type(form.getByLabelText("Medium purchase"), "249,50");
  await userEvent.click(form.getByRole("radio", { name: "Month first, 12/25" }));
  await userEvent.click(form.getByRole("checkbox", { name: /two-step sign-in/ }));
  await userEvent.clear(form.getByLabelText("Lock after (minutes of inactivity)"));
  await userEvent.type(form.getByLabelText("Lock after (minutes of inactivity)"), "5");
  await userEvent.click(save);
  expect(server.sent("PUT /api/practice")).toMatchObject({
    price_small: null,
    price_medium: 249.5,
    price_large: null,
    currency: "EUR",
    date_order: "mdy",
    second_factor: true,
    idle_minutes: 5,
    device_days: 14,
  });
});

test("clients open to some only are listed with who sees them", async () => {
  await open({
    "GET /api/restricted": {
      body: [
        {
          client_id: "c1",
          client: "Odile Marrick",
          restricted: true,
          members: ["member-2"],
          working: [],
        },
        {
          client_id: "c2",
          client: "Nadia Orrin",
          restricted: true,
          members: ["gone"],
          working: [],
        },
      ],
    },
  });
  const section = within(
    await screen.findByRole("region", { name: "Clients with restricted access" }),
  );
  expect(section.getByText("visible to Rhea Stone")).toBeTruthy();
  expect(section.getByText("visible to nobody who is still here")).toBeTruthy();
});

test("a language file that can’t be read says line by line what is wrong with it", async () => {
  const { server } = await open({
    "GET /api/languages": {
      body: [
        { language: "en", name: "English", direction: "ltr", open: 0, built_in: true },
        { language: "he", name: "עברית", direction: "rtl", open: 4, built_in: false },
      ],
    },
    "PUT /api/languages": refused(422, "2 messages can’t be used.", {
      lines: [{ field: "own.hello", reason: "{name} is missing." }],
    }),
    "DELETE /api/languages/he": { status: 204 },
  });
  const section = within(await screen.findByRole("region", { name: "Languages" }));
  expect(await section.findByText("4 messages not translated, right to left")).toBeTruthy();
  await userEvent.upload(
    section.getByLabelText("Language file"),
    new File(["{}"], "he.json", { type: "application/json" }),
  );
  expect((await section.findByRole("alert")).textContent).toContain(
    "own.hello: {name} is missing.",
  );
  await userEvent.click(section.getByRole("button", { name: "Remove עברית" }));
  expect(server.asked).toContain("DELETE /api/languages/he");
});
