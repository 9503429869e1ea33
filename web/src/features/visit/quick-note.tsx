import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { fieldId } from "@/shared/api/field-ids";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { FieldRow } from "./field-row";
import { useVisitFacts } from "./state/facts";
import { useNavigation } from "./state/navigation";
import { useCells } from "./state/recording";
import { AddPicture } from "./steps/look/photographs/add-picture";

/** A note or photo from any step; points are placed later. */
export function QuickNote({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const { fields } = useVisitFacts();
  const cells = useCells();
  const { seek } = useNavigation();
  const note = fields.find((field) => field.id === fieldId("look.note"));
  const consent = cells.get(fieldId("ask.consent.photographs"))?.held?.typed === "yes";
  const shut = () => onOpenChange(false);
  return (
    <Modal
      open={open}
      onOpenChange={onOpenChange}
      title={t`Add a note or photo`}
      says={t`Saved to this visit immediately.`}
    >
      {note && <FieldRow field={note} />}
      <div className="mt-4">
        {consent ? (
          <AddPicture onAdded={shut} />
        ) : (
          <Notice className="text-sm">
            <Trans>Photos are off: no consent to photos recorded. </Trans>
            <button
              type="button"
              className="min-h-11 underline"
              onClick={() => {
                shut();
                seek(fieldId("ask.consent.photographs"));
              }}
            >
              {t`Consent`}
            </button>
          </Notice>
        )}
      </div>
    </Modal>
  );
}
