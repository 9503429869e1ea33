/**
 * What the page asks Python: a bench is opened with what a visit is worked through from, then tried
 * on, drawn with what was just typed, and told what the server has kept; a
 * sitting without network is begun with a member's belongings, takes visits along, and is asked as the server is.
 */
export type Ask =
  | { kind: "open"; given: string; language: string }
  | { kind: "try"; request: string }
  | { kind: "ahead"; request: string }
  | { kind: "keep"; values: string }
  | { kind: "settle"; request: string }
  | { kind: "begin"; belongings: string }
  | { kind: "take"; visit: string }
  | { kind: "ask"; request: string };

export type WorkerRequest = { id: number } & Ask;

/** What Python tells; `trouble` where it could not. */
export type WorkerResponse = { id: number; answer: string } | { id: number; trouble: string };
