import { keepPreviousData, useMutation, useQueryClient } from "@tanstack/react-query";
import { api, fileBody, type Schemas, server, unwrap } from "@/shared/api/client";
import { stale } from "@/shared/api/stale";

export type Round = Schemas["OwnRound"]["round"];
export type Question = Schemas["OwnQuestion"];
export type View = Schemas["OwnView"];

/** The page; an error of 401 where it has to be opened first. */
export function useOwnPage(language: string | null) {
  return server.useQuery(
    "get",
    "/api/own/page",
    { params: { query: language ? { language } : {} } },
    { placeholderData: keepPreviousData, retry: false },
  );
}

export function useOwnDoor(token: string, wanted: boolean) {
  return server.useQuery(
    "post",
    "/api/own/door",
    { body: { token } },
    { enabled: wanted && token !== "", retry: 1 },
  );
}

export function useOwnMap() {
  return server.useQuery("get", "/api/own/map", undefined, {
    staleTime: Number.POSITIVE_INFINITY,
  });
}

export function useSheet(round: Round) {
  return server.useQuery(
    "get",
    "/api/own/rounds/{round}",
    { params: { path: { round } } },
    // coming back to the page shows what was answered elsewhere
    { staleTime: 0, refetchOnWindowFocus: true },
  );
}

export function useDoubts(unit: "cm" | "in", wanted: boolean) {
  return server.useQuery(
    "get",
    "/api/own/doubts",
    { params: { query: { unit } } },
    { enabled: wanted, staleTime: 0 },
  );
}

export function useOwnDeeds() {
  const queries = useQueryClient();
  const again = () => stale(queries, "/api/own/page", "/api/own/rounds/{round}", "/api/own/doubts");
  return {
    open: useMutation({
      mutationFn: async (body: Schemas["OwnDoor"]) => {
        const answer = await api.POST("/api/own/session", { body });
        return { status: answer.response.status, wait: answer.response.headers.get("Retry-After") };
      },
      onSuccess: ({ status }) => (status === 204 ? again() : undefined),
    }),
    close: server.useMutation("delete", "/api/own/session", {
      onSettled: () => queries.resetQueries({ queryKey: ["get", "/api/own/page"] }),
    }),
    agree: server.useMutation("put", "/api/own/agreement", { onSettled: again }),
    send: server.useMutation("post", "/api/own/rounds/{round}/send", { onSettled: again }),
    photo: useMutation({
      mutationFn: async ({ file, view }: { file: File; view: "side" | "rear" }) =>
        unwrap(
          await api.PUT("/api/own/photos/{photo_id}", {
            params: { path: { photo_id: crypto.randomUUID() }, query: { view } },
            ...fileBody(file, "application/octet-stream"),
          }),
        ),
      onSuccess: again,
    }),
  };
}
