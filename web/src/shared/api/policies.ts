import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "./client";

export function useHouseRules() {
  return useQuery({
    queryKey: ["policies"],
    queryFn: async () => unwrap(await api.GET("/api/policies")),
  });
}

/** Keep, change or drop a bundle of positions. */
export function useRuleSetChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => queries.invalidateQueries({ queryKey: ["policies"] }) };
  return {
    add: useMutation({
      mutationFn: async (body: Schemas["RuleSetIn"]) =>
        unwrap(await api.POST("/api/policies", { body })),
      ...done,
    }),
    change: useMutation({
      mutationFn: async ({ id, ...body }: Schemas["RuleSetChange"] & { id: string }) =>
        unwrap(
          await api.PUT("/api/policies/{bundle_id}", { params: { path: { bundle_id: id } }, body }),
        ),
      ...done,
    }),
    drop: useMutation({
      mutationFn: async (id: string) =>
        unwrap(
          await api.DELETE("/api/policies/{bundle_id}", { params: { path: { bundle_id: id } } }),
        ),
      ...done,
    }),
  };
}
