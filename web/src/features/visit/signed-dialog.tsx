import { useStore } from "zustand";
import { Button } from "@/shared/ui/button";
import { Modal } from "@/shared/ui/modal";
import type { ChangeQueue } from "./saving/change-queue";

/** A change to a visit that is signed as it stands asks first. */
export function SignedDialog({ queue, version }: { queue: ChangeQueue; version: number }) {
  const asking = useStore(queue.store, (snapshot) => snapshot.asking);
  const onAnswer = (change: boolean) => queue.answer(change);
  return (
    <Modal
      open={asking}
      onOpenChange={(open) => !open && onAnswer(false)}
      title={`Version ${version} is signed`}
      says={`It stays as it was signed. A change opens the visit again, and version ${version + 1} waits for your signature.`}
    >
      <div className="flex gap-2">
        <Button look="next" onClick={() => onAnswer(false)}>
          Leave it as signed
        </Button>
        <Button onClick={() => onAnswer(true)}>Change it all the same</Button>
      </div>
    </Modal>
  );
}
