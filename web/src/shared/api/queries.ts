import {
  keepPreviousData,
  type QueryClient,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { api, Refused, type Schemas, type Unit, unwrap } from "./client";

export function useFields() {
  return useQuery({
    queryKey: ["fields"],
    queryFn: async () => unwrap(await api.GET("/api/fields")) as Schemas["Fields"],
    staleTime: Number.POSITIVE_INFINITY,
  });
}

export function useVisits() {
  return useQuery({
    queryKey: ["visits"],
    queryFn: async () => unwrap(await api.GET("/api/visits")),
  });
}

export function useClients() {
  return useQuery({
    queryKey: ["clients"],
    queryFn: async () => unwrap(await api.GET("/api/clients")),
  });
}

/** New things carry an id made on the page: sent again after a lost answer they are the same thing. */
export function useAddClient() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas["ClientIn"]) =>
      unwrap(await api.POST("/api/clients", { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["clients"] }),
  });
}

/** Correct a client, or erase one with everything kept about them. */
export function useClientChanges() {
  const queries = useQueryClient();
  const done = {
    onSettled: () =>
      Promise.all(
        ["clients", "visits", "visit"].map((key) => queries.invalidateQueries({ queryKey: [key] })),
      ),
  };
  return {
    change: useMutation({
      mutationFn: async ({ id, ...body }: Schemas["ClientChange"] & { id: string }) =>
        unwrap(
          await api.PUT("/api/clients/{client_id}", { params: { path: { client_id: id } }, body }),
        ),
      ...done,
    }),
    erase: useMutation({
      mutationFn: async (id: string) =>
        unwrap(
          await api.DELETE("/api/clients/{client_id}", { params: { path: { client_id: id } } }),
        ),
      ...done,
    }),
  };
}

/** Start a visit, or drop one that holds nothing; started again with its id it is the same visit. */
export function useVisitChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => queries.invalidateQueries({ queryKey: ["visits"] }) };
  return {
    start: useMutation({
      mutationFn: async (body: Schemas["VisitIn"]) =>
        unwrap(await api.POST("/api/visits", { body })),
      ...done,
    }),
    drop: useMutation({
      mutationFn: async (id: string) =>
        unwrap(await api.DELETE("/api/visits/{visit_id}", { params: { path: { visit_id: id } } })),
      ...done,
    }),
  };
}

export function useVisit(id: string) {
  return useQuery({
    queryKey: ["visit", id],
    queryFn: async () =>
      unwrap(await api.GET("/api/visits/{visit_id}", { params: { path: { visit_id: id } } })),
  });
}

const MOST_FAILURES = 3;

export type View = {
  unit: Unit;
  width: number;
  height: number;
  mode: "both" | "seated" | "standing" | "overlay";
  show: "found" | "target" | "left";
  /** Which of the visit's places. */
  place?: NonNullable<Schemas["StackIn"]["place"]>;
  /** With the body, dimension by dimension. */
  body?: boolean;
  /** With all three plans. */
  plans?: boolean;
  tape?: string;
  layer?: "heights" | "habits" | "measuring";
  /** With rings to turn joints and pieces by. */
  grips?: boolean;
};

export function useShelf() {
  return useQuery({
    queryKey: ["shelf"],
    queryFn: async () => unwrap(await api.GET("/api/shelf")),
  });
}

/** Keep, change or drop something on the shelf. */
export function useShelfChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => queries.invalidateQueries({ queryKey: ["shelf"] }) };
  return {
    add: useMutation({
      mutationFn: async (body: Schemas["ShelfIn"]) =>
        unwrap(await api.POST("/api/shelf", { body })),
      ...done,
    }),
    change: useMutation({
      mutationFn: async ({ id, ...body }: Schemas["ShelfChange"] & { id: string }) =>
        unwrap(await api.PUT("/api/shelf/{item_id}", { params: { path: { item_id: id } }, body })),
      ...done,
    }),
    drop: useMutation({
      mutationFn: async (id: string) =>
        unwrap(await api.DELETE("/api/shelf/{item_id}", { params: { path: { item_id: id } } })),
      ...done,
    }),
  };
}

export function useLightMeter() {
  return useMutation({
    mutationFn: async () => unwrap(await api.POST("/api/light-meter/readings")),
  });
}

/** Send a photograph as it is; its id is made here, so that sent twice it counts once. */
export function useAddPhoto(visitId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationKey: ["photo", visitId],
    networkMode: "always",
    mutationFn: async ({ id, file }: { id: string; file: File }) =>
      unwrap(
        await api.PUT("/api/visits/{visit_id}/photos/{photo_id}", {
          params: { path: { visit_id: visitId, photo_id: id } },
          body: file as unknown as string,
          bodySerializer: (body: unknown) => body as File,
          headers: { "Content-Type": file.type || "image/jpeg" },
        }),
      ),
    onSuccess: () => refresh(queries, visitId),
    // a lost connection is waited for; a server that fails on this picture is told of soon
    retry: (times, error) =>
      !(error instanceof Refused) || (error.problem.status >= 500 && times < MOST_FAILURES),
    retryDelay: (count) => Math.min(8000, 500 * 2 ** count),
  });
}

export function useDropPhoto(visitId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (id: string) =>
      unwrap(await api.DELETE("/api/photos/{photo_id}", { params: { path: { photo_id: id } } })),
    onSuccess: () => refresh(queries, visitId),
  });
}

/** Fetch a visit and what is worked out of it anew. */
export function refresh(queries: QueryClient, visitId: string): Promise<unknown> {
  return Promise.all(
    ["visit", "worked", "draft"].map((key) =>
      queries.invalidateQueries({ queryKey: [key, visitId] }),
    ),
  );
}

export function useWorked(id: string, view: View | null) {
  return useQuery({
    queryKey: ["worked", id, view],
    enabled: view !== null,
    placeholderData: keepPreviousData,
    queryFn: async () =>
      unwrap(
        await api.GET("/api/visits/{visit_id}/worked", {
          params: { path: { visit_id: id }, query: view ?? {} },
        }),
      ),
  });
}

export function useDraft(id: string, unit: Unit) {
  return useQuery({
    queryKey: ["draft", id, unit],
    queryFn: async () =>
      unwrap(
        await api.GET("/api/visits/{visit_id}/report", {
          params: { path: { visit_id: id }, query: { unit } },
        }),
      ),
  });
}

/** Sign what was looked at: the report's id is made here, the revision is the one shown. */
export function useSign(id: string, unit: Unit) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ reportId, revision }: { reportId: string; revision: number }) =>
      unwrap(
        await api.PUT("/api/visits/{visit_id}/reports/{report_id}", {
          params: { path: { visit_id: id, report_id: reportId }, query: { unit } },
          body: { revision },
        }),
      ),
    onSettled: () =>
      Promise.all(
        ["visit", "worked", "draft", "visits"].map((key) =>
          queries.invalidateQueries({ queryKey: [key] }),
        ),
      ),
  });
}
