import { expect, test } from "vitest";
import { bySpace, codeAt, filled, inserted } from "./phrases";

const seat = { code: "seat", text: "{client} sits well back." };
const gaps = { client: "Odile Marrick", date: "3 December 2026" };

test("a code begins with a semicolon at the beginning or after a space, and ends at the caret", () => {
  expect(codeAt(";se", 3)).toEqual({ code: "se", from: 0 });
  expect(codeAt("As agreed ;SEAT", 15)).toEqual({ code: "seat", from: 10 });
  expect(codeAt("tea;seat", 8)).toBeNull();
  expect(codeAt("; seat", 6)).toBeNull();
  expect(codeAt(";seat tomorrow", 5)).toEqual({ code: "seat", from: 0 });
});

test("a space after a whole code writes its phrase out, in the middle of a text too", () => {
  expect(bySpace("Today ;seat . Fine.", 12, [seat], gaps)).toEqual({
    text: "Today Odile Marrick sits well back. . Fine.",
    caret: 36,
  });
  expect(bySpace("Today ;sea ", 11, [seat], gaps)).toBeNull();
  expect(bySpace("Today seat ", 11, [seat], gaps)).toBeNull();
});

test("a phrase chosen early takes the place of its code; without one it comes in at the caret", () => {
  expect(inserted("x ;se y", 5, seat, gaps).text).toBe("x Odile Marrick sits well back. y");
  expect(inserted("x ", 2, seat, gaps)).toEqual({
    text: "x Odile Marrick sits well back.",
    caret: 31,
  });
});

test("a placeholder that nothing fills stays to be seen", () => {
  expect(filled("{client} on {date} at {clinic}", gaps)).toBe(
    "Odile Marrick on 3 December 2026 at {clinic}",
  );
});
