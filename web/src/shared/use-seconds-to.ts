import { useEffect, useState } from "react";

/** Seconds until a moment (s since 1970), under 0 once it is past; null without one. Told anew each second. */
export function useSecondsTo(moment: number | null): number | null {
  const [now, setNow] = useState(() => Date.now() / 1000);
  useEffect(() => {
    if (moment === null) return;
    setNow(Date.now() / 1000);
    const timer = setInterval(() => setNow(Date.now() / 1000), 1000);
    return () => clearInterval(timer);
  }, [moment]);
  return moment === null ? null : Math.round(moment - now);
}

/** Minutes and seconds. */
export function clockWords(seconds: number): string {
  const left = Math.max(0, seconds);
  return `${Math.floor(left / 60)}:${String(left % 60).padStart(2, "0")}`;
}
