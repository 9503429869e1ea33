"""Builders for rows: target with terms, band, uncertainty; setting with limits and cost."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Any

from ..body import Body
from ..catalogue import QUANTITIES, Quantity
from ..errors import MissingInput, OutOfReach
from ..language import msg
from ..policy import judged_excess
from ..tolerances import SAME_MM
from ..workstation import Span
from .case import Case
from .joints import Joint
from .result import NO_LIMIT, RANGE_ENDS, FitRow, Limit, LimitKind, Posture, Status
from .terms import Term, total
from .wording import cost_of

TAPE_MM = 3.0
"""What was set and measured again, so near to its aim, is there, mm. Source: house-repeat."""

Terms = Callable[[Body], Sequence[Term]]
Ends = Callable[[float], tuple[float | None, float | None]]


@dataclass(frozen=True, kw_only=True)
class RowSubject:
    """What a row is about before anything is computed: a quantity in a posture, and why it matters."""

    quantity: Quantity
    posture: Posture
    why: str
    source: str


def about(key: str, posture: Posture = "seated", *, why: str, source: str) -> RowSubject:
    """Return the subject of a row; raises KeyError for a quantity there is not."""
    return RowSubject(quantity=QUANTITIES[key], posture=posture, why=why, source=source)


def empty_row(subject: RowSubject, status: Status, **known: Any) -> FitRow:
    """Return a row of this subject, with what is known of it."""
    return FitRow(
        key=subject.quantity.key,
        posture=subject.posture,
        label=subject.quantity.label,
        unit=subject.quantity.unit,
        why=subject.why,
        source=subject.source,
        status=status,
        **known,
    )


def target_row(
    case: Case, subject: RowSubject, terms: Terms, ends: Ends, *, found: float | None
) -> FitRow:
    """The row with its target, or ``not_assessable`` with what is missing.

    Parameters
    ----------
    case : Case
    subject : RowSubject
    terms : callable
        From a body to the terms; may raise MissingInput.
    ends : callable
        From the target to the ends of its band; None for an open end.
    found : float or None
        As found, same unit.

    """

    def row(status: Status, **known: Any) -> FitRow:
        return empty_row(subject, status, found=found, **known)

    try:
        own_terms = tuple(terms(case.body))
        aim = total(own_terms)
        low, high = ends(aim)
    except MissingInput as missing:
        return row("not_assessable", reason=missing.reason)
    except OutOfReach as far:
        return row("not_assessable", reason=msg("Out of reach: {far}.", far=far))
    status, reason = judge(found, low, high)
    known = {
        "reason": reason,
        "target": aim,
        "low": low,
        "high": high,
        "terms": own_terms,
        "setting": aim,
    }
    if not case.uncertain:
        return row(status, **known)
    sd, shares = case.body.uncertainty(lambda body: total(terms(body)))
    estimated = tuple(
        name for name in shares if case.body.value(name).source == "estimated" and shares[name] > 1
    )
    widest = max(shares, key=lambda name: shares[name], default=None)
    return row(
        status,
        **known,
        sd=sd,
        shares=tuple(shares.items()),
        estimated=estimated,
        retake=widest if widest and shares[widest] > SAME_MM else None,
    )


def judge(value: float | None, low: float | None, high: float | None) -> tuple[Status, str | None]:
    """Found against the band, on unrounded values, within what a tape can tell."""
    if value is None:
        return "not_assessable", msg("Not recorded as found.")
    return ("off" if judged_excess(value, low, high) else "holds"), None


def set_row(
    row: FitRow, setting: float | None, limits: Sequence[Limit] = (), joint: Joint | None = None
) -> FitRow:
    """The row with what the equipment can do, why not more, and what its joint pays."""
    change = None if setting is None or row.found is None else setting - row.found
    if any(found.kind == "joined" for found in limits):
        change = None  # nothing to set: it follows the piece it is joined to
    cost = cost_of(joint) if joint is not None else None
    return row.replace(setting=setting, limits=tuple(limits), cost=cost, change=change)


def limit(key: str, piece: str, kind: LimitKind, position: float, short: float) -> Limit:
    """A limit of a quantity; ``short`` is target less ``position``, in its unit."""
    return Limit(key=key, piece=piece, kind=kind, at=position, short=short)


def end_limit(
    key: str, piece: str, span: Span | None, target: float, offset: float = 0.0
) -> list[Limit]:
    """The end of a range that keeps a piece from its target, if one does."""
    if span is None:
        return []
    low, high = span.low + offset, span.high + offset
    if low - SAME_MM <= target <= high + SAME_MM:
        place = span.clamp(target - offset) + offset
        return (
            [limit(key, piece, "steps", place, target - place)]
            if abs(target - place) > SAME_MM
            else []
        )
    kind: LimitKind = "fixed" if span.fixed else "stops" if target > high else "starts"
    position = high if target > high else low
    return [limit(key, piece, kind, position, target - position)]


def ranged_row(row: FitRow, piece: str, span: Span | None) -> FitRow:
    """A row whose piece simply moves within a range."""
    if row.target is None or span is None:
        return set_row(row, row.target)
    return set_row(row, span.clamp(row.target), end_limit(row.key, piece, span, row.target))


BODILY: frozenset[LimitKind] = frozenset({"thighs", "armrests", "hangs"})
"""Kinds of limit that the body makes: they bind at their place, and beyond it."""


def binding(row: FitRow, setting: float, limits: Sequence[Limit], piece: str) -> list[Limit]:
    """Return the limits that really keep a setting from its target; else why it is another.

    A piece may end short of the target and yet not decide: what binds is where the setting stands.
    """

    def binds(bound: Limit) -> bool:
        if bound.kind in RANGE_ENDS:
            return abs(bound.at - setting) <= SAME_MM
        if bound.kind in BODILY:
            beyond = setting - bound.at if bound.short > 0 else bound.at - setting
            return beyond >= -SAME_MM
        return True

    return [one for one in limits if binds(one)] or chosen(row, setting, piece)


def kept(case: Case, row: FitRow, piece: str) -> FitRow:
    """Return the row left as it was found, where that holds and the policy keeps what holds."""
    if not case.policy.keep_what_holds or row.status != "holds" or row.found is None:
        return row
    if any(bound.kind not in NO_LIMIT | RANGE_ENDS for bound in row.limits):
        return row
    cost = row.cost
    return row.replace(
        setting=row.found, change=0.0, limits=tuple(chosen(row, row.found, piece)), cost=cost
    )


def chosen(row: FitRow, setting: float, piece: str) -> list[Limit]:
    """Why a setting that nothing keeps from its target is another: left as found, or a choice."""
    if row.target is None or abs(setting - row.target) <= SAME_MM:
        return []
    same = row.found is not None and abs(setting - row.found) <= SAME_MM
    kind: LimitKind = "choice"
    if same:
        kind = "kept" if row.status == "holds" else "stays"
    return [limit(row.key, piece, kind, setting, row.target - setting)]
