import type { ReactNode } from "react";
import { COARSE, useMedia } from "@/shared/use-media";

/** Which keys do what, for those who have a keyboard. */
export function ByKeys({ children }: { children: ReactNode }) {
  return useMedia(COARSE) ? null : children;
}
