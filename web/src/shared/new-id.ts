import { useCallback, useState } from "react";

/**
 * The id of a thing that is being made here, and what makes the next one: pressed again, or sent
 * again after a lost answer, it is the same thing.
 */
export function useNewId(): [id: string, renew: () => void] {
  const [id, setId] = useState(() => crypto.randomUUID());
  return [id, useCallback(() => setId(crypto.randomUUID()), [])];
}
