import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { ChevronDown, ChevronRight } from "lucide-react";
import { useEffect, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { useShelf } from "@/shared/api/queries";
import { within } from "@/shared/words/within";
import { FieldsForm } from "../../fields-form";
import type { FieldState } from "../../saving/field-state";
import { applies, type Field, useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { FromShelf, KeepOnShelf, typedOf, WORKSTATION } from "./shelf-dialogs";

type Piece = Schemas["PieceView"];

/** The pieces of the workstation, each with its attributes; from the shelf, and back onto it. */
export function Pieces() {
  const { catalogue, fields, readOnly } = useVisitFacts();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const { sought } = useNavigation();
  const [open, setOpen] = useState<string | null>("chair");
  useEffect(() => {
    const holds = (piece: Piece) => sought !== null && piece.paths.includes(sought);
    const piece = sought && catalogue.pieces.find(holds);
    if (piece) setOpen(piece.id);
  }, [sought, catalogue.pieces]);
  const shelf = useShelf().data ?? [];
  const shared = shelf.find((item) => item.id === cells.get(fieldId("look.workstation"))?.typed);
  const of = (piece: Piece) => fields.filter((field) => piece.paths.includes(field.id));
  return (
    <div>
      <section aria-label={t`Shared workstation`} className="mb-3 border-b border-hair pb-3">
        {shared ? (
          <p>
            <b>{shared.name}</b>, {shared.place || t`location not recorded`}
            <span className="block text-sm text-soft">
              <Trans>
                Shared by {shared.users.join(", ") || t`nobody yet`}. Changes here stay in this
                visit.
              </Trans>
            </span>
          </p>
        ) : (
          <p className="text-sm text-soft">
            {t`Shared desk? Save it once and load it for each person.`}
          </p>
        )}
        {!readOnly && (
          <div className="mt-1 flex flex-wrap gap-2">
            <FromShelf piece={WORKSTATION} title={t`Shared workstations`}>
              {t`Load shared workstation`}
            </FromShelf>
            <KeepOnShelf piece={WORKSTATION} fields={catalogue.pieces.flatMap(of)}>
              {t`Save as shared workstation`}
            </KeepOnShelf>
          </div>
        )}
      </section>
      {catalogue.pieces.map((piece) => {
        const mine = of(piece);
        const shown = open === piece.id;
        return (
          <section key={piece.id} className="border-b border-hair" aria-label={piece.label}>
            <h3>
              <button
                type="button"
                aria-expanded={shown}
                onClick={() => setOpen(shown ? null : piece.id)}
                className="flex min-h-12 w-full items-center gap-2 text-start"
              >
                {shown ? <ChevronDown size={16} /> : <ChevronRight size={16} />}
                <span className="font-semibold">{piece.label}</span>
                <span className="ms-auto truncate text-sm text-soft">{summary(mine, cells)}</span>
              </button>
            </h3>
            {shown && (
              <div className="pb-4">
                {!readOnly && (
                  <div className="mb-3 flex flex-wrap gap-2">
                    <FromShelf piece={piece.id} title={t`Equipment list: ${within(piece.label)}`}>
                      {t`Choose from equipment list`}
                    </FromShelf>
                    <KeepOnShelf piece={piece.id} fields={mine}>
                      {t`Save to equipment list`}
                    </KeepOnShelf>
                  </div>
                )}
                <FieldsForm fields={mine} />
                {piece.id === "desk" && drawnVisit?.display && (
                  <p className="mt-2 border-s-4 border-ink ps-3" role="status">
                    <Trans>
                      {drawnVisit.display} Set shows the height the display should read.
                    </Trans>
                  </p>
                )}
              </div>
            )}
          </section>
        );
      })}
    </div>
  );
}

/** What kind a piece is, and how much of it is known. */
function summary(fields: readonly Field[], cells: ReadonlyMap<string, FieldState>) {
  const kind = fields.find((field) => /\.(kind|there)$/.test(field.id));
  const typed = kind && cells.get(kind.id)?.typed;
  const label = kind?.choices.find(([value]) => value === typed)?.[1];
  const possible = fields.filter((field) => applies(field, cells));
  const known = Object.keys(typedOf(possible, cells)).length;
  if (known === 0) return t`not recorded`;
  return t`${label ?? ""}${label ? ", " : ""}${known} of ${possible.length} recorded`;
}
