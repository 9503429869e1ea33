import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, type Schemas } from "@/shared/api/client";
import { isByDevice, WORKED } from "@/shared/api/queries";
import { ofVisit, outdate } from "@/shared/api/stale";
import { network } from "@/shared/device/network";
import type { ChangeQueue } from "./saving/change-queue";

const VISIT = "/api/visits/{visit_id}";
const OPEN_PAGE = "/api/visits/{visit_id}/pages/{page_id}";
const EVERY_MS = 1500;
const AFTER_TROUBLE_MS = 10_000;

/** One for each page that is open: two in one browser are two. */
const PAGE = crypto.randomUUID();

/**
 * Says every moment that this page is here, takes in what others have changed meanwhile, and tells who they
 * are. A page that is not looked at says nothing; one that is typed in asks once what it typed has been sent.
 */
export function usePulse(visit: Schemas["OpenVisit"], kept: ChangeQueue): Schemas["OpenPage"][] {
  const queries = useQueryClient();
  const [others, setOthers] = useState<Schemas["OpenPage"][]>([]);
  const { id } = visit;
  const here = isByDevice(visit);
  useEffect(() => {
    if (here) return;
    let gone = false;
    let next: ReturnType<typeof setTimeout>;
    const say = async () => {
      if (document.visibilityState !== "visible" || network.getState().away) return EVERY_MS;
      const path = { visit_id: id, page_id: PAGE };
      const { data } = await api.PUT(OPEN_PAGE, { params: { path } });
      if (gone || !data) return AFTER_TROUBLE_MS;
      setOthers((held) => (sameAs(held, data.others) ? held : data.others));
      const held = queries.getQueryData<Schemas["OpenVisit"]>(ofVisit(VISIT, id))?.revision;
      if (held !== undefined && data.revision > held && kept.open.length === 0) {
        await outdate(queries, { queryKey: ofVisit(VISIT, id) });
        await outdate(queries, {
          queryKey: ["get", WORKED],
          predicate: ({ queryKey }) => JSON.stringify(queryKey).includes(id),
        });
      }
      return EVERY_MS;
    };
    const beat = async () => {
      const wait = await say().catch(() => AFTER_TROUBLE_MS);
      if (!gone) next = setTimeout(beat, wait);
    };
    const leave = () =>
      void api
        .DELETE(OPEN_PAGE, { params: { path: { visit_id: id, page_id: PAGE } }, keepalive: true })
        .catch(() => undefined);
    next = setTimeout(beat, EVERY_MS);
    addEventListener("pagehide", leave);
    return () => {
      gone = true;
      clearTimeout(next);
      removeEventListener("pagehide", leave);
      leave();
    };
  }, [id, here, kept, queries]);
  return others;
}

function sameAs(held: readonly Schemas["OpenPage"][], came: readonly Schemas["OpenPage"][]) {
  return JSON.stringify(held) === JSON.stringify(came);
}
