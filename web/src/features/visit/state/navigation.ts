import { useNavigate } from "@tanstack/react-router";
import { createContext, useCallback, useContext, useMemo } from "react";
import type { StepId } from "@/shared/steps";
import { MAIN, type PlaceId } from "../at-place";
import { placeOf } from "../places";
import type { Field } from "./facts";

/** Where in the visit one is, and the ways from there; all of it stands in the address. */
export type Navigation = {
  step: StepId;
  /** The part of a step that is open, by its identifier. */
  part: string | null;
  /** The field that was asked for from elsewhere; panels open what holds it. */
  sought: string | null;
  go: (step: StepId, part?: string) => void;
  setPart: (part: string) => void;
  seek: (path: string) => void;
  /** The field that was sought has been found. */
  found: () => void;
  goPlace: (place: PlaceId) => void;
};

export type VisitSearch = { part?: string; place?: PlaceId; field?: string };

export const NavigationContext = createContext<Navigation | null>(null);

export function useNavigation(): Navigation {
  const navigation = useContext(NavigationContext);
  if (!navigation) throw new Error("outside a visit");
  return navigation;
}

const TO = "/visits/$visitId/$step" as const;

/** Navigation of one visit, from the address and back into it. */
export function useNavigationOf(
  visitId: string,
  step: StepId,
  search: VisitSearch,
  fields: readonly Field[],
): Navigation {
  const navigate = useNavigate();
  const { part, place, field } = search;
  const to = useCallback(
    (step: StepId, next: VisitSearch, replace = false) => {
      const { part, place, field } = next;
      const kept = {
        ...(part ? { part } : {}),
        ...(place && place !== MAIN ? { place } : {}),
        ...(field ? { field } : {}),
      };
      void navigate({ to: TO, params: { visitId, step }, search: kept, replace });
    },
    [navigate, visitId],
  );
  return useMemo(() => {
    const here = place ? { place } : {};
    return {
      step,
      part: part ?? null,
      sought: field ?? null,
      go: (step, part) => to(step, { ...here, ...(part ? { part } : {}) }),
      setPart: (part) => to(step, { ...here, part }),
      seek: (path) => {
        const at = placeOf(path, fields);
        to(at.step, { ...here, ...(at.part ? { part: at.part } : {}), field: path });
      },
      found: () => to(step, { ...here, ...(part ? { part } : {}) }, true),
      goPlace: (place) => to(step, { ...(part ? { part } : {}), place }),
    };
  }, [to, step, part, place, field, fields]);
}
