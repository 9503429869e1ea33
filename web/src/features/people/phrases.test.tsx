import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { openPage } from "@/test/page";

test("a phrase is kept with its code, and one that is removed comes back by undo", async () => {
  const seat = { id: "phrase-1", code: "seat", text: "{client} sits well back.", version: 1 };
  const { server } = await openPage("/people", {
    "GET /api/members": { body: [] },
    "GET /api/phrases": { body: [seat] },
    "POST /api/phrases": { status: 201, body: seat },
    "DELETE /api/phrases/phrase-1": { status: 204 },
  });
  await userEvent.click(await screen.findByRole("button", { name: "New phrase" }));
  await userEvent.type(screen.getByLabelText("Short code"), "line");
  await userEvent.type(screen.getByLabelText("Sentence"), "Facilities to be asked.");
  await userEvent.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() =>
    expect(server.sent("POST /api/phrases")).toMatchObject({
      code: "line",
      text: "Facilities to be asked.",
    }),
  );
  await userEvent.click(await screen.findByRole("button", { name: "Remove: ;seat" }));
  await userEvent.click(await screen.findByRole("button", { name: /^Undo/ }));
  await waitFor(() =>
    expect(server.sent("POST /api/phrases")).toEqual({
      id: "phrase-1",
      code: "seat",
      text: "{client} sits well back.",
    }),
  );
});
