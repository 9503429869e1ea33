import { useQueryClient } from "@tanstack/react-query";
import { server } from "./client";
import { stale } from "./stale";

const RULE_SET = "/api/policies/{bundle_id}";

export function useHouseRules() {
  return server.useQuery("get", "/api/policies");
}

/** Keep, change or drop a bundle of positions. */
export function useRuleSetChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/policies") };
  return {
    add: server.useMutation("post", "/api/policies", done),
    change: server.useMutation("put", RULE_SET, done),
    drop: server.useMutation("delete", RULE_SET, done),
  };
}
