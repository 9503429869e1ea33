import { t } from "@lingui/core/macro";
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
      title={t`Version ${version} is signed`}
      says={t`It stays as signed. A change reopens the visit, and version ${version + 1} will need your signature.`}
    >
      <div className="flex gap-2">
        <Button look="next" onClick={() => onAnswer(false)}>
          {t`Cancel`}
        </Button>
        <Button onClick={() => onAnswer(true)}>{t`Edit anyway`}</Button>
      </div>
    </Modal>
  );
}
