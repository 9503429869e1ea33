import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Schemas, type Unit, unwrap } from "./client";

export function useMeasuringLists() {
  return useQuery({
    queryKey: ["lists"],
    queryFn: async () => unwrap(await api.GET("/api/measuring/lists")),
  });
}

/** Keep, change or drop a list of dimensions. */
export function useListChanges() {
  const queries = useQueryClient();
  const done = {
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: ["lists"] }),
        queries.invalidateQueries({ queryKey: ["worked"] }),
      ]),
  };
  return {
    add: useMutation({
      mutationFn: async (body: Schemas["ListIn"]) =>
        unwrap(await api.POST("/api/measuring/lists", { body })),
      ...done,
    }),
    change: useMutation({
      mutationFn: async ({ id, ...body }: Schemas["ListChange"] & { id: string }) =>
        unwrap(
          await api.PUT("/api/measuring/lists/{list_id}", {
            params: { path: { list_id: id } },
            body,
          }),
        ),
      ...done,
    }),
    drop: useMutation({
      mutationFn: async (id: string) =>
        unwrap(
          await api.DELETE("/api/measuring/lists/{list_id}", { params: { path: { list_id: id } } }),
        ),
      ...done,
    }),
  };
}

export function usePopulationTables() {
  return useQuery({
    queryKey: ["tables"],
    queryFn: async () => unwrap(await api.GET("/api/measuring/tables")),
  });
}

export function useTableChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => queries.invalidateQueries({ queryKey: ["tables"] }) };
  return {
    add: useMutation({
      mutationFn: async (body: Schemas["TableIn"]) =>
        unwrap(await api.POST("/api/measuring/tables", { body })),
      ...done,
    }),
    drop: useMutation({
      mutationFn: async (id: string) =>
        unwrap(
          await api.DELETE("/api/measuring/tables/{table_id}", {
            params: { path: { table_id: id } },
          }),
        ),
      ...done,
    }),
  };
}

export function usePrecision(unit: Unit) {
  return useQuery({
    queryKey: ["precision", unit],
    queryFn: async () =>
      unwrap(await api.GET("/api/measuring/precision", { params: { query: { unit } } })),
  });
}

/** The instruments near the desk; their battery falls, so they are asked now and then. */
export function useInstruments() {
  const queries = useQueryClient();
  const found = useQuery({
    queryKey: ["instruments"],
    queryFn: async () => unwrap(await api.GET("/api/instruments")),
    staleTime: 30_000,
    refetchInterval: 60_000,
  });
  const put = useMutation({
    mutationFn: async ({ id, unit }: { id: "tape" | "rod"; unit: Unit }) =>
      unwrap(
        await api.PUT("/api/instruments/{instrument_id}", {
          params: { path: { instrument_id: id } },
          body: { unit },
        }),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: ["instruments"] }),
  });
  return {
    data: found.data,
    setUnit: (id: "tape" | "rod", unit: Unit) => put.mutate({ id, unit }),
  };
}

export function useTakeReading(visitId: string) {
  return useMutation({
    mutationFn: async ({ tool, dimension }: { tool: "tape" | "rod"; dimension: string }) =>
      unwrap(
        await api.POST("/api/visits/{visit_id}/instruments/{instrument_id}/readings", {
          params: { path: { visit_id: visitId, instrument_id: tool } },
          body: { dimension },
        }),
      ),
  });
}

/** Sends a file as it is. */
function fileBody(file: File) {
  return {
    body: file as unknown as string,
    bodySerializer: (body: unknown) => body as File,
    headers: { "Content-Type": "application/octet-stream" },
  };
}

/** What a file says, and what importing it would do. */
export function useLook() {
  return useMutation({
    mutationFn: async (file: File) => unwrap(await api.POST("/api/exchange/look", fileBody(file))),
  });
}

export function useImport() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (file: File) => unwrap(await api.POST("/api/exchange", fileBody(file))),
    onSuccess: () => queries.invalidateQueries(),
  });
}

export function useExercise(number: number, unit: Unit) {
  return useQuery({
    queryKey: ["drill", number, unit],
    queryFn: async () =>
      unwrap(
        await api.GET("/api/drill/{number}", { params: { path: { number }, query: { unit } } }),
      ),
    staleTime: Number.POSITIVE_INFINITY,
  });
}

export function useVerdict(number: number, unit: Unit) {
  return useMutation({
    mutationFn: async (given: "keep" | "repeat" | "question") =>
      unwrap(
        await api.GET("/api/drill/{number}/verdict", {
          params: { path: { number }, query: { given, unit } },
        }),
      ),
  });
}
