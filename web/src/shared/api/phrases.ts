import { useQueryClient } from "@tanstack/react-query";
import { server } from "./client";
import { stale } from "./stale";

const PHRASE = "/api/phrases/{phrase_id}";

/** The practice's own sentences by their codes. */
export function usePhrases() {
  return server.useQuery("get", "/api/phrases");
}

/** Keep, change or drop one. */
export function usePhraseChanges() {
  const queries = useQueryClient();
  const done = { onSettled: () => stale(queries, "/api/phrases") };
  return {
    add: server.useMutation("post", "/api/phrases", done),
    change: server.useMutation("put", PHRASE, done),
    drop: server.useMutation("delete", PHRASE, done),
  };
}
