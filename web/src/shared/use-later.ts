import { useEffect, useState } from "react";

const WAIT_MS = 200;

/** A value as it was once it stood still for a moment: for asking the server while somebody types. */
export function useLater<T>(value: T): T {
  const [later, setLater] = useState(value);
  useEffect(() => {
    const wait = setTimeout(() => setLater(value), WAIT_MS);
    return () => clearTimeout(wait);
  }, [value]);
  return later;
}
