import type { QueryClient } from "@tanstack/react-query";
import type { paths } from "./schema";

type Path = keyof paths;

/** What each path answers is out of date: asked again where it is seen, and later where it is not. */
export function stale(queries: QueryClient, ...gone: Path[]): Promise<unknown> {
  return Promise.all(gone.map((path) => queries.invalidateQueries({ queryKey: ["get", path] })));
}

/** The key of everything one path answered about one visit. */
export function ofVisit(path: Path, visitId: string) {
  return ["get", path, { params: { path: { visit_id: visitId } } }] as const;
}
