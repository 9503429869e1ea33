import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { expect, test, vi } from "vitest";
import { theLater } from "./queries";

test("what was asked for before a change does not overwrite what the change brought back", async () => {
  const queries = new QueryClient();
  let answer = (_: { revision: number }) => {};
  const asked = new Promise<{ revision: number }>((resolve) => {
    answer = resolve;
  });
  const visit = new QueryObserver(queries, {
    queryKey: ["visit"],
    queryFn: () => asked,
    structuralSharing: theLater,
  });
  const close = visit.subscribe(() => {});
  queries.setQueryData(["visit"], { revision: 8 });
  answer({ revision: 7 });
  await vi.waitFor(() => expect(queries.isFetching()).toBe(0));
  expect(queries.getQueryData(["visit"])).toEqual({ revision: 8 });
  queries.setQueryData(["visit"], { revision: 9 });
  expect(queries.getQueryData(["visit"])).toEqual({ revision: 9 });
  close();
});
