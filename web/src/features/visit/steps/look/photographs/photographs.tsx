import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { fieldId } from "@/shared/api/field-ids";
import { useDropPhoto } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Picture } from "@/shared/ui/picture";
import { FieldRow, Troubles } from "../../../field-row";
import { StagePortal } from "../../../stage-portal";
import { memberField, useVisitFacts } from "../../../state/facts";
import { useNavigation } from "../../../state/navigation";
import { useCells, useQueue } from "../../../state/recording";
import { useWorkup } from "../../../state/workup";
import { AddPicture } from "./add-picture";
import { Compare } from "./compare";
import { Placing } from "./placing";
import { pointsOf, type Shot, useShots } from "./points";
import { Readings } from "./readings";

const SAID = ["view", "posture", "when", "known", "camera", "note"];

/** Photographs: taken in, points placed by hand, angles read from them with their errors. */
export function Photographs() {
  const { catalogue, readOnly, unit } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const { seek } = useNavigation();
  const shots = useShots();
  const [chosen, setChosen] = useState<string | null>(null);
  const [mark, setMark] = useState<string | null>(null);
  const added = (id: string) => {
    choose(id);
    const assumed = [
      ["view", "side"],
      ["posture", "seated"],
      ["when", "before"],
    ] as const;
    queue.typeAll(
      assumed.map(([what, typed]) => [`look.photo.${id}.${what}`, typed] as const),
      unit,
    );
  };
  const choose = (id: string) => {
    setChosen(id);
    setMark(null); // each picture begins with its own first point
  };
  const [comparing, setComparing] = useState(false);
  const now = shots.find((shot) => shot.id === chosen) ?? shots[0];
  const consent = cells.get(fieldId("ask.consent.photographs"))?.held?.typed === "yes";
  const read = drawnVisit?.photos.find((photo) => photo.id === now?.id);
  const other = shots.find(
    (shot) =>
      now && shot.view === now.view && shot.posture === now.posture && shot.when !== now.when,
  );
  const asked = catalogue.landmarks.filter((landmark) => now && landmark.views.includes(now.view));
  const placed = now ? pointsOf(cells, now.id, asked) : {};
  const open = asked.find((landmark) => !placed[landmark.id]);
  const present = asked.find((landmark) => landmark.id === mark) ?? open;
  const pair: readonly [Shot, Shot] | null =
    now && other ? (now.when === "before" ? [now, other] : [other, now]) : null;
  return (
    <div>
      {!consent && (
        <Notice className="mb-3">
          <p>{t`No consent to photos recorded, so none can be saved.`}</p>
          {!readOnly && (
            <Button className="mt-1" onClick={() => seek(fieldId("ask.consent.photographs"))}>
              {t`Record consent`}
            </Button>
          )}
        </Notice>
      )}
      {consent && !readOnly && <AddPicture onAdded={added} />}
      {shots.length === 0 && consent && (
        <p className="mt-3 text-soft">
          {t`From the side and from behind, about 3 m away, with the camera level with the seat. Put something of known length beside the client.`}
        </p>
      )}
      <ul className="mt-3 grid grid-cols-3 gap-2" aria-label={t`Photos of this visit`}>
        {shots.map((shot) => (
          <li key={shot.id}>
            <button
              type="button"
              aria-pressed={shot === now}
              onClick={() => {
                choose(shot.id);
                setComparing(false);
              }}
              className="block w-full border border-ink/40 text-start text-xs aria-pressed:outline-2 aria-pressed:outline-ink"
            >
              <Picture id={shot.id} alt="" className="aspect-[4/3] w-full bg-deep object-cover" />
              <span className="block truncate px-1 py-0.5">
                {shot.view === "rear" ? t`Behind` : t`Side`}
                {shot.posture === "standing" ? ", standing" : ""}, {shot.when}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {pair && (
        <Button
          className="mt-3 w-full"
          aria-pressed={comparing}
          onClick={() => setComparing(!comparing)}
        >
          {comparing ? t`Back to the points` : t`Compare before and after`}
        </Button>
      )}
      {now && (
        <StagePortal label={t`Photo`}>
          {comparing && pair ? (
            <Compare before={pair[0]} after={pair[1]} />
          ) : (
            <Placing
              key={now.id}
              shot={now}
              marks={asked}
              present={present?.id ?? null}
              read={read}
              onChoose={setMark}
            />
          )}
        </StagePortal>
      )}
      {now && !comparing && (
        <>
          <div className="mt-3 space-y-3" key={now.id}>
            {SAID.slice(0, 4).map((name) => {
              const field = memberField(catalogue, `look.photo.*.${name}`, now.id);
              return field && <FieldRow key={field.id} field={field} />;
            })}
          </div>
          <section className="mt-4" aria-label={t`Points`}>
            <h3 className="border-b border-ink text-sm font-semibold">
              <Trans>
                Points: {asked.length - asked.filter((landmark) => !placed[landmark.id]).length} of{" "}
                {asked.length}
              </Trans>
            </h3>
            {present && (
              <p className="mt-1 min-h-10 text-sm">
                <b>{present.label}.</b> {present.where}{" "}
                {placed[present.id]
                  ? t`Drag it, or move it with the arrow keys.`
                  : t`Tap that spot in the photo.`}
              </p>
            )}
            <AsBefore shot={now} before={shots[shots.indexOf(now) - 1]} />
            <Troubles
              of={asked.map(({ id, label }) => ({ path: `look.photo.${now.id}.${id}`, label }))}
            />
            <ol className="grid grid-cols-2 gap-x-3 text-sm">
              {asked.map((landmark) => (
                <li key={landmark.id}>
                  <button
                    type="button"
                    aria-current={landmark === present ? "true" : undefined}
                    onClick={() => setMark(landmark.id)}
                    className={`flex min-h-11 w-full items-center justify-between gap-1 border-b text-start ${
                      landmark === present ? "border-ink font-semibold" : "border-hair"
                    }`}
                  >
                    {landmark.label}
                    <span aria-hidden="true">{placed[landmark.id] ? "●" : "○"}</span>
                    <span className="sr-only">
                      {placed[landmark.id] ? "placed" : t`not placed`}
                    </span>
                  </button>
                </li>
              ))}
            </ol>
          </section>
        </>
      )}
      {read && <Readings read={read} {...(comparing && pair ? { pair } : {})} />}
      {now && !comparing && (
        <div className="mt-3 space-y-3" key={`${now.id} more`}>
          {SAID.slice(4).map((name) => {
            const field = memberField(catalogue, `look.photo.*.${name}`, now.id);
            return field && <FieldRow key={field.id} field={field} />;
          })}
          {!readOnly && <Drop id={now.id} onDropped={() => setChosen(null)} />}
        </div>
      )}
    </div>
  );
}

/** What stays where the camera stays: the thing of known length, and the plumb line. */
const KEPT = ["known", "scale_a", "scale_b", "upright_a", "upright_b"] as const;

/** Where the camera has not moved, scale and plumb line are those of the photograph before. */
function AsBefore({ shot, before }: { shot: Shot; before: Shot | undefined }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  if (readOnly || !before || before.width !== shot.width || before.height !== shot.height)
    return null;
  const typed = (id: string, what: string) => cells.get(`look.photo.${id}.${what}`)?.typed ?? "";
  const kept = KEPT.filter((what) => typed(before.id, what) && !typed(shot.id, what));
  if (!kept.some((what) => what !== "known")) return null;
  return (
    <Button
      className="my-1 w-full text-sm"
      onClick={() =>
        queue.typeAll(
          kept.map((what) => [`look.photo.${shot.id}.${what}`, typed(before.id, what)] as const),
          unit,
        )
      }
    >
      {t`Camera not moved: same scale and vertical reference`}
    </Button>
  );
}

function Drop({ id, onDropped }: { id: string; onDropped: () => void }) {
  const { visit } = useVisitFacts();
  const drop = useDropPhoto(visit.id);
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button look="quiet" className="-ms-4" onClick={() => setAsking(true)}>
        <Trash2 size={16} aria-hidden="true" /> {t`Delete this photo`}
      </Button>
      <Modal
        open={asking}
        onOpenChange={setAsking}
        title={t`Delete this photo?`}
        says={t`The photo and its points will be deleted permanently.`}
      >
        <Button
          disabled={drop.isPending}
          onClick={() =>
            drop.mutate(
              { params: { path: { photo_id: id } } },
              {
                onSuccess: () => {
                  setAsking(false);
                  onDropped();
                },
              },
            )
          }
        >
          {t`Delete`}
        </Button>
        <Failure of={drop} />
      </Modal>
    </>
  );
}
