import { useIsMutating } from "@tanstack/react-query";
import { useEffect } from "react";
import { Button } from "@/shared/ui/button";
import type { Keeper, Snapshot } from "./saving/keeper";

/** Where what was typed is: on the server, or still on this device. */
export function KeptLine({ snapshot, keeper }: { snapshot: Snapshot; keeper: Keeper }) {
  const pictures = useIsMutating({ mutationKey: ["photo", keeper.visitId] });
  useEffect(() => {
    if (pictures === 0) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [pictures]);
  const time = snapshot.keptAt?.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  const refused = [...snapshot.cells.values()].filter((cell) => cell.state === "refused").length;
  let words = time ? `kept on the server ${time}` : "kept on the server";
  if (snapshot.pending > 0)
    words = snapshot.offline ? `${snapshot.pending} on this device, sent again soon` : "sending …";
  else if (pictures)
    words = `${pictures} picture${pictures > 1 ? "s" : ""} on this device, being sent`;
  else if (refused) words = `${refused} not kept: see the field`;
  return (
    <div className="flex items-center gap-3">
      <span role="status" className="figures whitespace-nowrap text-soft">
        {words}
      </span>
      {snapshot.signedOut && (
        <Button onClick={() => window.open("/", "_blank")?.focus()}>Sign in again</Button>
      )}
      {snapshot.signedOut && (
        <Button look="quiet" onClick={() => keeper.resume()}>
          Send now
        </Button>
      )}
    </div>
  );
}
