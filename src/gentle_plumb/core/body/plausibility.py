"""Questions about values that can hardly be true: asked kindly, never acted on alone.

Every value is held against what all the others say (:mod:`.factor`). The worst one is set aside
and the rest looked at again, so that one slip does not put its neighbours in doubt.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from ..language import msg
from .catalogue import DIMENSIONS
from .factor import Expected, Factor, factor_of
from .person import Body
from .reading_errors import (
    FITS_AT_SE,
    QUESTION_AT_SE,
    SLIP_AT_SE,
    ReadingError,
    exchanged_fields,
    furthest_off,
    slip_of,
    standard_errors_off,
    typed_in_the_other_field,
)
from .relations import Relation, broken

SHEET_LEAST, SHEET_SHARE = 4, 0.5
"""So many values off, and such a share of all, speak of another person's sheet. Source: house-doubt."""
SIDES_SHARE = 0.04
"""Left and right differ in most people by less than this share. Source: house-sides."""

Kind = Literal["far", "relation", "earlier", "sheet", "sides"]


@dataclass(frozen=True, kw_only=True)
class PlausibilityDoubt:
    """A doubt about one dimension.

    ``others`` are the dimensions it does not go with; ``expected`` what they say, or what was
    there before; ``slip`` the likely cause, where there is one.
    """

    dimension: str
    kind: Kind
    value_mm: float
    others: tuple[str, ...] = ()
    expected: Expected | None = None
    slip: ReadingError | None = None
    relation: Relation | None = None
    since: str = ""


@dataclass(frozen=True, kw_only=True)
class Earlier:
    """A value of the same client at an earlier visit: mm, standard deviation, ISO date."""

    mm: float
    sd_mm: float
    on: str


def _far(body: Body, values: Mapping[str, float]) -> list[PlausibilityDoubt]:
    taken = {name: (mm, body.values[name].sd_mm) for name, mm in values.items()}
    factor = factor_of(taken, table=body.table, sex=body.sex)
    aside: list[str] = []
    while True:
        worst, far = furthest_off(factor, values)
        if far <= SLIP_AT_SE:
            break
        aside.append(worst)
        factor = factor.without(worst)
    exchanged = exchanged_fields(values, factor)
    doubts = []
    for name, mm in values.items():
        read = taken[name][1]
        if name in exchanged:
            other, want = exchanged[name]
            swapped = ReadingError(
                kind="exchanged", words=msg("the two exchanged"), mm=values[other], other=other
            )
            doubts.append(
                PlausibilityDoubt(
                    dimension=name,
                    kind="far",
                    value_mm=mm,
                    others=(other,),
                    expected=want,
                    slip=swapped,
                )
            )
            continue
        inside = name in factor.known
        said = factor.expected_of(name) if inside else factor.expected(name, read_sd_mm=read)
        if said is None or standard_errors_off(mm, said) <= QUESTION_AT_SE:
            continue
        slip = typed_in_the_other_field(name, mm, factor) or slip_of(name, mm, said)
        basis = _basis(name, factor)
        doubts.append(
            PlausibilityDoubt(
                dimension=name, kind="far", value_mm=mm, others=basis, expected=said, slip=slip
            )
        )
    return doubts


def _basis(name: str, factor: Factor) -> tuple[str, ...]:
    """What speaks most about a dimension: stature where known, else the strongest two."""
    known = [text for text in factor.known if text != name and factor.known[text].r > 0]
    if "stature" in known:
        return ("stature",)
    strongest = sorted(
        known, key=lambda text: -(factor.known[text].r ** 2) / factor.known[text].own
    )
    return tuple(strongest[:2])


def _relations(values: Mapping[str, float]) -> list[PlausibilityDoubt]:
    return [
        PlausibilityDoubt(
            dimension=relation.of[0],
            kind="relation",
            value_mm=values[relation.of[0]],
            others=relation.of[1:],
            relation=relation,
        )
        for relation in broken(values)
    ]


def _earlier(
    body: Body, values: Mapping[str, float], earlier: Mapping[str, Earlier]
) -> list[PlausibilityDoubt]:
    """Values that moved more than a body does; adults don't grow, weight and posture change some."""
    doubts = []
    compared = 0
    for name, mm in values.items():
        before = earlier.get(name)
        if before is None or body.values[name].source == "carried_over":
            continue
        compared += 1
        error = (before.sd_mm**2 + body.values[name].sd_mm ** 2) ** 0.5
        if abs(mm - before.mm) <= DIMENSIONS[name].change_mm + FITS_AT_SE * error:
            continue
        said = Expected(mm=before.mm, sd_mm=error)
        doubts.append(
            PlausibilityDoubt(
                dimension=name,
                kind="earlier",
                value_mm=mm,
                expected=said,
                slip=slip_of(name, mm, said),
                since=before.on,
            )
        )
    if len(doubts) >= SHEET_LEAST and len(doubts) >= SHEET_SHARE * compared:
        first = doubts[0]
        others = tuple(question.dimension for question in doubts[1:])
        doubts.append(
            PlausibilityDoubt(
                dimension=first.dimension,
                kind="sheet",
                value_mm=first.value_mm,
                others=others,
                since=first.since,
            )
        )
    return doubts


def _sides(values: Mapping[str, float], other_side: Mapping[str, float]) -> list[PlausibilityDoubt]:
    return [
        PlausibilityDoubt(
            dimension=name,
            kind="sides",
            value_mm=mm,
            expected=Expected(mm=other_side[name], sd_mm=DIMENSIONS[name].repeat_limit_mm),
        )
        for name, mm in values.items()
        if name in other_side
        and abs(mm - other_side[name]) > DIMENSIONS[name].repeat_limit_mm + SIDES_SHARE * mm
    ]


def questions(
    body: Body,
    *,
    earlier: Mapping[str, Earlier] | None = None,
    other_side: Mapping[str, float] | None = None,
) -> list[PlausibilityDoubt]:
    """Every value that is far from what the others say, or contradicts one of them.

    Parameters
    ----------
    body : Body
        What was taken; estimates are not doubted.
    earlier : mapping, optional
        The same client's values at the visit before, by dimension.
    other_side : mapping, optional
        The other arm's or leg's value, mm, where both were taken.

    Returns
    -------
    list of PlausibilityDoubt
        By dimension in the order of the body, the far ones first. None of them changes anything.

    """
    values = {
        name: body_value.mm
        for name, body_value in body.values.items()
        if body_value.source != "estimated"
    }
    return [
        *_far(body, values),
        *_relations(values),
        *_earlier(body, values, earlier or {}),
        *_sides(values, other_side or {}),
    ]
