import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { openPage } from "@/test/page";
import { type Answers, refused } from "@/test/server";
import { aField } from "@/test/visit";

const seat = (id: string, label: string, over = {}) =>
  aField({
    id: `look.chair.${id}`,
    step: "look",
    group: "Chair",
    section: "pieces",
    label,
    ...over,
  });
const pieces: Schemas["PieceView"][] = [
  { id: "chair", label: "Chair", paths: ["look.chair.seat_low", "look.chair.kind"] },
  { id: "desk", label: "Desk", paths: [] },
];
const catalogue = {
  fields: [
    seat("seat_low", "Seat, lowest"),
    seat("kind", "Kind of chair", {
      kind: "choice",
      choices: [
        ["task", "Task chair"],
        ["stool", "Stool"],
      ],
    }),
  ],
  families: [],
  pieces,
  kinds: [
    {
      id: "task",
      piece: "chair",
      name: "Usual task chair",
      values: { "look.chair.seat_low": "42 cm" },
    },
  ],
} as unknown as Schemas["Fields"];
const item: Schemas["ShelfView"] = {
  id: "item-1",
  version: 3,
  piece: "chair",
  name: "Grey chair",
  place: "Room 2",
  values: { "look.chair.seat_low": "41.5 cm" },
  users: ["Odile Marrick"],
} as Schemas["ShelfView"];
const station = {
  ...item,
  id: "item-2",
  piece: "workstation",
  name: "Desk by the window",
  values: {},
};

const open = (answers: Answers = {}, me = {}, path = "/equipment") =>
  openPage(
    path,
    {
      "GET /api/fields": { body: catalogue },
      "GET /api/shelf": { body: [item, station] },
      ...answers,
    },
    me,
  );

test("the shelf has what the practice keeps beside what is usual, by kind of piece", async () => {
  await open();
  const chairs = within(await screen.findByRole("region", { name: "Chair" }));
  expect(chairs.getByText("Used by Odile Marrick")).toBeTruthy();
  expect(chairs.getAllByRole("listitem").length).toBe(2);
  expect(screen.queryByRole("region", { name: "Desk" })).toBeNull();
  await userEvent.type(screen.getByRole("searchbox", { name: "Find equipment" }), "nothing such");
  expect(await screen.findByText("Nothing matches “nothing such”.")).toBeTruthy();
});

test("a piece is corrected upon its version; what is emptied is not kept", async () => {
  const { server } = await open({ "PUT /api/shelf/item-1": { body: item } });
  await userEvent.click(await screen.findByRole("button", { name: "Change Grey chair" }));
  const form = within(screen.getByRole("dialog", { name: "Change Grey chair" }));
  await userEvent.click(form.queryByText("More details") ?? form.getByLabelText("Name"));
  await userEvent.clear(form.getByLabelText("Seat, lowest"));
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  expect(server.sent("PUT /api/shelf/item-1")).toMatchObject({
    version: 3,
    piece: "chair",
    name: "Grey chair",
    unit: "cm",
    values: {},
  });
});

test("a value out of range is said at its field, and everything typed stays", async () => {
  await open({
    "PUT /api/shelf/item-1": refused(422, "Seat, lowest: 415 cm is outside 25.0 to 90.0 cm.", {
      field: "look.chair.seat_low",
    }),
  });
  await userEvent.click(await screen.findByRole("button", { name: "Change Grey chair" }));
  const form = within(screen.getByRole("dialog"));
  await userEvent.click(form.queryByText("More details") ?? form.getByLabelText("Name"));
  await userEvent.clear(form.getByLabelText("Seat, lowest"));
  await userEvent.type(form.getByLabelText("Seat, lowest"), "415");
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  const input = await form.findByLabelText("Seat, lowest");
  await expect.poll(() => input.getAttribute("aria-invalid")).toBe("true");
  expect((input as HTMLInputElement).value).toBe("415");
});

test("what is usual is copied, and kept under an id of its own however often it is sent", async () => {
  const { server } = await open({
    "POST /api/shelf": refused(503, "The database is not responding."),
  });
  await userEvent.click(await screen.findByRole("button", { name: "Copy Usual task chair" }));
  const form = within(screen.getByRole("dialog", { name: "New item" }));
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  await form.findByRole("alert");
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  const bodies = server.calls
    .filter(({ key }) => key === "POST /api/shelf")
    .map(({ body }) => body);
  expect(bodies.length).toBe(2);
  expect(bodies[0]).toEqual(bodies[1]);
  expect(bodies[0]).toMatchObject({
    name: "Usual task chair",
    values: { "look.chair.seat_low": "42 cm" },
  });
});

test("a deleted piece comes back by Undo, as it was", async () => {
  const { server } = await open({
    "DELETE /api/shelf/item-1": { status: 204 },
    "POST /api/shelf": { status: 201, body: item },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Change Grey chair" }));
  await userEvent.click(screen.getByRole("button", { name: "Delete" }));
  await userEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await expect
    .poll(() => server.sent("POST /api/shelf"))
    .toMatchObject({
      id: "item-1",
      name: "Grey chair",
      values: { "look.chair.seat_low": "41.5 cm" },
    });
});

test("shared workstations have a part of their own, described piece by piece", async () => {
  await open({}, {}, "/equipment?part=workstations");
  await userEvent.click(await screen.findByRole("button", { name: "Change Desk by the window" }));
  const form = within(screen.getByRole("dialog", { name: "Change Desk by the window" }));
  expect(form.getByText("Chair")).toBeTruthy();
  expect(form.getByText("Desk")).toBeTruthy();
  expect(form.getAllByText("not recorded").length).toBe(2);
});

test("who only reads changes nothing on the shelf", async () => {
  await open({}, { office: false, writes: false, role: "reader" });
  await screen.findByRole("region", { name: "Chair" });
  expect(screen.queryByRole("button", { name: /Change|Copy|New item/ })).toBeNull();
});
