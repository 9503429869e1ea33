import { useCallback, useRef, useState } from "react";

/** The width that an element has, px, as it changes; 0 before it is there. */
export function useRoomWidth(): [(element: HTMLElement | null) => void, number] {
  const [width, setWidth] = useState(0);
  const watching = useRef<ResizeObserver | null>(null);
  const watch = useCallback((element: HTMLElement | null) => {
    watching.current?.disconnect();
    if (!element) return;
    const read = () => setWidth(Math.floor(element.clientWidth));
    watching.current = new ResizeObserver(read);
    watching.current.observe(element);
    read();
  }, []);
  return [watch, width];
}
