import {
  keepPreviousData,
  type QueryClient,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { api, Refused, type Schemas, setCsrf, type Unit, unwrap } from "./client";

/** Another person sits here now: nothing of the last one's stays in the page. */
function forgetAllBut(queries: QueryClient, me: Schemas["Me"] | null): void {
  queries.setQueryData(["me"], me);
  queries.removeQueries({ predicate: (query) => query.queryKey[0] !== "me" });
}

export function useMe() {
  return useQuery({
    queryKey: ["me"],
    queryFn: async () => {
      const answer = await api.GET("/api/me");
      if (answer.response.status === 401) return null;
      const me = unwrap(answer);
      setCsrf(me.csrf);
      return me;
    },
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  });
}

export function useWelcome() {
  return useQuery({
    queryKey: ["welcome"],
    queryFn: async () => unwrap(await api.GET("/api/welcome")),
  });
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas["SignIn"]) => unwrap(await api.POST("/api/session", { body })),
    onSuccess: (me) => {
      setCsrf(me.csrf);
      forgetAllBut(queries, me);
    },
  });
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async () => unwrap(await api.DELETE("/api/session")),
    onSettled: () => {
      setCsrf("");
      forgetAllBut(queries, null);
    },
  });
}

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

export function useMembers() {
  return useQuery({
    queryKey: ["members"],
    queryFn: async () => unwrap(await api.GET("/api/members")),
  });
}

export function useAddMember() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas["MemberIn"]) =>
      unwrap(await api.POST("/api/members", { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["members"] }),
  });
}

export function useAddClient() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas["ClientIn"]) =>
      unwrap(await api.POST("/api/clients", { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["clients"] }),
  });
}

export function useStartVisit() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (clientId: string) =>
      unwrap(await api.POST("/api/visits", { body: { client_id: clientId } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["visits"] }),
  });
}

export function useVisit(id: string) {
  return useQuery({
    queryKey: ["visit", id],
    queryFn: async () =>
      unwrap(await api.GET("/api/visits/{visit_id}", { params: { path: { visit_id: id } } })),
  });
}

export type View = {
  unit: Unit;
  width: number;
  height: number;
  mode: "both" | "seated" | "standing" | "overlay";
  show: "found" | "target" | "left";
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
    retry: (_, error) => !(error instanceof Refused) || error.problem.status >= 500,
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

export function useSign(id: string, unit: Unit) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async () =>
      unwrap(
        await api.POST("/api/visits/{visit_id}/reports", {
          params: { path: { visit_id: id }, query: { unit } },
        }),
      ),
    onSuccess: () =>
      Promise.all(
        ["visit", "worked", "draft", "visits"].map((key) =>
          queries.invalidateQueries({ queryKey: [key] }),
        ),
      ),
  });
}
