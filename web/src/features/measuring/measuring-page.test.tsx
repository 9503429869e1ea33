import { fireEvent, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { openPage } from "@/test/page";
import { type Answers, refused } from "@/test/server";

const dimensions = [
  { id: "popliteal_height", label: "Popliteal height", posture: "seated" },
  { id: "eye_height_sitting", label: "Eye height, sitting", posture: "seated" },
  { id: "stature", label: "Stature", posture: "standing" },
];
const list = { id: "list-1", version: 2, name: "Short", dimensions: ["popliteal_height"] };
const open = (part: string, answers: Answers = {}, me = {}) =>
  openPage(
    `/measuring?part=${part}`,
    {
      "GET /api/fields": { body: { dimensions, fields: [], families: [] } },
      "GET /api/measuring/lists": { body: [list] },
      "GET /api/measuring/tables": { body: [] },
      "GET /api/measuring/precision": { body: [] },
      ...answers,
    },
    me,
  );

test("a list of one’s own is made of dimensions, seated and standing", async () => {
  const { server } = await open("lists", {
    "POST /api/measuring/lists": { status: 201, body: list },
  });
  expect(await screen.findByText("Popliteal height")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "New list" }));
  const form = within(screen.getByRole("dialog", { name: "New list" }));
  const keep = () => form.getByRole("button", { name: /^Save/ }) as HTMLButtonElement;
  expect(keep().disabled).toBe(true);
  await userEvent.type(form.getByLabelText("Name"), "Standing desk");
  await userEvent.click(form.getByRole("checkbox", { name: "Stature" }));
  await userEvent.click(form.getByRole("checkbox", { name: "Popliteal height" }));
  await userEvent.click(form.getByRole("checkbox", { name: "Popliteal height" }));
  expect(keep().textContent).toBe("Save: 1 dimensions");
  await userEvent.click(keep());
  expect(server.sent("POST /api/measuring/lists")).toMatchObject({
    name: "Standing desk",
    dimensions: ["stature"],
  });
});

test("a list is changed upon its version, and a deleted one comes back by Undo", async () => {
  const { server } = await open("lists", {
    "PUT /api/measuring/lists/list-1": refused(409, "Tom Averly changed this list meanwhile."),
    "DELETE /api/measuring/lists/list-1": { status: 204 },
    "POST /api/measuring/lists": { status: 201, body: list },
  });
  await userEvent.click(await screen.findByRole("button", { name: "Change" }));
  const form = within(screen.getByRole("dialog", { name: "Edit list" }));
  await userEvent.click(form.getByRole("checkbox", { name: "Stature" }));
  await userEvent.click(form.getByRole("button", { name: /^Save/ }));
  expect((await form.findByRole("alert")).textContent).toContain("Tom Averly");
  expect(server.sent("PUT /api/measuring/lists/list-1")).toMatchObject({ version: 2 });
  await userEvent.keyboard("{Escape}");
  await userEvent.click(screen.getByRole("button", { name: "Delete" }));
  await userEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await expect
    .poll(() => server.sent("POST /api/measuring/lists"))
    .toEqual({
      id: "list-1",
      name: "Short",
      dimensions: ["popliteal_height"],
    });
});

const preview = {
  format: "CSV",
  understood: [
    {
      client: "Odile Marrick",
      client_known: true,
      visit_on: "2026-11-25",
      visit_known: false,
      dimensions: 3,
      values: 6,
      new: 5,
      place: "1",
    },
  ],
  troubles: [],
  left_out: [{ line: "9", field: "shoe size", reason: "No dimension of this program." }],
};
const choose = async () =>
  userEvent.upload(
    await screen.findByLabelText("File to import"),
    new File(["a;b"], "a.csv", { type: "text/csv" }),
  );

test("a file is looked at first, and written only when that is said", async () => {
  const { server } = await open("exchange", {
    "POST /api/exchange/preview": { body: preview },
    "POST /api/exchange": { body: {} },
  });
  await choose();
  const row = await screen.findByRole("row", { name: /Odile Marrick/ });
  expect(row.textContent).toMatch(/25 new365|2026-11-25 new365/);
  expect(screen.getByText("Not recognised, skipped")).toBeTruthy();
  expect(server.asked).not.toContain("POST /api/exchange");
  await userEvent.click(screen.getByRole("button", { name: "Import 5 readings" }));
  expect(await screen.findByText(/^Imported: 5 readings/)).toBeTruthy();
});

test("a file with anything wrong in it is not taken in, and every line says why", async () => {
  const troubles = Array.from({ length: 14 }, (_, value) => ({
    line: `${value + 2}`,
    field: "stature",
    reason: `${value}: 1610 cm is outside 120.0 to 220.0 cm.`,
  }));
  await open("exchange", {
    "POST /api/exchange/preview": { body: { ...preview, understood: [], troubles } },
  });
  await choose();
  const alert = within(await screen.findByRole("alert"));
  expect(alert.getByText(/14 things are wrong\. Nothing has been imported\./)).toBeTruthy();
  expect(alert.getByText("and 2 more")).toBeTruthy();
  expect(screen.queryByRole("button", { name: /^Take in/ })).toBeNull();
});

test("what the columns hold is told where it is asked for", async () => {
  await open("exchange", { "GET /api/exchange/columns": { body: { stature: "mm, cm or in" } } });
  await userEvent.click(await screen.findByRole("button", { name: "Column guide" }));
  const columns = within(await screen.findByRole("region", { name: "Column guide" }));
  expect(columns.getByText("mm, cm or in")).toBeTruthy();
});

test("a table of a population is checked when it is added, line by line", async () => {
  const { server } = await open("tables", {
    "POST /api/measuring/tables": refused(422, "The table can’t be used.", {
      lines: [{ line: "3", field: "sd_mm", reason: "An SD is over 0." }],
    }),
  });
  await userEvent.click(await screen.findByRole("button", { name: "Add reference data" }));
  await userEvent.type(screen.getByLabelText("Name"), "Dockers");
  await userEvent.type(screen.getByLabelText("Source"), "Measured here, 2026");
  // the test's window holds no file for a form that asks for one: sent as a browser would
  const form = screen.getByRole("button", { name: "Check and save" }).closest("form");
  if (form) fireEvent.submit(form);
  expect((await screen.findByRole("alert")).textContent).toContain("An SD is over 0.");
  expect(server.sent("POST /api/measuring/tables")).toMatchObject({
    name: "Dockers",
    origin: "Measured here, 2026",
  });
});

test("how well each one repeats a reading stands with its interval", async () => {
  const line = {
    member: "Ines Calloway",
    dimension: "stature",
    label: "Stature",
    pairs: 12,
    over_limit: 0,
  };
  await open("repeats", {
    "GET /api/measuring/precision": {
      body: [{ ...line, error: "0.3", low: "0.2", high: "0.5", reckoned: "0.3" }],
    },
  });
  const row = await screen.findByRole("row", { name: /Stature/ });
  expect(row.textContent).toBe("Stature12–0.30.2 to 0.50.3");
});
