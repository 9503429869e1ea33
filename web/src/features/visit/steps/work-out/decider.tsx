import { Trans } from "@lingui/react/macro";
import { within } from "@/shared/words/within";
import { useNavigation } from "../../state/navigation";
import { useWorkup } from "../../state/workup";

/** The one value that would tell most, with the way to it; nothing where all that matters is known. */
export function Decider() {
  const { seek } = useNavigation();
  const decider = useWorkup()?.decider;
  if (!decider) return null;
  return (
    <>
      <Trans>To learn more, record </Trans>
      <button type="button" className="underline" onClick={() => seek(decider.field)}>
        {within(decider.label)}
      </button>
      .
    </>
  );
}
