import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import { aMember, openPage } from "@/test/page";
import { type Answers, refused } from "@/test/server";

const FIREFOX = "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0";
const session = (id: string, over = {}) => ({
  id,
  started_at: "2026-11-29T09:00:00Z",
  expires_at: "2026-11-30T21:00:00Z",
  browser: FIREFOX,
  here: false,
  ...over,
});
const open = (answers: Answers = {}, me = {}) =>
  openPage(
    "/account",
    { "GET /api/sessions": { body: [session("s1", { here: true })] }, ...answers },
    me,
  );

test("how one signs is saved trimmed, and only once it is something else", async () => {
  const { server } = await open({ "PUT /api/me/registration": { body: {} } });
  const form = within(await screen.findByRole("form", { name: "Signature" }));
  const save = form.getByRole("button", { name: "Save" }) as HTMLButtonElement;
  await userEvent.type(form.getByLabelText("Profession"), "  ");
  expect(save.disabled).toBe(true);
  await userEvent.type(form.getByLabelText("Registration number"), "23 ");
  await userEvent.click(save);
  expect(server.sent("PUT /api/me/registration")).toEqual({
    title: "Physiotherapist",
    registration: "PH-123",
  });
});

test("a password is changed when both new ones agree; a refusal leaves what was typed", async () => {
  const { server } = await open({ "PUT /api/password": refused(422, "Too easy to guess.") });
  const form = within(await screen.findByRole("form", { name: "Change password" }));
  const change = form.getByRole("button", { name: "Change password" }) as HTMLButtonElement;
  await userEvent.type(form.getByLabelText("Current password"), "the old one");
  await userEvent.type(form.getByLabelText("New password"), "plumb line and bob");
  await userEvent.type(form.getByLabelText("Repeat new password"), "plumb line and Bob");
  expect(form.getByRole("alert").textContent).toBe("The passwords don’t match.");
  expect(change.disabled).toBe(true);
  await userEvent.type(
    form.getByLabelText("Repeat new password"),
    "{Backspace}{Backspace}{Backspace}bob",
  );
  await userEvent.click(change);
  expect((await form.findByRole("alert")).textContent).toBe("Too easy to guess.");
  server.answers["PUT /api/password"] = { status: 204 };
  await userEvent.click(change);
  expect((await form.findByRole("status")).textContent).toContain(
    "All other sessions have been signed out.",
  );
  expect(server.sent("PUT /api/password")).toEqual({
    current: "the old one",
    password: "plumb line and bob",
  });
  expect((form.getByLabelText("Current password") as HTMLInputElement).value).toBe("");
});

test("where one is signed in is named by browser and system, and ended there or everywhere else", async () => {
  const { server } = await open({
    "GET /api/sessions": {
      body: [session("s1", { here: true }), session("s2"), session("s3", { browser: "" })],
    },
    "DELETE /api/sessions/s2": { status: 204 },
    "DELETE /api/sessions/s3": { status: 204 },
  });
  const section = within(await screen.findByRole("region", { name: "Active sessions" }));
  const lines = (await section.findAllByRole("listitem")) as HTMLElement[];
  expect(lines[0]?.textContent).toMatch(/Firefox on Linux.*this device$/);
  expect(lines[2]?.textContent).toContain("Unknown browser");
  await userEvent.click(
    within(lines[1] as HTMLElement).getByRole("button", { name: "Sign out this session" }),
  );
  expect(server.asked).toContain("DELETE /api/sessions/s2");
  await userEvent.click(section.getByRole("button", { name: "Sign out all other sessions" }));
  expect(server.asked).toContain("DELETE /api/sessions/s3");
  expect(server.asked).not.toContain("DELETE /api/sessions/s1");
});

test("a second factor is set up with its first code, and its recovery codes are taken along", async () => {
  const copied = vi.fn(async () => undefined);
  const { server } = await open({
    "POST /api/me/second-factor": { body: { secret: "JBSW Y3DP", svg: "<svg/>" } },
    "PUT /api/me/second-factor": { body: { codes: ["aaaa-1111", "bbbb-2222"] } },
  });
  const section = () => within(screen.getByRole("region", { name: "Two-step sign-in" }));
  await userEvent.click(await screen.findByRole("button", { name: "Set up" }));
  expect(await section().findByText("JBSW Y3DP")).toBeTruthy();
  const on = section().getByRole("button", { name: "Turn on" }) as HTMLButtonElement;
  await userEvent.type(section().getByLabelText("First code"), "123456");
  expect(on.disabled).toBe(true);
  await userEvent.type(section().getByLabelText("Your password"), "mine");
  await userEvent.click(on);
  expect(server.sent("PUT /api/me/second-factor")).toEqual({
    secret: "JBSW Y3DP",
    code: "123456",
    password: "mine",
  });
  expect(await screen.findByText("bbbb-2222")).toBeTruthy();
  Object.defineProperty(navigator, "clipboard", {
    value: { writeText: copied },
    configurable: true,
  });
  await userEvent.click(screen.getByRole("button", { name: "Copy" }));
  expect(copied).toHaveBeenCalledWith("aaaa-1111\nbbbb-2222\n");
  expect(await screen.findByText("Copied.")).toBeTruthy();
  server.answers["GET /api/session"] = {
    body: aMember({ has_second_factor: true, recovery_left: 2 }),
  };
  await userEvent.click(screen.getByRole("button", { name: "I have saved them" }));
  expect(await screen.findByText(/2 recovery codes are\s+left/)).toBeTruthy();
});

test("a browser that won’t copy says what to do instead", async () => {
  await open({
    "POST /api/me/second-factor": { body: { secret: "JBSW", svg: "<svg/>" } },
    "PUT /api/me/second-factor": { body: { codes: ["aaaa-1111"] } },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Set up" }));
  await userEvent.type(await screen.findByLabelText("First code"), "1");
  await userEvent.type(screen.getByLabelText("Your password"), "mine");
  await userEvent.click(screen.getByRole("button", { name: "Turn on" }));
  await screen.findByText("aaaa-1111");
  const barred = vi.fn(async () => Promise.reject(new Error("barred")));
  Object.defineProperty(navigator, "clipboard", {
    value: { writeText: barred },
    configurable: true,
  });
  await userEvent.click(screen.getByRole("button", { name: "Copy" }));
  expect(await screen.findByText(/can’t copy. Save the file/)).toBeTruthy();
});

test("it is turned off with the password, unless the practice asks everybody for one", async () => {
  const mine = { has_second_factor: true, recovery_left: 8 };
  const { server } = await open({ "POST /api/me/second-factor/off": { status: 204 } }, mine);
  await userEvent.type(await screen.findByLabelText("Your password"), "mine");
  await userEvent.click(screen.getByRole("button", { name: "Turn off" }));
  expect(server.sent("POST /api/me/second-factor/off")).toEqual({ password: "mine" });
});

test("where the practice asks for it there is no way to turn it off", async () => {
  await open({}, { has_second_factor: true, second_factor: true });
  expect(await screen.findByText("Your practice requires this.")).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Turn off" })).toBeNull();
});
