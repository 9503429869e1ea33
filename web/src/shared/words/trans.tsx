import { i18n } from "@lingui/core";
import type { TransProps } from "@lingui/react";
import { TransNoContext } from "@lingui/react/server";

/** A message with elements in it, said in the language of this browser. */
export function Trans(props: TransProps) {
  return <TransNoContext {...props} lingui={{ i18n }} />;
}
