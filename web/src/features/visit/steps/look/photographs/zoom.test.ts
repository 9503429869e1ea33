import { expect, test } from "vitest";
import { moved, showing, whole, zoomed } from "./zoom";

const SHOT = { width: 1600, height: 1200 };

test("the spot under the hand stays where it is, nearer and further", () => {
  const spot = { x: 1000, y: 300 };
  const near = zoomed(whole(SHOT), SHOT, 2, spot);
  expect(near).toEqual({ x: 500, y: 150, width: 800, height: 600 });
  expect(zoomed(near, SHOT, 0.5, spot)).toEqual(whole(SHOT));
});

test("never nearer than eight times, further than the whole, or beside the picture", () => {
  expect(zoomed(whole(SHOT), SHOT, 100, { x: 1600, y: 1200 })).toEqual({
    x: 1400,
    y: 1050,
    width: 200,
    height: 150,
  });
  expect(zoomed(whole(SHOT), SHOT, 0.2, { x: 9, y: 9 })).toEqual(whole(SHOT));
  const near = zoomed(whole(SHOT), SHOT, 4, { x: 0, y: 0 });
  expect(moved(near, SHOT, -50, 5000)).toMatchObject({ x: 0, y: 900 });
});

test("a point that is chosen comes into view; one in view leaves all as it is", () => {
  const near = zoomed(whole(SHOT), SHOT, 4, { x: 0, y: 0 });
  expect(showing(near, SHOT, { x: 200, y: 200 })).toBe(near);
  expect(showing(near, SHOT, { x: 800, y: 600 })).toMatchObject({ x: 600, y: 450 });
});
