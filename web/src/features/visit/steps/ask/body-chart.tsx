import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type ReactNode, useMemo } from "react";
import type { Schemas } from "@/shared/api/client";
import { BodyMap, type MapWords } from "../../../../drawing/body-map";
import { useVisitFacts } from "../../state/facts";

const mapWords = (): MapWords => ({
  front: t`Front`,
  back: t`Back`,
  left: t`left`,
  right: t`right`,
  all: t`Body regions: arrow keys move, 0 to 9 and + set the intensity`,
  region: (region, strength) =>
    `${region.label}, ${strength ? t`${strength} of 10` : t`no discomfort`}`,
});

/** The body map of a visit, with its keys said below. */
export function BodyChart({
  chosen,
  strength,
  onChoose,
  onStrength,
  below,
}: {
  /** What is under the map in place of its keys, where there is no keyboard. */
  below?: ReactNode;
  chosen: string | null;
  strength: (id: string) => number;
  onChoose: (id: string) => void;
  onStrength: (id: string, value: number) => void;
}) {
  const { catalogue, readOnly } = useVisitFacts();
  const map = useMemo<Schemas["OwnMap"]>(
    () => ({
      width: catalogue.map_width,
      height: catalogue.map_height,
      marks: catalogue.map_marks,
      regions: catalogue.regions,
      inks: catalogue.inks,
    }),
    [catalogue],
  );
  const present = catalogue.regions.find((region) => region.id === chosen);
  return (
    <div className="flex min-h-0 flex-1 flex-col" data-own-keys="">
      <BodyMap
        map={map}
        words={mapWords()}
        readOnly={readOnly}
        chosen={chosen}
        strength={strength}
        onChoose={onChoose}
        onStrength={onStrength}
      />
      {below ?? (
        <p className="figures px-5 pb-2 text-center text-sm text-soft">
          <Trans>
            {present ? `${present.label}: ` : ""}Arrow keys: move · 0 to 9, +: intensity · Delete:
            clear
          </Trans>
        </p>
      )}
    </div>
  );
}
