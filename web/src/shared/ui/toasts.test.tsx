import { render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import { Toasts, toast } from "./toasts";

test("what is said before there is a place to say it stands there once there is one", async () => {
  const said = toast("Key 1 holds 72.0 cm, read back.");
  render(<Toasts />);
  await said;
  expect(await screen.findByText("Key 1 holds 72.0 cm, read back.")).toBeTruthy();
});
