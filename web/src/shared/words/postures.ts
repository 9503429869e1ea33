import { t } from "@lingui/core/macro";

/** A posture as one says it within a sentence. */
export function sayPosture(posture: string): string {
  return posture === "standing" ? t`standing` : t`seated`;
}
