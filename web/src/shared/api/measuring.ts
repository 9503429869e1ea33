import { useQueryClient } from "@tanstack/react-query";
import { server, type Unit } from "./client";
import { stale } from "./stale";

const LISTS = "/api/measuring/lists";
const LIST = "/api/measuring/lists/{list_id}";
const TABLES = "/api/measuring/tables";

export function useMeasuringLists() {
  return server.useQuery("get", LISTS);
}

/** Keep, change or drop a list of dimensions. */
export function useListChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, LISTS, "/api/visits/{visit_id}/results") };
  return {
    add: server.useMutation("post", LISTS, done),
    change: server.useMutation("put", LIST, done),
    drop: server.useMutation("delete", LIST, done),
  };
}

export function usePopulationTables() {
  return server.useQuery("get", TABLES);
}

export function useTableChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, TABLES) };
  return {
    add: server.useMutation("post", TABLES, done),
    drop: server.useMutation("delete", "/api/measuring/tables/{table_id}", done),
  };
}

export function usePrecision(unit: Unit) {
  return server.useQuery("get", "/api/measuring/precision", { params: { query: { unit } } });
}

/** The instruments near the desk; their battery falls, so they are asked now and then. */
export function useInstruments() {
  const queries = useQueryClient();
  const query = server.useQuery("get", "/api/instruments", undefined, {
    staleTime: 30_000,
    refetchInterval: 60_000,
  });
  const put = server.useMutation("put", "/api/instruments/{instrument_id}", {
    onSettled: () => stale(queries, "/api/instruments"),
  });
  return {
    data: query.data,
    setUnit: (id: "tape" | "rod", unit: Unit) =>
      put.mutate({ params: { path: { instrument_id: id } }, body: { unit } }),
  };
}

export function useTakeReading() {
  return server.useMutation("post", "/api/visits/{visit_id}/instruments/{instrument_id}/readings");
}

/** What a file says, and what importing it would do. */
export function useLook() {
  return server.useMutation("post", "/api/exchange/preview");
}

export function useImport() {
  const queries = useQueryClient();
  return server.useMutation("post", "/api/exchange", {
    onSuccess: () => queries.invalidateQueries(),
  });
}

export function useExercise(number: number, unit: Unit) {
  return server.useQuery(
    "get",
    "/api/drill/{number}",
    { params: { path: { number }, query: { unit } } },
    { staleTime: Number.POSITIVE_INFINITY },
  );
}

type Given = "keep" | "repeat" | "question";

/** What an exercise's answer is worth, once one is given. */
export function useVerdict(number: number, unit: Unit, choice: Given | null) {
  return server.useQuery(
    "get",
    "/api/drill/{number}/verdict",
    { params: { path: { number }, query: { choice: choice ?? "keep", unit } } },
    { enabled: choice !== null, staleTime: Number.POSITIVE_INFINITY },
  );
}

export function useSetUpQuestion(number: number, unit: Unit) {
  return server.useQuery(
    "get",
    "/api/drill/set-up/{number}",
    { params: { path: { number }, query: { unit } } },
    { staleTime: Number.POSITIVE_INFINITY },
  );
}

/** What a choice is worth, once one is made. */
export function useSetUpVerdict(number: number, unit: Unit, value: number | null) {
  return server.useQuery(
    "get",
    "/api/drill/set-up/{number}/verdict",
    { params: { path: { number }, query: { given: value ?? 0, unit } } },
    { enabled: value !== null, staleTime: Number.POSITIVE_INFINITY },
  );
}
