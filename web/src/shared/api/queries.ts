import {
  hashKey,
  keepPreviousData,
  type QueryClient,
  replaceEqualDeep,
  useIsMutating,
  useQueryClient,
} from "@tanstack/react-query";
import { noteVisit } from "../device/taken";
import { fileBody, Refused, type Schemas, server, type Unit } from "./client";
import type { paths } from "./schema";
import { ofVisit, outdate, stale } from "./stale";

const CLIENT = "/api/clients/{client_id}";
const VISIT = "/api/visits/{visit_id}";
export const WORKED = "/api/visits/{visit_id}/results";
const REPORT = "/api/visits/{visit_id}/report";
const SHELF_ITEM = "/api/shelf/{item_id}";
const PHOTO_OF_VISIT = "/api/visits/{visit_id}/photos/{photo_id}";

export function useFields() {
  const { data, ...rest } = server.useQuery("get", "/api/fields", undefined, {
    staleTime: Number.POSITIVE_INFINITY,
  });
  return { ...rest, data: data as Schemas["Fields"] | undefined };
}

/** So many rows a list gives at a time. */
export const PAGE = 100;

type Query<P extends "/api/visits" | "/api/clients"> = NonNullable<
  paths[P]["get"]["parameters"]["query"]
>;

/** What Today shows; the visits that are looked for, or one client's, where that is asked. */
export function useVisits(asked: Query<"/api/visits"> = {}) {
  const query = given(asked);
  return server.useQuery("get", "/api/visits", query ? { params: { query } } : undefined, {
    placeholderData: keepPreviousData,
  });
}

/** A page of the clients by name; those that are looked for, or one alone. */
export function useClients(asked: Query<"/api/clients"> = {}) {
  const query = given(asked);
  return server.useQuery("get", "/api/clients", query ? { params: { query } } : undefined, {
    placeholderData: keepPreviousData,
  });
}

/** What is asked, without what is empty; nothing where nothing is left, so that the key is the plain one. */
function given<Q extends object>(asked: Q): Q | undefined {
  const left = Object.entries(asked).filter(([, value]) => value);
  return left.length > 0 ? (Object.fromEntries(left) as Q) : undefined;
}

/** New things carry an id made on the page: sent again after a lost answer they are the same thing. */
export function useAddClient() {
  const queries = useQueryClient();
  return server.useMutation("post", "/api/clients", {
    onSuccess: () => stale(queries, "/api/clients"),
  });
}

/** Correct a client. */
export function useClientChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/clients", "/api/visits", VISIT) };
  return { change: server.useMutation("put", CLIENT, done) };
}

/** Start a visit, or drop one that holds nothing; started again with its id it is the same visit. */
export function useVisitChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/visits") };
  return {
    start: server.useMutation("post", "/api/visits", done),
    discard: server.useMutation("put", "/api/visits/{visit_id}/discarded", done),
    drop: server.useMutation("delete", VISIT, done),
  };
}

export function useVisit(id: string) {
  return server.useQuery(
    "get",
    VISIT,
    { params: { path: { visit_id: id } } },
    { structuralSharing: theLater },
  );
}

/**
 * Of two answers about a visit the one of the later revision, whichever of them came in last. A device counts
 * for itself: what it answered gives way to the server.
 */
export function theLater(held: unknown, came: unknown): unknown {
  const [old, now] = [held, came] as [Revised | undefined, Revised];
  const comparable = old && isByDevice(old) === isByDevice(now);
  return comparable && old.revision > now.revision ? old : replaceEqualDeep(old, now);
}

type Revised = { revision: number };

/** Whether an answer was made on this device, without network. */
export function isByDevice(answer: object): boolean {
  return "by_device" in answer;
}

/** What was answered without network is asked of the server. */
export function settleOnServer(queries: QueryClient): Promise<unknown> {
  return queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey[1] !== "/api/session" });
}

const MOST_FAILURES = 3;

export type View = {
  unit: Unit;
  width: number;
  height: number;
  mode: "both" | "seated" | "standing" | "overlay";
  show: "found" | "target" | "left";
  /** Which of the visit's places. */
  place?: NonNullable<Schemas["StackRequest"]["place"]>;
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
  return server.useQuery("get", "/api/shelf");
}

/** Keep, change or drop something on the shelf. */
export function useShelfChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/shelf") };
  return {
    add: server.useMutation("post", "/api/shelf", done),
    change: server.useMutation("put", SHELF_ITEM, done),
    drop: server.useMutation("delete", SHELF_ITEM, done),
  };
}

export function useLightMeter() {
  return server.useMutation("post", "/api/light-meter/readings");
}

/** Send a photograph as it is; its id is made here, so that sent twice it counts once. */
export function useAddPhoto(visitId: string) {
  const queries = useQueryClient();
  const add = server.useMutation("put", PHOTO_OF_VISIT, {
    networkMode: "always",
    onSuccess: () => refresh(queries, visitId),
    // a lost connection is waited for; a server that fails on this picture is told of soon
    retry: (times, error) =>
      !(error instanceof Refused) || (error.problem.status >= 500 && times < MOST_FAILURES),
    retryDelay: (count) => Math.min(8000, 500 * 2 ** count),
  });
  return {
    ...add,
    send: (file: File, onAdded: (id: string) => void) =>
      add.mutate(
        {
          params: { path: { visit_id: visitId, photo_id: crypto.randomUUID() } },
          ...fileBody(file, file.type || "image/jpeg"),
        },
        { onSuccess: (kept) => onAdded(kept.id) },
      ),
  };
}

/** How many photographs of a visit are still being sent. */
export function usePhotosOnTheWay(visitId: string): number {
  return useIsMutating({
    mutationKey: ["put", PHOTO_OF_VISIT],
    predicate: ({ state }) => sameVisit(state.variables, visitId),
  });
}

function sameVisit(sent: unknown, visitId: string): boolean {
  const init = sent as { params: { path: { visit_id: string } } } | undefined;
  return init?.params.path.visit_id === visitId;
}

export function useDropPhoto(visitId: string) {
  const queries = useQueryClient();
  return server.useMutation("delete", "/api/photos/{photo_id}", {
    onSuccess: () => refresh(queries, visitId),
  });
}

/** Fetch a visit and what is worked out of it anew. */
export function refresh(queries: QueryClient, visitId: string): Promise<unknown> {
  return Promise.all(
    ([VISIT, WORKED, REPORT] as const).map((path) =>
      outdate(queries, { queryKey: ofVisit(path, visitId) }),
    ),
  );
}

export function useWorked(id: string, view: View | null) {
  return server.useQuery("get", WORKED, ofView(id, view), {
    enabled: view !== null,
    placeholderData: keepPreviousData,
    structuralSharing: theLater,
  });
}

export const DAY = "/api/visits/{visit_id}/day";
type DayQuery = NonNullable<Parameters<typeof dayOptions>[1]>;

function dayOptions(
  id: string,
  query: { place?: NonNullable<Schemas["StackRequest"]["place"]>; week?: number; width?: number },
) {
  return { params: { path: { visit_id: id }, query } };
}

export const PROGRAMME = "/api/visits/{visit_id}/movements";

/** The movements of a visit's client, with their figures. */
export function useProgramme(id: string, place: NonNullable<Schemas["StackRequest"]["place"]>) {
  return server.useQuery(
    "get",
    PROGRAMME,
    { params: { path: { visit_id: id }, query: { place } } },
    { placeholderData: keepPreviousData },
  );
}

/** The working day of a visit, laid out. */
export function useDay(id: string, query: DayQuery, enabled: boolean) {
  return server.useQuery("get", DAY, dayOptions(id, query), {
    enabled,
    placeholderData: keepPreviousData,
  });
}

function ofView(id: string, view: View | null) {
  return { params: { path: { visit_id: id }, query: view ?? {} } };
}

/** Whether nothing has changed since the last version was signed. */
export function isSigned(visit: Schemas["OpenVisit"]): boolean {
  return visit.reports.at(-1)?.revision === visit.revision;
}

/** Put what a change's answer brought where the page reads it, and ask anew for what it left open. */
export function putAnswer(
  queries: QueryClient,
  visitId: string,
  view: View | null,
  answer: Schemas["ChangeAnswer"],
): void {
  const { entry, revision, drawn: worked } = answer;
  const mark = isByDevice(answer) ? { by_device: true } : {};
  queries.setQueryData<Schemas["OpenVisit"]>(
    ofVisit(VISIT, visitId),
    (old) =>
      old && {
        ...old,
        ...mark,
        revision: Math.max(revision, old.revision),
        entries: { ...old.entries, [entry.path]: entry },
      },
  );
  const visit = queries.getQueryData<Schemas["OpenVisit"]>(ofVisit(VISIT, visitId));
  if (visit && !isByDevice(visit)) noteVisit(visit);
  const key = server.queryOptions("get", WORKED, ofView(visitId, view)).queryKey;
  if (worked) queries.setQueryData(key, { ...worked, ...mark });
  void outdate(queries, {
    queryKey: ofVisit(WORKED, visitId),
    predicate: (query) => !worked || query.queryHash !== hashKey(key),
  });
  void outdate(queries, { queryKey: ofVisit(REPORT, visitId) });
  if (entry.path.startsWith("ask.consent.") && entry.value !== "yes")
    void refresh(queries, visitId); // a consent taken back has erased things
  void queries.invalidateQueries({ queryKey: ["get", "/api/visits"], refetchType: "none" });
}

export function useDraft(id: string, unit: Unit) {
  return server.useQuery("get", REPORT, { params: { path: { visit_id: id }, query: { unit } } });
}

/** Sign what was looked at: the report's id is made here, the revision is the one shown. */
export function useSign(id: string, unit: Unit) {
  const queries = useQueryClient();
  const sign = server.useMutation("put", "/api/visits/{visit_id}/reports/{report_id}", {
    onSettled: () => stale(queries, VISIT, WORKED, REPORT, "/api/visits"),
  });
  return {
    ...sign,
    sign: (reportId: string, revision: number, onDone: () => void) =>
      sign.mutate(
        {
          params: { path: { visit_id: id, report_id: reportId }, query: { unit } },
          body: { revision },
        },
        { onSuccess: onDone },
      ),
  };
}

/** A client with their visits, from an archive. */
export function useImportClient() {
  const queries = useQueryClient();
  return server.useMutation("post", "/api/clients/archive", {
    onSuccess: () => stale(queries, "/api/clients", "/api/visits"),
  });
}

/** What has become of the client since their visit before. */
export function useSince(id: string, unit: Unit) {
  return server.useQuery(
    "get",
    "/api/visits/{visit_id}/changes-since",
    { params: { path: { visit_id: id }, query: { unit } } },
    { staleTime: 60_000 },
  );
}

/** The best stack of what is at hand, for a height that is short. */
export function useStack() {
  return server.useMutation("post", "/api/visits/{visit_id}/stack");
}
