/** What the page asks its bench. */
export type Asked =
  | { id: number; kind: "open"; given: string }
  | { id: number; kind: "try"; request: string };

/** What the bench tells; `trouble` where it could not. */
export type Told = { id: number; answer: string } | { id: number; trouble: string };
