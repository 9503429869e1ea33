import { expect, test } from "vitest";
import { aField } from "@/test/visit";
import { nextOf } from "./walk";

const field = (id: string, needed: boolean) => aField({ id, needed });
const [seat, depth, surface, tilt, screen] = [
  field("seat", true),
  field("depth", false),
  field("surface", true),
  field("tilt", false),
  field("screen", true),
];
const all = [seat, depth, surface, tilt, screen];
const after = (now: typeof seat, ...typed: string[]) =>
  nextOf(all, now, (field) => typed.includes(field.id))?.id;

test("Enter goes on to what the targets still need, past what is there", () => {
  expect(after(seat)).toBe("surface");
  expect(after(seat, "surface")).toBe("screen");
  expect(after(screen, "screen")).toBe("seat");
});

test("with all of it there one goes through it again, and out at its end", () => {
  expect(after(seat, "seat", "surface", "screen")).toBe("surface");
  expect(after(screen, "seat", "surface", "screen")).toBeUndefined();
});

test("from what is not needed one goes to the next of its kind", () => {
  expect(after(depth)).toBe("tilt");
  expect(after(tilt)).toBeUndefined();
});
