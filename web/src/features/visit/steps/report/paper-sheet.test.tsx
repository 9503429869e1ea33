import { screen, within } from "@testing-library/react";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { renderInVisit } from "@/test/visit";
import { PaperSheet } from "./paper-sheet";

const run = (text: string, ...marks: NonNullable<Schemas["Run"]["marks"]>) => ({ text, marks });
const scene = { width: 100, height: 50, marks: [] };
const paper = {
  practice: "Saltmere",
  letterhead: ["Harbour Street 3", "Saltmere"],
  scene: null,
  movements: [{ scenes: [scene, scene] }],
} as unknown as Schemas["ClientPaper"];

function sheet(...blocks: Schemas["PaperLayout"]["blocks"]) {
  renderInVisit(
    <PaperSheet
      paper={paper}
      label="Client’s report"
      layout={{ title: "Your workplace", about: "Odile Marrick · 1 December 2026", blocks }}
    />,
  );
  return within(screen.getByRole("article", { name: "Client’s report" }));
}

test("a table names its rows by the first column with words", () => {
  const paper = sheet({
    kind: "table",
    columns: [
      { title: "Done", align: "center", share: 0 },
      { title: "What", align: "left", share: 1 },
      { title: "Price", align: "right", share: 0 },
    ],
    rows: [[[run("", "tick")], [run("Make safe. ", "strong"), run("Cables")], [run("small")]]],
    close: false,
  });
  expect(paper.getByRole("rowheader").textContent).toBe("Make safe. Cables");
  expect(paper.getByText("Make safe.").className).toContain("font-semibold");
  expect(paper.getAllByRole("columnheader").map((head) => head.textContent)).toEqual([
    "Done",
    "What",
    "Price",
  ]);
});

test("a movement has its moments beside its steps, drawn from the paper", () => {
  const paper = sheet({
    kind: "group",
    frame: "",
    drawings: ["Lift", "Let go"].map((caption, moment) => ({
      kind: "drawing",
      of: `movements.0.scenes.${moment}`,
      alt: `Shrug: ${caption}`,
      caption,
    })),
    blocks: [
      { kind: "text", runs: [run("Shrug.", "strong"), run(" Hold 10 s.")] },
      { kind: "items", numbered: true, items: [[run("Lift both shoulders.")], [run("Let go.")]] },
    ],
  });
  expect(paper.getAllByRole("img").map((image) => image.getAttribute("aria-label"))).toEqual([
    "Shrug: Lift",
    "Shrug: Let go",
  ]);
  expect(paper.getByRole("list").tagName).toBe("OL");
  expect(paper.getByText("Hold 10 s.")).toBeTruthy();
});

test("headings keep their order, and a drawing that the paper lacks is left out", () => {
  const paper = sheet(
    { kind: "heading", level: 2, text: "To do" },
    { kind: "heading", level: 3, text: "For a time only" },
    { kind: "drawing", of: "scene", alt: "Side view", caption: "to scale" },
    {
      kind: "group",
      frame: "boxed",
      drawings: [],
      blocks: [{ kind: "text", runs: [run("Stop.")] }],
    },
    { kind: "to_fill_in", labels: ["Done by", "Date"] },
  );
  const headings = paper
    .getAllByRole("heading")
    .map((head) => `${head.tagName} ${head.textContent}`);
  expect(headings).toEqual(["H3 Your workplace", "H4 To do", "H5 For a time only"]);
  expect(paper.queryByText("to scale")).toBeNull();
  expect(paper.getByText("Stop.").closest("div")?.className).toContain("border");
  expect(paper.getByText("Date")).toBeTruthy();
});
