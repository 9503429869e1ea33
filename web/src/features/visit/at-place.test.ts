import { expect, test, vi } from "vitest";
import { cellsAt, pathAt, queueAt } from "./at-place";
import type { ChangeQueue } from "./saving/change-queue";
import type { FieldState } from "./saving/field-state";

const cell = (typed: string) => ({ typed }) as FieldState;

test("body, person and report are the same at every place; pieces and settings are its own", () => {
  expect(pathAt("look.desk.kind", "2")).toBe("place.2.look.desk.kind");
  expect(pathAt("look.desk.kind", "main")).toBe("look.desk.kind");
  expect(pathAt("measure.stature.first", "2")).toBe("measure.stature.first");
  expect(pathAt("look.photo.4f.ear", "2")).toBe("look.photo.4f.ear");
});

test("a panel at a place reads what was typed there, and nothing of the other", () => {
  const cells = cellsAt(
    new Map([
      ["look.desk.kind", cell("fixed")],
      ["place.2.look.desk.kind", cell("counter")],
      ["ask.job", cell("Tailor")],
    ]),
    "2",
  );
  expect([...cells].map(([path, one]) => [path, one.typed])).toEqual([
    ["look.desk.kind", "counter"],
    ["ask.job", "Tailor"],
  ]);
});

test("what is typed at a place is kept under it; the rest of the queue is the same", () => {
  const type = vi.fn();
  const typeAll = vi.fn();
  const queue = { type, typeAll, newStep: () => 7, view: null } as unknown as ChangeQueue;
  const here = queueAt(queue, "3");
  here.type("set.seated.seat", "44", "cm");
  here.typeAll([["ask.job", "Tailor"]], "cm");
  expect(type).toHaveBeenCalledWith("place.3.set.seated.seat", "44", "cm");
  expect(typeAll).toHaveBeenCalledWith([["ask.job", "Tailor"]], "cm");
  expect(here.newStep()).toBe(7);
});
