import { useNavigation } from "../../state/navigation";
import { useWorkup } from "../../state/workup";

/** The one value that would tell most, with the way to it; nothing where all that matters is known. */
export function Decider() {
  const { seek } = useNavigation();
  const decider = useWorkup()?.decider;
  if (!decider) return null;
  return (
    <>
      To learn more, record{" "}
      <button type="button" className="underline" onClick={() => seek(decider.field)}>
        {decider.label.toLowerCase()}
      </button>
      .
    </>
  );
}
