import { t } from "@lingui/core/macro";
import { api, type Problem, type Schemas } from "@/shared/api/client";
import type { View } from "@/shared/api/queries";

export function failed(status: number): Problem {
  const detail = t`The server couldn’t process this (${status}).`;
  return { type: "failed", title: detail, status, detail };
}

/** Too many calls, no database, no room: it is sent again, however long that lasts. */
export const WAITS: ReadonlySet<number> = new Set([429, 503, 507]);

/** Send one change; with a view the answer brings it worked out anew. */
export function put(
  visitId: string,
  changeId: string,
  body: Schemas["EntryChange"],
  view: View | null,
) {
  return api.PUT("/api/visits/{visit_id}/changes/{change_id}", {
    params: {
      path: { visit_id: visitId, change_id: changeId },
      query: view ? { ...view, draw: true } : {},
    },
    body,
  });
}

/** So often a change that makes the server fail is sent; then the others go on without it. House value. */
const MOST_FAILURES = 4;

/** Counts how often one change has made the server fail: it must not hold up those behind it. */
export class FailingChange {
  private id = "";
  private times = 0;

  /** Note one failure more; whether that is enough. */
  givesUp(id: string): boolean {
    this.times = this.id === id ? this.times + 1 : 1;
    this.id = id;
    return this.times >= MOST_FAILURES;
  }
}
