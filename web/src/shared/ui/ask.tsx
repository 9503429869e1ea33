import { AlertDialog } from "radix-ui";
import { Button } from "./button";
import { useFocusBack } from "./focus-back";

/** A question before something that can't be made undone: the safe way out has the focus. */
export function Ask({
  open,
  onOpenChange,
  title,
  says,
  keep,
  act,
  onAct,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  says: string;
  /** What leaves everything as it is. */
  keep: string;
  /** What is done, in words of its own. */
  act: string;
  onAct: () => void;
}) {
  const focusing = useFocusBack();
  return (
    <AlertDialog.Root open={open} onOpenChange={onOpenChange}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-[#20262b]/45" />
        <AlertDialog.Content
          {...focusing}
          className="fixed top-1/2 left-1/2 z-50 w-[min(480px,94vw)] -translate-x-1/2 -translate-y-1/2 border border-ink/60 bg-ground p-6"
        >
          <AlertDialog.Title className="text-xl">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">{says}</AlertDialog.Description>
          <div className="mt-5 flex flex-wrap gap-2">
            <AlertDialog.Cancel asChild>
              <Button look="next">{keep}</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button onClick={onAct}>{act}</Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
