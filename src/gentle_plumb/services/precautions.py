"""Conditions of a client in words: their limits, who lifted which from when, and whether each is met."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date

from ..core.fit import Case, PostureFit
from ..core.intake import FIGURES, LIMITS, PRECAUTIONS, Lifted, LimitId, limits_applying, says_of
from ..core.language import filled
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
    it is kept, or is not about a joint. ``figure`` is what may be set instead of lifting it, as it is asked for; else empty.
    """

    id: LimitId
    says: str
    cleared: str | None
    of_the_day: bool
    unmet: str
    clears: str
    binds: LimitId | None
    set: str
    figure: str


@dataclass(frozen=True, kw_only=True)
class PrecautionView:
    """A precaution of the client: what everything keeps to, and who is asked.

    ``since`` is the day of the earlier visit from which it stands, where it was not asked about again; else empty.
    ``field`` is where it was answered. The limits of this person's joints, noted in degrees, are one of their own.
    """

    id: str
    field: str
    label: str
    limits: list[LimitView]
    ask: str
    note: str | None
    since: str


def precaution_views(
    record: Record, case: Case, placed: PostureFit, opened: VisitSnapshot, as_of: date | None
) -> list[PrecautionView]:
    """Return every condition that is there, with its limits, what lifts each, and whether it is met.

    ``placed`` is the client seated as the workstation will be.
    """
    views = [
        PrecautionView(
            id=id,
            field=f"ask.care.{id}",
            label=PRECAUTIONS[id].label,
            limits=[
                _limit(record, id, limit, lifted, _unmet(limit, case, placed))
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
    return [*views, *_of_joints(record, case, placed)]


def _of_joints(record: Record, case: Case, placed: PostureFit) -> list[PrecautionView]:
    """Return the limits of joints that were noted in degrees, whatever the conditions."""
    noted = {
        limit: (asked.id, figure)
        for limit, asked in fields.conditions.joint.items()
        if (figure := record[asked]) is not None
    }
    if not noted:
        return []
    limits = [
        LimitView(
            id=limit,
            says=says_of(limit, figure),
            of_the_day=False,
            unmet=_unmet(limit, case, placed),
            cleared=None,
            clears="",
            binds=limit,
            set="",
            figure="",
        )
        for limit, (_, figure) in noted.items()
    ]
    return [
        PrecautionView(
            id="joint",
            field=next(iter(noted.values()))[0],
            label=say("limit.of_joints"),
            limits=limits,
            ask=say("limit.of_joints_ask"),
            note=None,
            since="",
        )
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
        figure=FIGURES[limit].label if limit in FIGURES else "",
    )


STRAIGHT_DEG = 180.0
"""The angle of a knee that does not bend. Source: geometry."""


def _unmet(limit: LimitId, case: Case, placed: PostureFit) -> str:
    """Return how a limit of hip or knee is broken by the angle that it will have, in words."""
    person = case.person
    if not case.sits or not person.has(limit):
        return ""
    match limit:
        case LimitId.HIP_OPEN | LimitId.HIP_ABOVE_KNEE:
            joint, least = "hip", person.least_hip
        case LimitId.KNEE_BEND if person.knee_bend is not None:
            joint, least = "knee", STRAIGHT_DEG - person.knee_bend
        case _:
            return ""
    will_be = placed.joint(joint)
    if will_be is None or will_be.angle is None:
        reason = (will_be.reason or "") if will_be is not None else ""
        return say("limit.untold", reason=reason).strip()
    if judged_excess(will_be.angle, least, None) == 0.0:
        return ""
    position, least_said = will_be.angle, least
    if joint == "knee":  # said as it was noted: how far it bends from straight
        position, least_said = STRAIGHT_DEG - position, STRAIGHT_DEG - least
    return say(f"limit.unmet_{joint}", at=say_degrees(position), limit=say_degrees(least_said))


def _who(record: Record, lifted: fields.conditions.ClearedFields) -> str:
    return filled("{by}, {on}", by=record.said(lifted.by), on=spoken_date(record.said(lifted.on)))


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
