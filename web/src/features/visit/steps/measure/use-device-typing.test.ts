import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { APART_MS, DeviceTyping } from "./use-device-typing";

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function heard() {
  const readings: string[] = [];
  const digits: number[] = [];
  const typing = new DeviceTyping(
    (text) => readings.push(text),
    (digit) => digits.push(digit),
  );
  return { readings, digits, typing };
}

test("number, unit and Enter in one go are a reading", () => {
  const { readings, digits, typing } = heard();
  for (const key of [..."46.2 cm", "Enter"]) expect(typing.key(key)).toBe(true);
  expect([readings, digits]).toEqual([["46.2 cm"], []]);
});

test("a single digit is a person’s, and only after a moment", () => {
  const { readings, digits, typing } = heard();
  typing.key("4");
  expect(digits).toEqual([]);
  vi.advanceTimersByTime(APART_MS + 1);
  expect([readings, digits]).toEqual([[], [4]]);
});

test("other keys keep their meaning; a slow second digit starts anew", () => {
  const { readings, digits, typing } = heard();
  expect(typing.key("u")).toBe(false);
  expect(typing.key("Enter")).toBe(false);
  typing.key("4");
  vi.advanceTimersByTime(APART_MS + 1);
  typing.key("6");
  vi.advanceTimersByTime(APART_MS + 1);
  expect([readings, digits]).toEqual([[], [4, 6]]);
});
