import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { ageOf, groupVisits, sought, whenDue } from "./visits";

const TODAY = "2026-11-25";

function line(client: string, state: Schemas["VisitLineView"]["state"], follow_up: string | null) {
  return {
    client,
    state,
    follow_up,
    sign: null,
    worse: [] as string[],
  } as Schemas["VisitLineView"];
}

test("a warning sign nobody has answered comes first", () => {
  const signed = { ...line("Sign", "draft", null), sign: "Refer first" };
  const groups = groupVisits([line("Draft", "draft", null), signed], TODAY);
  expect(groups.map((group) => [group.title, group.lines.map((line) => line.client)])).toEqual([
    ["Unanswered red flags", ["Sign"]],
    ["To finish", ["Draft"]],
  ]);
});

test("who is worse than last time comes before what is only open, and an old draft says its age", () => {
  const worse = { ...line("Worse", "draft", null), worse: ["Neck 6 to 9 of 10"] };
  const groups = groupVisits([line("Draft", "draft", null), worse], TODAY);
  expect(groups.map((group) => [group.title, group.lines.map((line) => line.client)])).toEqual([
    ["Worse than last time", ["Worse"]],
    ["To finish", ["Draft"]],
  ]);
  const old = { ...line("Old", "draft", null), started_on: "2026-11-10" };
  expect([ageOf(old, TODAY), ageOf({ ...old, started_on: TODAY }, TODAY)]).toEqual([
    "15 days old",
    "",
  ]);
});

test("visits by what they wait for; a follow-up counts within two weeks and once signed", () => {
  const groups = groupVisits(
    [
      line("Due", "signed", "2026-12-09"),
      line("Later", "signed", "2026-12-10"),
      line("Draft", "draft", "2026-11-26"),
      line("Changed", "changed", "2026-11-26"),
    ],
    TODAY,
  );
  expect(groups.map((group) => [group.title, group.lines.map((line) => line.client)])).toEqual([
    ["Follow-ups due", ["Due"]],
    ["To finish", ["Draft", "Changed"]],
    ["Signed", ["Later"]],
  ]);
});

test("a follow-up is no longer due once the client has come again", () => {
  const first = {
    ...line("Mirela", "signed", "2026-07-28"),
    client_id: "m",
    started_on: "2026-06-30",
  };
  const again = { ...line("Mirela", "new", null), client_id: "m", started_on: "2026-11-25" };
  const titles = (lines: (typeof first | typeof again)[]) =>
    groupVisits(lines, TODAY).map((group) => group.title);
  expect(titles([first])).toEqual(["Follow-ups due"]);
  expect(titles([again, first])).toEqual(["Visits today", "Signed"]);
});

test("how long a follow-up is due is said in days", () => {
  expect(whenDue(line("A", "signed", "2026-11-20"), TODAY)).toBe("5 days overdue");
  expect(whenDue(line("A", "signed", TODAY), TODAY)).toBe("due today");
  expect(whenDue(line("A", "signed", "2026-11-26"), TODAY)).toBe("due in 1 day");
});

test("one looks for a visit by client or work, among one’s own where asked", () => {
  const own = { ...line("Hugo Penn", "draft", null), work: "Charts", practitioner: "Ines" };
  const theirs = { ...line("Yara", "draft", null), work: "Charts", practitioner: "Tomas" };
  expect(sought([own, theirs], "chart", null)).toEqual([own, theirs]);
  expect(sought([own, theirs], "chart", "Ines")).toEqual([own]);
});
