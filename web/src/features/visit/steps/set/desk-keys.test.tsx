import { act, fireEvent, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { beforeEach, expect, test, vi } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { refused, ServerStandIn } from "@/test/server";
import { aField, anAction, aRow, cell, renderInVisit } from "@/test/visit";
import { ByDisplay } from "./by-display";
import { DeskKeys } from "./desk-keys";
import { TapeKey, useTapeReading } from "./tape";

const base = aRow({ key: "surface", label: "Surface", setting: "66.0", dial: "64.0" });
const row = { ...base, at: { ...base.at, setting: 660, dial: 640, left: null } };
const action = anAction({
  kind: "set",
  step: "seated.surface",
  field: "set-seated-surface",
  aim: "660.0",
});
const visit = { id: "visit-1", reports: [], consents: [] } as unknown as Schemas["OpenVisit"];

let server: ServerStandIn;
beforeEach(() => {
  server = new ServerStandIn({
    "GET /api/desk": { body: { at: 700, presets: 2, moving: false } },
    "POST /api/desk/hold": { body: { at: 690, moving: true } },
    "POST /api/desk/stop": { body: { at: 688, moving: false } },
  });
});

const open = (over: Parameters<typeof renderInVisit>[1] = {}) =>
  renderInVisit(<DeskKeys row={row} />, { visit, ...over });
const mayChange = (may: boolean) => ({ mayChange: async () => may });

test("the desk moves only while the button is held, and stops as soon as it is let go", async () => {
  open();
  const hold = await screen.findByRole("button", { name: "Hold to move to 64.0 cm" });
  fireEvent.pointerDown(hold);
  expect(await screen.findByRole("button", { name: "Moving: release to stop" })).toBeTruthy();
  await expect
    .poll(() => server.asked.filter((key) => key === "POST /api/desk/hold").length)
    .toBeGreaterThan(1);
  expect(server.sent("POST /api/desk/hold")).toEqual({ target: 640 });
  expect(screen.getByText("69.0 cm")).toBeTruthy();
  fireEvent.pointerUp(hold);
  await expect.poll(() => server.asked.at(-1)).toBe("POST /api/desk/stop");
  const words = server.asked.length;
  await act(() => new Promise((resolve) => setTimeout(resolve, 450)));
  expect(server.asked.length).toBe(words); // no word to go on after it was let go
});

test.each([
  ["another window takes the focus", () => fireEvent.blur(window)],
  ["the page is hidden", () => fireEvent(document, new Event("visibilitychange"))],
])("it stops as well when %s", async (_, happens) => {
  open();
  fireEvent.pointerDown(await screen.findByRole("button", { name: /^Hold to move/ }));
  await screen.findByRole("button", { name: /^Moving/ });
  happens();
  await expect.poll(() => server.asked).toContain("POST /api/desk/stop");
});

test("it moves by the space bar, once however long the key repeats", async () => {
  open();
  const hold = await screen.findByRole("button", { name: /^Hold to move/ });
  fireEvent.keyDown(hold, { key: " " });
  fireEvent.keyDown(hold, { key: " ", repeat: true });
  fireEvent.keyDown(hold, { key: "x" });
  await expect.poll(() => server.asked.filter((key) => key.endsWith("/hold")).length).toBe(1);
  fireEvent.keyUp(hold, { key: " " });
  await expect.poll(() => server.asked.at(-1)).toBe("POST /api/desk/stop");
});

test("once it has arrived it says so", async () => {
  server.answers["POST /api/desk/hold"] = { body: { at: 640.4, moving: false } };
  server.answers["POST /api/desk/stop"] = { body: { at: 640.4, moving: false } };
  open();
  fireEvent.pointerDown(await screen.findByRole("button", { name: /^Hold to move/ }));
  expect(await screen.findByRole("button", { name: "At 64.0 cm" })).toBeTruthy();
});

test("what it struck is told, and it goes on only after somebody has looked", async () => {
  server.answers["POST /api/desk/hold"] = refused(
    409,
    "The desk stopped: something is in its way.",
  );
  open();
  fireEvent.pointerDown(await screen.findByRole("button", { name: /^Hold to move/ }));
  expect((await screen.findByRole("alert")).textContent).toContain("something is in its way");
  await userEvent.click(screen.getByRole("button", { name: "Stopped; area is clear" }));
  await expect.poll(() => screen.queryByRole("alert")).toBeNull();
});

test("its height is taken with what lies between display and surface", async () => {
  const acts = open();
  await userEvent.click(
    await screen.findByRole("button", { name: "Take 72.0 cm from the display" }),
  );
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["set.seated.surface", "72.0 cm"],
      ["set.seated.surface.by", "display"],
    ],
    "cm",
  );
});

test("a key is saved only where the desk stands right, and noted as it was read back", async () => {
  server.answers["GET /api/desk"] = { body: { at: 640, presets: 2, moving: false } };
  server.answers["PUT /api/desk/presets/2"] = { body: { key: 2, held: 640 } };
  const acts = open({
    cells: new Map([["set.preset.seated", cell("1")]]),
    queue: mayChange(true),
  });
  expect(await screen.findByRole("button", { name: "Save on key 1 (saved)" })).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Save on key 2" }));
  await expect.poll(() => acts.type.mock.calls).toEqual([["set.preset.seated", "2", "cm"]]);
});

test("in a signed visit nothing of the desk’s keys is changed without a yes", async () => {
  server.answers["GET /api/desk"] = { body: { at: 640, presets: 1, moving: false } };
  open({ queue: mayChange(false) });
  await userEvent.click(await screen.findByRole("button", { name: "Save on key 1" }));
  expect(server.asked.some((key) => key.startsWith("PUT"))).toBe(false);
});

test("without a linked desk there is none of this, but its display can be read off", async () => {
  server.answers["GET /api/desk"] = refused(404, "No desk is linked.");
  const acts = renderInVisit(<ByDisplay row={row} action={action} />, { visit });
  await userEvent.click(
    screen.getByRole("button", {
      name: /Display shows 64\.0\scm: take 66\.0\scm from the display/,
    }),
  );
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["set.seated.surface", "66.0 cm"],
      ["set.seated.surface.by", "display"],
      ["set.action.set-seated-surface.aim", "660.0"],
    ],
    "cm",
  );
});

function Tape({ of = row }: { of?: typeof row }) {
  const taking = useTapeReading(of, "set.seated.surface", action);
  return taking ? <TapeKey taking={taking} /> : <p>no length</p>;
}

test("a reading of the tape is typed with where it came from and what was aimed at", async () => {
  server.answers["POST /api/visits/visit-1/instruments/tape/readings"] = {
    body: { typed: "65.8 cm", warning: "Far from where it was: 65.8 cm." },
  };
  const acts = renderInVisit(<Tape />, { visit });
  await userEvent.click(screen.getByRole("button", { name: "Read from tape" }));
  await expect
    .poll(() => acts.typeAll.mock.calls[0])
    .toEqual([
      [
        ["set.seated.surface", "65.8 cm"],
        ["set.seated.surface.by", "tape"],
        ["set.action.set-seated-surface.aim", "660.0"],
      ],
      "cm",
    ]);
  expect(server.calls.at(-1)?.body).toEqual({ dimension: "surface", near: 660 });
  expect(screen.getByText("Far from where it was: 65.8 cm.")).toBeTruthy();
});

test("an angle is not read from a tape", () => {
  vi.spyOn(console, "error");
  renderInVisit(<Tape of={{ ...row, unit: "°" }} />, { visit, fields: [aField()] });
  expect(screen.getByText("no length")).toBeTruthy();
});
