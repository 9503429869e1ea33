import { t } from "@lingui/core/macro";
import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { useFocusBack } from "./focus-back";

/** A dialog with a title; Escape and the cross close it. */
export function Modal({
  open,
  onOpenChange,
  title,
  says,
  children,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  says?: string;
  children: ReactNode;
}) {
  const focusing = useFocusBack();
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#20262b]/45" />
        <Dialog.Content
          {...focusing}
          className="fixed top-1/2 left-1/2 z-50 max-h-[88dvh] w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto border border-ink/60 bg-ground p-6"
          {...(says ? {} : { "aria-describedby": undefined })}
        >
          <Dialog.Title className="pe-10 text-xl">{title}</Dialog.Title>
          {says && <Dialog.Description className="mt-1 text-soft">{says}</Dialog.Description>}
          <div className="mt-4">{children}</div>
          <Dialog.Close
            className="absolute top-3 end-3 grid size-11 place-items-center hover:bg-deep"
            aria-label={t`Close`}
          >
            <X size={18} />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
