"""Conditions of a client in words: their limits, who lifted which from when, and whether each is met."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date

from ..core.fit import Case, Joint
from ..core.intake import FIGURES, LIMITS, PRECAUTIONS, Lifted, LimitId, limits_applying, says_of
from ..core.policy import judged_excess
from ..core.record import Record, fields
from ..core.visit import conditions_of, spoken_date
from ..core.words import say, say_degrees, with_unit
from .models import VisitSnapshot


@dataclass(frozen=True, kw_only=True)
class LimitView:
    """One limit of a precaution; ``cleared`` is who lifted it and when: it binds no more then.

    ``binds`` is the limit that holds because of it, None once it is lifted; ``set`` says who set it to a figure, and
    from when. ``clears`` says from which day on it will be lifted or set, and by whom. ``of_the_day``: it is about how
    a day is spent. ``unmet`` says how the body as it will be placed breaks it, or that this can't be told; empty where
    it is kept, or is not about a joint.
    """

    id: LimitId
    says: str
    cleared: str | None
    of_the_day: bool
    unmet: str
    clears: str
    binds: LimitId | None
    set: str


@dataclass(frozen=True, kw_only=True)
class PrecautionView:
    """A precaution of the client: what everything keeps to, and who is asked.

    ``since`` is the day of the earlier visit from which it stands, where it was not asked about again; else empty.
    """

    id: str
    label: str
    limits: list[LimitView]
    ask: str
    note: str | None
    since: str


def precaution_views(
    record: Record, case: Case, hip: Joint | None, opened: VisitSnapshot, as_of: date | None
) -> list[PrecautionView]:
    """Return every condition that is there, with its limits, what lifts each, and whether it is met."""
    return [
        PrecautionView(
            id=id,
            label=PRECAUTIONS[id].label,
            limits=[
                _limit(record, id, limit, lifted, _unmet(limit, case, hip))
                for limit in limits_applying(id, record[fields.conditions.operated])
            ],
            ask=PRECAUTIONS[id].ask,
            note=record[fields.conditions.precaution[id].note],
            since=spoken_date(since.isoformat())
            if (since := opened.standing.since.get(id)) is not None
            else "",
        )
        for id, lifted in conditions_of(record, as_of).items()
    ]


def _limit(
    record: Record, precaution: str, limit: LimitId, lifted: Lifted, unmet: str
) -> LimitView:
    said = fields.conditions.precaution[precaution].cleared[limit]
    figure = lifted.get(limit)
    who = _who(record, said) if limit in lifted else ""
    binds = limit if limit not in lifted else FIGURES[limit].becomes if figure is not None else None
    return LimitView(
        id=limit,
        says=says_of(binds or limit, figure),
        of_the_day=LIMITS[limit].of_the_day,
        unmet=unmet,
        cleared=who if binds is None else None,
        clears=_clears(record, said) if limit not in lifted else "",
        binds=binds,
        set=say("limit.set", who=who) if figure is not None else "",
    )


def _unmet(limit: LimitId, case: Case, hip: Joint | None) -> str:
    """Return how a limit of the hip is broken by the angle that it will have, in words."""
    if limit not in (LimitId.HIP_OPEN, LimitId.HIP_ABOVE_KNEE) or not case.person.has(limit):
        return ""
    if hip is None or hip.angle is None:
        return say("limit.untold", reason=(hip.reason or "") if hip is not None else "").strip()
    if judged_excess(hip.angle, case.person.least_hip, None) == 0.0:
        return ""
    return say("limit.unmet", at=say_degrees(hip.angle), least=say_degrees(case.person.least_hip))


def _who(record: Record, lifted: fields.conditions.ClearedFields) -> str:
    return f"{record.said(lifted.by)}, {spoken_date(record.said(lifted.on))}"


def _clears(record: Record, lifted: fields.conditions.ClearedFields) -> str:
    """Return from which day on a limit will be lifted or set; empty where nobody has said both who and when."""
    by, on = record.said(lifted.by), record.said(lifted.on)
    if not by or not on:
        return ""
    figure = record[lifted.figure] if lifted.figure is not None else None
    if figure is None:
        return say("limit.clears", by=by, on=spoken_date(on))
    unit = lifted.figure.unit if lifted.figure is not None else ""
    return say(
        "limit.will_be_set", by=by, on=spoken_date(on), figure=with_unit(f"{figure:g}", unit)
    )
