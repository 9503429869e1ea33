"""The target card: what has to be found again at the desk, small enough to stay there.

Numbers of furniture alone: nothing about health, and no reason for anything.
"""

from __future__ import annotations

from collections.abc import Sequence

from ...core.catalogue import QUANTITIES
from ...core.drawing import SceneRequest
from ...core.fit import Posture
from ...core.language import filled, joined, msg
from ...core.plans import Added
from ...core.presentation import RowView
from ...core.record import fields
from ...core.units import LengthUnit
from ...core.visit import display_offset, spoken_date
from ...core.words import say, say_length
from ..models import Practice, VisitSnapshot
from ..paper_models import CardLine, CardPerson, TargetCard
from ..workup import VisitResults
from .shared import height_of

SHOWN = ("seat", "footrest", "surface", "mouse", "screen_top", "distance", "scale")
"""What stands on the card, in its order."""
FIGURE_PX = (520.0, 300.0)
DISPLAY, KEY = msg("Desk display"), msg("Desk key")


def target_card(
    practice: Practice, those: Sequence[tuple[VisitSnapshot, VisitResults]], unit: LengthUnit
) -> TargetCard:
    """Build the card.

    Parameters
    ----------
    practice : Practice
    those : sequence of (VisitSnapshot, VisitResults)
        Everybody who uses the desk, one visit each.
    unit : {"mm", "cm", "in"}

    """
    return TargetCard(
        practice=practice.name,
        desk=say("card.shared", people=f"{len(those)}") if len(those) > 1 else "",
        people=[_person(opened, workup, unit) for opened, workup in those],
    )


def _person(opened: VisitSnapshot, workup: VisitResults, unit: LengthUnit) -> CardPerson:
    lines = card_lines(workup, unit)
    visited = spoken_date(opened.visit.started_on.isoformat())
    temporary = temporary_lines(workup)
    stands = workup.result.standing.possible and workup.result.seated.possible
    width, height = FIGURE_PX
    return CardPerson(
        name=opened.client.name,
        date=visited,
        lines=lines,
        temporary=temporary,
        code=_code(opened.client.name, visited, lines, temporary),
        scene=workup.analysis.scene(
            SceneRequest(
                width=width,
                height=height,
                mode="both"
                if stands
                else "seated"
                if workup.result.seated.possible
                else "standing",
                unit=unit,
                show="kept",
                person=False,
            )
        ),
    )


def card_lines(workup: VisitResults, unit: LengthUnit) -> list[CardLine]:
    """Return the numbers to come back to: settings, the desk's display and its keys."""
    lines = [line for key in SHOWN if (line := _line(workup, key)) is not None]
    return [*lines, *_desk_lines(workup, unit)]


def _line(workup: VisitResults, key: str) -> CardLine | None:
    rows = _possible_rows(workup, key)
    numbers = {posture: _number(row) for posture, row in rows.items()}
    if not any(numbers.values()):
        return None
    return CardLine(
        key=key,
        label=QUANTITIES[key].label,
        seated=numbers.get("seated", ""),
        standing=numbers.get("standing", ""),
        sure=all(_sure(row) for posture, row in rows.items() if numbers[posture]),
        seated_is=_word(rows.get("seated")),
        standing_is=_word(rows.get("standing")),
    )


def _possible_rows(workup: VisitResults, key: str) -> dict[Posture, RowView]:
    return {
        row.posture: row
        for row in workup.rows
        if row.key == key and workup.result.of(row.posture).possible
    }


def _number(row: RowView) -> str:
    """Return the number to come back to, or the one still to set; nothing stopped, put off or not there has any."""
    state = row.became
    if state is None or (QUANTITIES[row.key].taken_away and not (row.at.left or row.at.setting)):
        return ""
    return state.keep or state.to_set or ""


def _word(row: RowView | None) -> str:
    return row.became.word if row is not None and row.became is not None and _number(row) else ""


def _sure(row: RowView) -> bool:
    return row.became is not None and row.became.keep is not None and row.became.measured


def _desk_lines(workup: VisitResults, unit: LengthUnit) -> list[CardLine]:
    """Return what the desk's display reads, and the keys that hold its heights."""
    offset = display_offset(workup.record)
    rows = _possible_rows(workup, "surface")
    there = {posture: row for posture, row in rows.items() if _number(row)}
    reads: dict[Posture, str] = {
        posture: say_length(position - offset, unit)
        for posture, row in there.items()
        if offset is not None and (position := height_of(row)) is not None
    }
    keys: dict[Posture, str] = {
        posture: f"{key:g}"
        for posture in there
        if (key := workup.record[fields.settings.preset[posture]])
    }
    sure = all(_sure(there[posture]) for posture in reads)
    found = [("display", DISPLAY, reads, sure), ("key", KEY, keys, True)]
    return [
        CardLine(
            key=id,
            label=label,
            seated=texts.get("seated", ""),
            standing=texts.get("standing", ""),
            sure=known,
        )
        for id, label, texts, known in found
        if texts
    ]


def temporary_pieces(workup: VisitResults) -> list[tuple[Added, str]]:
    """Return each thing that is there for a time only, with the day it is looked at again, in words."""
    due = workup.record[fields.report.follow_up]
    end = say("card.until", date=spoken_date(due)) if due else say("card.no_end")
    return [(added, end) for added in workup.analysis.chosen_plan().added if added.temporary]


def temporary_lines(workup: VisitResults) -> list[str]:
    """Return what is there for a time only, a line each."""
    return [
        filled("{label}: {end}", label=added.label, end=end)
        for added, end in temporary_pieces(workup)
    ]


def _code(name: str, date: str, lines: Sequence[CardLine], temporary: Sequence[str]) -> str:
    """Return the card as text; a number that nobody re-measured has a star."""
    texts = [filled("{name}, {date}", name=name, date=date)]
    for line in lines:
        both = [
            filled("{way} {text}", way=way, text=text)
            for way, text in (("sit", line.seated), ("stand", line.standing))
            if text
        ]
        texts.append(
            filled(
                "{label}: {both}{what}",
                label=line.label,
                both=joined(", ", both),
                what="" if line.sure else " *",
            )
        )
    return "\n".join([*texts, *temporary])
