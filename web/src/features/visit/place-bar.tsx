import { msg, t } from "@lingui/core/macro";
import { Plus } from "lucide-react";
import { useState } from "react";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Segments } from "@/shared/ui/segments";
import { said } from "@/shared/words/said";
import { FURTHER, MAIN, type PlaceId } from "./at-place";
import type { ChangeQueue } from "./saving/change-queue";
import { useVisitFacts } from "./state/facts";
import { useNavigation } from "./state/navigation";
import { useWorkup } from "./state/workup";

const USES = said([
  { value: "both", label: msg`Sitting and standing` },
  { value: "sit", label: msg`Sitting only` },
  { value: "stand", label: msg`Standing only` },
]);

/** Where the client works: one body, each place with pieces and settings of its own. */
export function PlaceBar({
  kept,
}: {
  /** The visit's own queue: places are named there, whichever is open. */
  kept: ChangeQueue;
}) {
  const { goPlace: onGo } = useNavigation();
  const { readOnly, place } = useVisitFacts();
  const drawnVisit = useWorkup();
  const [naming, setNaming] = useState<PlaceId | null>(null);
  const places = drawnVisit?.places ?? [];
  const next = FURTHER.find((id) => !places.some((place) => place.id === id));
  return (
    <nav aria-label={t`Workplaces`} className="flex items-center gap-1 text-sm">
      {places.length > 1 &&
        places.map((one) => (
          <button
            key={one.id}
            type="button"
            aria-current={one.id === place ? "true" : undefined}
            title={one.use_label}
            onClick={() =>
              one.id === place ? !readOnly && setNaming(one.id as PlaceId) : onGo(one.id as PlaceId)
            }
            className={`min-h-11 max-w-[150px] truncate px-2 ${one.id === place ? "border-b-2 border-ink font-semibold" : "text-soft hover:text-ink"}`}
          >
            {one.name}
          </button>
        ))}
      {next && !readOnly && (
        <button
          type="button"
          aria-label={t`Add a workplace`}
          title={t`Add a workplace`}
          onClick={() => setNaming(next)}
          className="flex min-h-11 items-center gap-1 px-2 text-soft hover:text-ink"
        >
          <Plus size={16} />
          {places.length < 2 && t`Workplace`}
        </button>
      )}
      {naming && (
        <NamePlace
          key={naming}
          id={naming}
          kept={kept}
          onDone={(made) => {
            setNaming(null);
            if (made) onGo(naming);
          }}
        />
      )}
    </nav>
  );
}

function NamePlace({
  id,
  kept,
  onDone,
}: {
  id: PlaceId;
  kept: ChangeQueue;
  onDone: (made: boolean) => void;
}) {
  const { unit } = useVisitFacts();
  const path = (what: "name" | "use", placeId = id) => `place.${placeId}.${what}`;
  const [name, setName] = useState(kept.cell(path("name")).typed);
  const [main, setMain] = useState(kept.cell(path("name", MAIN)).typed);
  const [use, setUse] = useState(kept.cell(path("use")).typed || "both");
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone(false)}
      title={id === MAIN ? t`Main workplace` : t`Additional workplace`}
      says={t`The client is measured once. Each workplace has its own equipment and targets, all in one report.`}
    >
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          const first: [string, string][] = id === MAIN ? [] : [[path("name", MAIN), main]];
          kept.typeAll([...first, [path("name"), name], [path("use"), use]], unit);
          onDone(true);
        }}
      >
        {id !== MAIN && (
          <LabelledInput
            label={t`The first workplace is`}
            value={main}
            placeholder={t`Desk in the office`}
            onChange={(event) => setMain(event.target.value)}
          />
        )}
        <LabelledInput
          label={id === MAIN ? t`Name` : t`This one is`}
          value={name}
          placeholder={t`Counter`}
          onChange={(event) => setName(event.target.value)}
        />
        <fieldset>
          <legend className="mb-1 font-semibold">{t`Worked at`}</legend>
          <Segments label={t`Worked at`} value={use} choices={USES} onChange={setUse} />
        </fieldset>
        <Button type="submit">{t`Save`}</Button>
      </form>
    </Modal>
  );
}
