import { msg } from "@lingui/core/macro";
import { useQueryClient } from "@tanstack/react-query";
import { said } from "@/shared/words/said";
import { fileBody, type Schemas, server, type Unit } from "./client";
import { stale } from "./stale";

export type Link = Schemas["LinkView"];
export type CheckRound = Schemas["RoundView"];
export type Level = Schemas["CheckView"]["level"];

const LINKS = "/api/clients/{client_id}/links";
const HISTORY = "/api/clients/{client_id}/history";
const CHECK = "/api/checks/{check_id}";

export const ROUND_WORDS: Record<CheckRound["round"], string> = said({
  before: msg`Before the visit`,
  week_1: msg`After 1 week`,
  week_3: msg`After 3 weeks`,
  week_6: msg`After 6 weeks`,
  request: msg`Request to the workplace`,
});

export const LEVELS: Record<Level, string> = said({
  fine: msg`No action needed`,
  advice: msg`Written advice`,
  call: msg`Call`,
  visit: msg`Visit`,
  clinician: msg`See a clinician first`,
  same_day: msg`See a clinician today`,
  stop: msg`Stop and seek care`,
});

/** A client's links with their rounds and mails; asked again while a mail is on its way. */
export function useLinks(clientId: string, enabled = true) {
  return server.useQuery(
    "get",
    LINKS,
    { params: { path: { client_id: clientId } } },
    {
      enabled,
      refetchInterval: (query) => {
        const soon = Date.now() + 60_000;
        const going = (mail: Schemas["MailView"]) =>
          (mail.state === "waiting" || mail.state === "sending") && Date.parse(mail.due_at) < soon;
        return (query.state.data ?? []).some((link) => link.mails.some(going)) ? 3000 : false;
      },
    },
  );
}

export function useLinkDeeds() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, LINKS, HISTORY) };
  return {
    make: server.useMutation("post", "/api/links", done),
    code: server.useMutation("post", "/api/links/{link_id}/code", done),
    mail: server.useMutation("post", "/api/links/{link_id}/mail", done),
    revoke: server.useMutation("delete", "/api/links/{link_id}", done),
  };
}

export function useHistory(clientId: string, unit: Unit) {
  return server.useQuery("get", HISTORY, {
    params: { path: { client_id: clientId }, query: { unit } },
  });
}

/** Answers that nobody has decided on. */
export function useChecks() {
  return server.useQuery("get", "/api/checks");
}

export function useCheck(id: string, unit: Unit) {
  return server.useQuery("get", CHECK, { params: { path: { check_id: id }, query: { unit } } });
}

export function useCheckDeeds() {
  const queries = useQueryClient();
  return {
    decide: server.useMutation("put", "/api/checks/{check_id}/decision", {
      onSettled: () => stale(queries, CHECK, "/api/checks", LINKS, HISTORY),
    }),
    takeOver: server.useMutation("post", "/api/checks/{check_id}/take-over", {
      onSettled: () => stale(queries, "/api/visits", "/api/visits/{visit_id}"),
    }),
  };
}

export function useLanguages() {
  return server.useQuery("get", "/api/languages");
}

export function useLanguageDeeds() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/languages") };
  const add = server.useMutation("put", "/api/languages", done);
  return {
    add,
    send: (file: File) => add.mutate(fileBody(file, "application/octet-stream")),
    drop: server.useMutation("delete", "/api/languages/{language}", done),
  };
}

/** What has arrived at the simulated mail server, looked at now and then. */
export function useMailbox() {
  return server.useQuery("get", "/api/mailbox", undefined, { refetchInterval: 3000, retry: false });
}
