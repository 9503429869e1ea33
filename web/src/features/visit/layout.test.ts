import { expect, test } from "vitest";
import { calledRoom, roomOf } from "./layout";

test("where the elevation says nothing, the work has the width", () => {
  expect(roomOf("ask", "hours")).toBe("wide");
  expect(roomOf("ask", "discomfort")).toBe("paper");
  expect(roomOf("look", "room")).toBe("wide");
  expect(roomOf("look", "walk")).toBe("beside");
  expect(roomOf("report", null)).toBe("paper");
});

test("one key puts the drawing away, and calls it back over what takes its place", () => {
  expect(calledRoom("beside", "beside")).toBe("wide");
  expect(calledRoom("wide", "beside")).toBeNull();
  expect(calledRoom("paper", "paper")).toBe("beside");
  expect(calledRoom("beside", "wide")).toBeNull();
  expect(calledRoom("alone", "beside")).toBe("wide");
});
