import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { expect, test, vi } from "vitest";
import { outdate } from "./stale";

test("a first answer made before a change is asked for again", async () => {
  const queries = new QueryClient();
  const answers: ((given: string) => void)[] = [];
  const paper = new QueryObserver(queries, {
    queryKey: ["paper"],
    queryFn: () => new Promise<string>((resolve) => answers.push(resolve)),
  });
  const close = paper.subscribe(() => {});
  expect(answers).toHaveLength(1);
  void outdate(queries, { queryKey: ["paper"] });
  answers[0]?.("before the change");
  await vi.waitFor(() => expect(answers).toHaveLength(2));
  expect(queries.getQueryData(["paper"])).toBeUndefined();
  answers[1]?.("after it");
  await vi.waitFor(() => expect(queries.getQueryData(["paper"])).toBe("after it"));
  close();
});
