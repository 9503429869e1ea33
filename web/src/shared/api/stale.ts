import type { QueryClient, QueryFilters } from "@tanstack/react-query";
import type { paths } from "./schema";

type Path = keyof paths;

/** What each path answers is out of date: asked again where it is seen, and later where it is not. */
export function stale(queries: QueryClient, ...gone: Path[]): Promise<unknown> {
  return Promise.all(gone.map((path) => outdate(queries, { queryKey: ["get", path] })));
}

/** What was answered is out of date, and so is a first answer still under way.
 *
 * A library's `invalidateQueries` lets a first answer come in and calls it new, though it may have
 * been made before the change that outdates it: it is given up here and asked for again.
 */
export async function outdate(queries: QueryClient, filters: QueryFilters): Promise<void> {
  await queries.cancelQueries({
    ...filters,
    predicate: (query) => query.state.data === undefined && (filters.predicate?.(query) ?? true),
  });
  await queries.invalidateQueries(filters);
}

/** The key of everything one path answered about one visit. */
export function ofVisit(path: Path, visitId: string) {
  return ["get", path, { params: { path: { visit_id: visitId } } }] as const;
}
