import { fieldId } from "@/shared/api/field-ids";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { FieldRow } from "./field-row";
import { AddPicture } from "./steps/look/photographs/add-picture";
import { useVisitState } from "./visit-context";

/** A note or a picture from wherever one stands; points are placed later. */
export function QuickNote({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const { fields, cells, go } = useVisitState();
  const note = fields.find((field) => field.id === fieldId("look.note"));
  const consent = cells.get(fieldId("ask.consent.photographs"))?.held?.typed === "yes";
  const shut = () => onOpenChange(false);
  return (
    <Modal
      open={open}
      onOpenChange={onOpenChange}
      title="A note or a picture"
      says="Kept with this visit at once; you stay where you are."
    >
      {note && <FieldRow field={note} />}
      <div className="mt-4">
        {consent ? (
          <AddPicture onAdded={shut} />
        ) : (
          <Notice className="text-sm">
            No pictures: the client's consent to photographs is not recorded.{" "}
            <button
              type="button"
              className="min-h-11 underline"
              onClick={() => {
                shut();
                go("ask", "Consent");
              }}
            >
              Consent
            </button>
          </Notice>
        )}
      </div>
    </Modal>
  );
}
