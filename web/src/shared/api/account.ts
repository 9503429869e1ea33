import { type QueryClient, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { setTimeZone } from "../dates";
import { api, type Schemas, setCsrf, unwrap } from "./client";

/** Another person sits here now: nothing of the last one's stays in the page. */
function forgetAllBut(queries: QueryClient, me: Schemas["Me"] | null): void {
  queries.setQueryData(["me"], me);
  queries.removeQueries({ predicate: (query) => query.queryKey[0] !== "me" });
}

async function whoAmI(): Promise<Schemas["Me"] | null> {
  const me = unwrap(await api.GET("/api/session"));
  if (!me) return null;
  setCsrf(me.csrf);
  setTimeZone(me.time_zone);
  return me;
}

export function useMe() {
  return useQuery({
    queryKey: ["me"],
    queryFn: whoAmI,
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

/** Sign in, and make sure that the browser kept the session: lists are never empty for want of it. */
export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas["SignIn"]) => {
      unwrap(await api.POST("/api/session", { body }));
      const me = await whoAmI();
      if (me) return me;
      throw new Error(
        "Signed in, but this browser did not keep the session cookie. Allow cookies for this address, or open it by HTTPS.",
      );
    },
    onSuccess: (me) => forgetAllBut(queries, me),
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

/** Where one is signed in, and the end of any of those sessions. */
export function useSessions() {
  const queries = useQueryClient();
  const list = useQuery({
    queryKey: ["sessions"],
    queryFn: async () => unwrap(await api.GET("/api/sessions")),
  });
  const end = useMutation({
    mutationFn: async (id: string) =>
      unwrap(
        await api.DELETE("/api/sessions/{session_id}", { params: { path: { session_id: id } } }),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: ["sessions"] }),
  });
  return { list, end };
}

export function usePassword() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas["PasswordChange"]) =>
      unwrap(await api.PUT("/api/password", { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["sessions"] }),
  });
}

export function useMembers() {
  return useQuery({
    queryKey: ["members"],
    queryFn: async () => unwrap(await api.GET("/api/members")),
  });
}

/** Let somebody in, take them out, and let a reader see health data. */
export function useMemberChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => queries.invalidateQueries({ queryKey: ["members"] }) };
  const at = (id: string) => ({ params: { path: { member_id: id } } });
  return {
    add: useMutation({
      mutationFn: async (body: Schemas["MemberIn"]) =>
        unwrap(await api.POST("/api/members", { body })),
      ...done,
    }),
    remove: useMutation({
      mutationFn: async (id: string) =>
        unwrap(await api.DELETE("/api/members/{member_id}", at(id))),
      ...done,
    }),
    grant: useMutation({
      mutationFn: async ({ id, sees }: { id: string; sees: boolean }) =>
        unwrap(
          await api.PUT("/api/members/{member_id}/health", {
            ...at(id),
            body: { sees_health: sees },
          }),
        ),
      ...done,
    }),
  };
}

export function usePractice() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas["PracticeIn"]) =>
      unwrap(await api.PUT("/api/practice", { body })),
    onSuccess: (_, { time_zone }) => {
      setTimeZone(time_zone);
      return queries.invalidateQueries({ queryKey: ["me"] });
    },
  });
}
