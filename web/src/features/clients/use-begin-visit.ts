import { useNavigate } from "@tanstack/react-router";
import { useCallback, useRef } from "react";
import { useVisitChanges } from "@/shared/api/queries";

/** Start a visit and open it: one new visit a client until it has begun, however often it is pressed. */
export function useBeginVisit() {
  const { start } = useVisitChanges();
  const navigate = useNavigate();
  const ids = useRef(new Map<string, string>());
  const { mutateAsync } = start;
  const begin = useCallback(
    async (clientId: string, fromVisit: string | null = null, visitId?: string) => {
      const id = visitId ?? ids.current.get(clientId) ?? crypto.randomUUID();
      ids.current.set(clientId, id);
      const visit = await mutateAsync({ body: { id, client_id: clientId, from_visit: fromVisit } });
      ids.current.delete(clientId);
      await navigate({ to: "/visits/$visitId/$step", params: { visitId: visit.id, step: "ask" } });
    },
    [mutateAsync, navigate],
  );
  return { begin, error: start.error, busy: start.isPending };
}
