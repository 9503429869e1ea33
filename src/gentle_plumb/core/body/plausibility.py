"""Questions about values that can hardly be true: asked kindly, never acted on alone.

Every value is held against what all the others say (:mod:`.factor`). The worst one is set aside
and the rest looked at again, so that one slip does not put its neighbours in doubt.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from itertools import pairwise
from typing import Literal

from .catalogue import DIMENSIONS, TWINS
from .factor import Expected, Factor, factor_of
from .person import Body
from .relations import Relation, broken

__all__ = ["Earlier", "Question", "Slip", "questions"]

QUESTION_AT_SE = 2.5
SLIP_AT_SE = 4.0
"""Standard errors from what the others say at which to ask, and to set a value aside. Source:
house-doubt."""
FITS_AT_SE = 2.0
"""A value put right must come as near as this, in standard errors. Source: house-doubt."""
SWAP_LEAST_MM = 12.0
SWAP_GAIN = 9.0
"""Two values count as exchanged if they differ by more than this, and squares of standard errors
fall by more than that when they change places. Source: house-doubt."""
DIGITS_AT_SE = 1.0
"""Digits are called swapped only where putting them right comes this near. Source: house-doubt."""
SHEET_LEAST, SHEET_SHARE = 4, 0.5
"""So many values off, and such a share of all, speak of another person's sheet. Source: house-doubt."""
SIDES_SHARE = 0.04
"""Left and right differ in most people by less than this share. Source: house-sides."""

FACTORS: tuple[tuple[float, str], ...] = (
    (2.54, "inches typed as centimetres"),
    (1 / 2.54, "centimetres typed as inches"),
    (10.0, "centimetres typed as millimetres"),
    (0.1, "millimetres typed as centimetres"),
)

SlipKind = Literal["unit", "digits", "exchanged", "other_posture"]
Kind = Literal["far", "relation", "earlier", "sheet", "sides"]


@dataclass(frozen=True, kw_only=True)
class Slip:
    """What may have happened: the value it should be, or the dimension it belongs to."""

    kind: SlipKind
    words: str
    mm: float | None = None
    factor: float | None = None
    other: str | None = None


@dataclass(frozen=True, kw_only=True)
class Question:
    """A doubt about one dimension.

    ``others`` are the dimensions it does not go with; ``expected`` what they say, or what was
    there before; ``slip`` the likely cause, where there is one.
    """

    dimension: str
    kind: Kind
    value_mm: float
    others: tuple[str, ...] = ()
    expected: Expected | None = None
    slip: Slip | None = None
    relation: Relation | None = None
    since: str = ""


@dataclass(frozen=True, kw_only=True)
class Earlier:
    """A value of the same client at an earlier visit: mm, standard deviation, ISO date."""

    mm: float
    sd_mm: float
    on: str


def _worst(factor: Factor, values: Mapping[str, float]) -> tuple[str, float]:
    worst, far = "", 0.0
    for name in factor.known:
        said = factor.expected_of(name)
        off = abs(values[name] - said.mm) / said.sd_mm
        if off > far:
            worst, far = name, off
    return worst, far


def _digits_swapped(mm: float) -> Iterator[float]:
    """The value with two neighbouring digits exchanged, as typed in whole mm or tenths of a cm."""
    text = f"{mm:.0f}"
    for at in range(len(text) - 1):
        if text[at] != text[at + 1] and not (at == 0 and text[1] == "0"):
            yield float(text[:at] + text[at + 1] + text[at] + text[at + 2 :])


def _off(mm: float, said: Expected) -> float:
    return abs(mm - said.mm) / said.sd_mm


def _slip(name: str, mm: float, said: Expected) -> Slip | None:
    """A slip of one value that would put it where the others want it; the nearest one."""
    found = [
        (_off(mm * factor, said), Slip(kind="unit", words=words, mm=mm * factor, factor=factor))
        for factor, words in FACTORS
        if _off(mm * factor, said) <= FITS_AT_SE
    ]
    found += [
        (_off(turned, said), Slip(kind="digits", words="two digits swapped", mm=turned))
        for turned in _digits_swapped(mm)
        if _off(turned, said) <= DIGITS_AT_SE
    ]
    return min(found, key=lambda one: one[0])[1] if found else None


def _in_the_other_field(name: str, mm: float, rest: Factor) -> Slip | None:
    """A standing value typed in a seated field, or the other way round."""
    for seated, standing in TWINS.items():
        if name not in (seated, standing):
            continue
        other = standing if name == seated else seated
        said = rest.without(other).expected(other)
        if said is not None and _off(mm, said) <= FITS_AT_SE:
            posture = DIMENSIONS[other].posture
            return Slip(
                kind="other_posture", words=f"a {posture} value in this field", mm=mm, other=other
            )
    return None


def neighbours() -> tuple[tuple[str, str], ...]:
    """Pairs whose fields are easily taken for each other: next in order, or twins."""
    names = tuple(DIMENSIONS)
    return (*pairwise(names), *TWINS.items())


def _exchanged(values: Mapping[str, float], rest: Factor) -> dict[str, tuple[str, Expected]]:
    """Values that would fit far better in each other's place: by name, with the other's name."""
    found: dict[str, tuple[float, str, Expected]] = {}
    for a, b in neighbours():
        if a not in values or b not in values or abs(values[a] - values[b]) < SWAP_LEAST_MM:
            continue
        others = rest.without(a, b)
        want_a, want_b = others.expected(a), others.expected(b)
        if want_a is None or want_b is None:
            continue
        now = _off(values[a], want_a) ** 2 + _off(values[b], want_b) ** 2
        then = _off(values[b], want_a) ** 2 + _off(values[a], want_b) ** 2
        fits = max(_off(values[b], want_a), _off(values[a], want_b)) <= QUESTION_AT_SE
        if fits and now - then > SWAP_GAIN:
            for name, other, want in ((a, b, want_a), (b, a, want_b)):
                if name not in found or found[name][0] < now - then:
                    found[name] = (now - then, other, want)
    return {
        name: (other, want)
        for name, (_, other, want) in found.items()
        if other in found and found[other][1] == name
    }


def _far(body: Body, values: Mapping[str, float]) -> list[Question]:
    taken = {name: (mm, body.values[name].sd_mm) for name, mm in values.items()}
    factor = factor_of(taken, table=body.table, sex=body.sex)
    aside: list[str] = []
    while True:
        worst, far = _worst(factor, values)
        if far <= SLIP_AT_SE:
            break
        aside.append(worst)
        factor = factor.without(worst)
    exchanged = _exchanged(values, factor)
    found = []
    for name, mm in values.items():
        read = taken[name][1]
        if name in exchanged:
            other, want = exchanged[name]
            swapped = Slip(
                kind="exchanged", words="the two exchanged", mm=values[other], other=other
            )
            found.append(
                Question(
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
        if said is None or _off(mm, said) <= QUESTION_AT_SE:
            continue
        slip = _in_the_other_field(name, mm, factor) or _slip(name, mm, said)
        basis = _basis(name, factor)
        found.append(
            Question(
                dimension=name, kind="far", value_mm=mm, others=basis, expected=said, slip=slip
            )
        )
    return found


def _basis(name: str, factor: Factor) -> tuple[str, ...]:
    """What speaks most about a dimension: stature where known, else the strongest two."""
    known = [one for one in factor.known if one != name and factor.known[one].r > 0]
    if "stature" in known:
        return ("stature",)
    strongest = sorted(known, key=lambda one: -(factor.known[one].r ** 2) / factor.known[one].own)
    return tuple(strongest[:2])


def _relations(values: Mapping[str, float]) -> list[Question]:
    return [
        Question(
            dimension=one.of[0],
            kind="relation",
            value_mm=values[one.of[0]],
            others=one.of[1:],
            relation=one,
        )
        for one in broken(values)
    ]


def _earlier(
    body: Body, values: Mapping[str, float], earlier: Mapping[str, Earlier]
) -> list[Question]:
    """Values that moved more than a body does; adults don't grow, weight and posture change some."""
    found = []
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
        found.append(
            Question(
                dimension=name,
                kind="earlier",
                value_mm=mm,
                expected=said,
                slip=_slip(name, mm, said),
                since=before.on,
            )
        )
    if len(found) >= SHEET_LEAST and len(found) >= SHEET_SHARE * compared:
        first = found[0]
        others = tuple(one.dimension for one in found[1:])
        found.append(
            Question(
                dimension=first.dimension,
                kind="sheet",
                value_mm=first.value_mm,
                others=others,
                since=first.since,
            )
        )
    return found


def _sides(values: Mapping[str, float], other_side: Mapping[str, float]) -> list[Question]:
    return [
        Question(
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
) -> list[Question]:
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
    list of Question
        By dimension in the order of the body, the far ones first. None of them changes anything.

    """
    values = {name: one.mm for name, one in body.values.items() if one.source != "estimated"}
    return [
        *_far(body, values),
        *_relations(values),
        *_earlier(body, values, earlier or {}),
        *_sides(values, other_side or {}),
    ]
