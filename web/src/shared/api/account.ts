import { i18n } from "@lingui/core";
import { t } from "@lingui/core/macro";
import { type QueryClient, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { setDateOrder, setTimeZone } from "../dates";
import { noteSession } from "../device/answers";
import { countOut } from "../device/outbox";
import {
  closeVault,
  forgetLeavers,
  idsHere,
  leaveNothing,
  openForSession,
  passwordTyped,
} from "../device/vault";
import { countWaiting } from "../device/words";
import { chooseLanguage, sayOwn } from "../words/language";
import { api, hasCsrf, type Schemas, sendLater, server, setCsrf, unwrap } from "./client";
import { stale } from "./stale";

export const SESSION_KEY = server.queryOptions("get", "/api/session").queryKey;
const MEMBER = "/api/members/{member_id}";

/** Another person sits here now: nothing of the last one's stays in the page. */
function forgetAllBut(queries: QueryClient, me: Schemas["Me"] | null): void {
  queries.setQueryData(SESSION_KEY, me);
  queries.removeQueries({ predicate: (query) => query.queryKey[1] !== SESSION_KEY[1] });
}

const LEAVING = "plumb:leaving";

/** Signed out without network: the session is ended as soon as the server is there again. */
function setLeaving(leaving: boolean): void {
  try {
    if (leaving) localStorage.setItem(LEAVING, "1");
    else localStorage.removeItem(LEAVING);
  } catch {
    // without a store the session ends by its time
  }
}

function leavingOpen(): boolean {
  try {
    return localStorage.getItem(LEAVING) !== null;
  } catch {
    return false;
  }
}

async function whoAmI(): Promise<Schemas["Me"] | null> {
  const me = unwrap(await api.GET("/api/session"));
  if (!me) return null;
  if (leavingOpen()) {
    setCsrf(me.csrf);
    await api.DELETE("/api/session");
    setLeaving(false);
    return null;
  }
  return me.locked ? me : admitted(me);
}

/** Whoever the server knows and has let in: what this device keeps of theirs is opened. */
async function admitted(me: Schemas["Me"]): Promise<Schemas["Me"]> {
  if (me.device_key) {
    await openForSession(me).catch(() => undefined);
    await noteSession(me).catch(() => undefined);
    await countWaiting().catch(() => undefined);
    await countOut().catch(() => undefined);
  }
  setCsrf(me.csrf);
  setTimeZone(me.time_zone);
  setDateOrder(me.date_order);
  if (me.language) await chooseLanguage(me.language);
  void ownWords().catch(() => undefined);
  return me;
}

/** What the practice says its own way on the page. */
async function ownWords(): Promise<void> {
  const path = { language: i18n.locale };
  await sayOwn(unwrap(await api.GET("/api/languages/{language}/words", { params: { path } })));
}

export function useMe() {
  return useQuery({
    queryKey: SESSION_KEY,
    queryFn: whoAmI,
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  });
}

/** Lock the session: the server lets nothing through until the password is given. */
export async function lockSession(): Promise<void> {
  await told("lock");
}

/** Tell the server that the page is in use; whether the session goes on. */
export async function noteUse(): Promise<boolean> {
  return hasCsrf() && (await told("used"));
}

/** Said to the server itself, whatever it answers: a refusal here must not ask for the lock again. */
async function told(what: "lock" | "used"): Promise<boolean> {
  const url = new URL(`/api/session/${what}`, location.origin);
  try {
    return (await sendLater(new Request(url, { method: "POST" }))).ok;
  } catch {
    return false;
  }
}

/** Open the session's lock by the password; throws what the server says. */
export async function unlockSession(password: string): Promise<Schemas["Me"]> {
  return admitted(unwrap(await api.POST("/api/session/confirm", { body: { password } })));
}

/** What this device keeps of those who have left the practice goes. Their names. */
export async function eraseLeavers(): Promise<readonly string[]> {
  const members = [...(await idsHere())];
  if (members.length === 0) return [];
  const { data } = await api.POST("/api/device/left", { body: { members } });
  return data?.members.length ? forgetLeavers(data.members) : [];
}

export function useWelcome() {
  return server.useQuery("get", "/api/welcome");
}

/** Sign in, and make sure that the browser kept the session: lists are never empty for want of it. */
export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas["SignIn"]) => {
      passwordTyped(body.password);
      setLeaving(false);
      unwrap(await api.POST("/api/session", { body }));
      const me = await whoAmI();
      if (me) return me;
      throw new Error(
        t`Signed in, but this browser didn’t keep the session cookie. Allow cookies for this site, or open it via HTTPS.`,
      );
    },
    onSuccess: (me) => forgetAllBut(queries, me),
  });
}

/** End the session. `keeps`: what is not on the server stays, sealed, until its owner signs in here again. */
export function useSignOut({ keeps = false } = {}) {
  const queries = useQueryClient();
  return server.useMutation("delete", "/api/session", {
    onError: () => setLeaving(true),
    onSettled: () => {
      setCsrf("");
      if (keeps) closeVault();
      else void leaveNothing(queries.getQueryData<Schemas["Me"]>(SESSION_KEY)?.email ?? "");
      forgetAllBut(queries, null);
    },
  });
}

/** Where one is signed in, and the end of any of those sessions. */
export function useSessions() {
  const queries = useQueryClient();
  const list = server.useQuery("get", "/api/sessions");
  const end = server.useMutation("delete", "/api/sessions/{session_id}", {
    onSettled: () => stale(queries, "/api/sessions"),
  });
  return { list, end };
}

export function usePassword() {
  const queries = useQueryClient();
  return server.useMutation("put", "/api/password", {
    onSuccess: async (_, { body }) => {
      passwordTyped(body.password);
      await stale(queries, "/api/sessions", "/api/session");
    },
  });
}

export function useMembers() {
  return server.useQuery("get", "/api/members");
}

/** Take somebody out, let a reader see health data, and help with a lost second factor. */
export function useMemberChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/members") };
  return {
    remove: server.useMutation("delete", MEMBER, done),
    grant: server.useMutation("put", "/api/members/{member_id}/health", done),
    reset: server.useMutation("delete", "/api/members/{member_id}/second-factor", done),
  };
}

/** One-time links: who is invited, or resets a password. */
export function useInvitations() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/invitations") };
  return {
    waiting: server.useQuery("get", "/api/invitations"),
    invite: server.useMutation("post", "/api/invitations", done),
    again: server.useMutation("post", "/api/invitations/{door_id}/again", done),
    withdraw: server.useMutation("delete", "/api/invitations/{door_id}", done),
    reset: server.useMutation("post", "/api/members/{member_id}/reset", done),
  };
}

export function useLanguage() {
  const queries = useQueryClient();
  return server.useMutation("put", "/api/me/language", {
    onSuccess: async (_, { body }) => {
      await chooseLanguage(body.language || null);
      return stale(queries, "/api/session");
    },
  });
}

export function usePractice() {
  const queries = useQueryClient();
  return server.useMutation("put", "/api/practice", {
    onSuccess: (_, { body }) => {
      setTimeZone(body.time_zone);
      setDateOrder(body.date_order ?? "dmy");
      return stale(queries, "/api/session");
    },
  });
}

/** A second factor of one's own: offered, confirmed, dropped. */
export function useSecondFactor() {
  const queries = useQueryClient();
  const done = { onSuccess: () => stale(queries, "/api/session") };
  return {
    offer: server.useMutation("post", "/api/me/second-factor"),
    set: server.useMutation("put", "/api/me/second-factor"),
    drop: server.useMutation("post", "/api/me/second-factor/off", done),
    /** Once the recovery codes are put away. */
    settle: () => stale(queries, "/api/session"),
  };
}

/** The number one is registered under, as it stands beside signatures. */
export function useRegistration() {
  const queries = useQueryClient();
  return server.useMutation("put", "/api/me/registration", {
    onSuccess: () => stale(queries, "/api/session"),
  });
}
