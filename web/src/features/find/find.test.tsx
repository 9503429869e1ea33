import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { openPage } from "@/test/page";

const nothing = { clients: [], visits: [], equipment: [] };
const found = {
  clients: [{ id: "client-1", name: "Odile Marrick", work: "Chart compiler" }],
  visits: [
    {
      id: "v1",
      client: "Odile Marrick",
      started_on: "2026-11-25",
      state: "signed",
      practitioner: "Ines",
    },
  ],
  equipment: [{ id: "e1", kind: "piece", name: "Odd chair", place: "Store" }],
};
const selected = () =>
  screen.getAllByRole("option", { selected: true }).map((one) => one.ariaLabel);

test("Ctrl+K opens one field; arrows choose among all kinds, Enter goes there", async () => {
  const { router } = await openPage("/equipment", {
    "GET /api/search": { body: found },
    "GET /api/shelf": { body: [] },
  });
  await userEvent.keyboard("{Control>}k{/Control}");
  await userEvent.type(await screen.findByRole("combobox"), "odd");
  await screen.findByRole("option", { name: /Odd chair, Store, Equipment/ });
  expect(selected()).toEqual(["Odile Marrick, Chart compiler, Clients"]);
  await userEvent.keyboard("{ArrowDown}");
  expect(selected()).toEqual([expect.stringContaining("Signed · Ines, Visits")]);
  await userEvent.keyboard("{ArrowUp}{Enter}");
  await waitFor(() => expect(router.state.location.pathname).toBe("/clients/client-1"));
  expect(screen.queryByRole("combobox")).toBeNull();
});

test("a setting is found by a word for it with a slip, without asking about health data", async () => {
  const { router } = await openPage("/", { "GET /api/search": { body: nothing } });
  await userEvent.keyboard("/");
  await userEvent.type(await screen.findByRole("combobox"), "leterhead");
  expect(await screen.findByRole("option", { name: /^Practice settings/ })).toBeTruthy();
  await userEvent.keyboard("{Enter}");
  await waitFor(() => expect(router.state.location.pathname).toBe("/people"));
});

test("a button of the screen is found and pressed; Escape closes and gives the focus back", async () => {
  await openPage("/clients", { "GET /api/search": { body: nothing } });
  const button = await screen.findByRole("button", { name: "New client" });
  button.getClientRects = () => [{}] as unknown as DOMRectList;
  button.focus();
  await userEvent.keyboard("/");
  await screen.findByRole("combobox");
  await userEvent.keyboard("{Escape}");
  await waitFor(() => expect(document.activeElement).toBe(button));
  await userEvent.keyboard("/");
  await userEvent.type(await screen.findByRole("combobox"), "new clint");
  await userEvent.keyboard("{Enter}");
  expect(await screen.findByRole("dialog", { name: "New client" })).toBeTruthy();
});
