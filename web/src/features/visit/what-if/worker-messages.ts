/** What the page asks its bench. */
export type WorkerRequest =
  | { id: number; kind: "open"; given: string }
  | { id: number; kind: "try"; request: string };

/** What the bench tells; `trouble` where it could not. */
export type WorkerResponse = { id: number; answer: string } | { id: number; trouble: string };
