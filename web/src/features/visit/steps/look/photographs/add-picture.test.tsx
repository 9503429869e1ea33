import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { beforeEach, expect, test, vi } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { ServerStandIn } from "@/test/server";
import { renderInVisit } from "@/test/visit";
import { AddPicture } from "./add-picture";

const SENT = "Sending";
const letGo = vi.fn();

beforeEach(() => {
  letGo.mockClear();
  class WithPictures extends URL {
    static override createObjectURL = () => "blob:side";
    static override revokeObjectURL = letGo;
  }
  vi.stubGlobal("URL", WithPictures);
});

test("a picture is on screen while it is sent, and in the list after that", async () => {
  let kept: (answer: { body: object }) => void = () => undefined;
  const answer = new Promise<{ body: object }>((resolve) => {
    kept = resolve;
  });
  const id = "00000000-0000-4000-8000-000000000001";
  vi.spyOn(crypto, "randomUUID").mockReturnValue(id as ReturnType<typeof crypto.randomUUID>);
  const visit = { id: "v1", reports: [], consents: [] } as unknown as Schemas["OpenVisit"];
  const server = new ServerStandIn({ [`PUT /api/visits/v1/photos/${id}`]: () => answer });
  const added = vi.fn();
  const catalogue = { picture_bytes: 25_000_000 } as never;
  renderInVisit(<AddPicture onAdded={added} />, { visit, catalogue });
  const file = new File(["picture"], "side.jpg", { type: "image/jpeg" });
  await userEvent.upload(screen.getByLabelText("Photo from a file"), file);
  expect((await screen.findByAltText(SENT)).getAttribute("src")).toBe("blob:side");
  kept({ body: { id } });
  await waitFor(() => expect(added).toHaveBeenCalledWith(id));
  await waitFor(() => expect(screen.queryByAltText(SENT)).toBeNull());
  expect(letGo).toHaveBeenCalledWith("blob:side");
  expect(server.asked[0]).toBe(`PUT /api/visits/v1/photos/${id}`);
});
