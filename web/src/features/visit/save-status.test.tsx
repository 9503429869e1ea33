import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { createStore } from "zustand/vanilla";
import { network } from "@/shared/device/network";
import { SaveStatus } from "./save-status";
import type { ChangeQueue } from "./saving/change-queue";
import type { Snapshot } from "./saving/field-state";
import { type Navigation, NavigationContext } from "./state/navigation";

const KEPT: Snapshot = {
  cells: new Map(),
  pending: 2,
  here: 2,
  typing: 0,
  offline: false,
  signedOut: false,
  keptAt: null,
  onDisk: true,
  full: false,
  asking: false,
};

function status(over: Partial<Snapshot>, away = true): string {
  network.setState({ away });
  const store = createStore(() => ({ ...KEPT, ...over }));
  const queue = { visitId: "v", store } as unknown as ChangeQueue;
  const { unmount } = render(
    <QueryClientProvider client={new QueryClient()}>
      <NavigationContext.Provider value={{} as Navigation}>
        <SaveStatus queue={queue} brief={false} />
      </NavigationContext.Provider>
    </QueryClientProvider>,
  );
  const said = screen.getByRole("status").textContent ?? "";
  unmount();
  return said;
}
afterEach(() => network.setState({ away: false }));

test("where something was refused, saved is said of the rest alone", () => {
  const refused = {
    typed: "999",
    version: 0,
    held: null,
    state: "refused",
    problem: null,
  } as const;
  expect(status({ pending: 0, here: 0, cells: new Map([["seat", refused]]) }, false)).toBe(
    "Everything else saved",
  );
});

test("a conflict that waits is never shown beside anything that is saved", () => {
  const stale = { typed: "67", version: 1, held: null, state: "stale", problem: null } as const;
  expect(status({ pending: 0, here: 0, cells: new Map([["seat", stale]]) }, false)).toBe(
    "Not all of it is kept",
  );
});

test("kept on this device is said once the last letter is kept, and not before", () => {
  expect(status({})).toBe("2 kept on this device");
  expect(status({ typing: 1 })).toBe("Saving…"); // a field has not handed its text over
  expect(status({ onDisk: false })).toBe("Saving on this device…"); // handed over, and not on the disk yet
  expect(status({ pending: 3 })).not.toContain("kept"); // on its way
});
