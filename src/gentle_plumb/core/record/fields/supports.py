"""What is at hand: for feet, screen, back and hands."""

from __future__ import annotations

from dataclasses import dataclass

from ...choices import YesNo
from ...language import msg
from ...workstation import STACKED, SUPPORTS
from .field import Field
from .group import FieldGroup


@dataclass(frozen=True, eq=False)
class SupportFields:
    """One thing: whether it is there; how thick a piece is and how many, where that is asked."""

    there: Field[YesNo]
    height: Field[float] | None
    count: Field[float] | None


NOTED_ONLY = frozenset({"task_lamp"})
"""Nothing is worked out from these."""


def _support(id: str, label: str, *, thick: bool) -> SupportFields:
    place = FieldGroup(f"look.support.{id}", msg("Available in the room"), "pieces")
    there = place.choice(
        "", label, YesNo, part="footrest" if id == "footrest" else "", noted_only=id in NOTED_ONLY
    )
    yes = there.among(YesNo.YES)
    return SupportFields(
        there=there,
        height=place.length("height", msg("{label}, height", label=label), 1, 400, when=yes)
        if thick
        else None,
        count=place.amount("count", msg("{label}: how many", label=label), "", 1, 20, when=yes)
        if id in STACKED
        else None,
    )


at_hand = {id: _support(id, label, thick=thick) for id, (label, thick) in SUPPORTS.items()}
"""Everything that may be at hand, by name."""

_footrest = FieldGroup("look.footrest", msg("Available in the room"), "pieces")
_there = at_hand["footrest"].there.among(YesNo.YES)

footrest_height = _footrest.span(
    "height", msg("Footrest height range"), 20, 400, part="footrest", when=_there
)
footrest_slope = _footrest.amount(
    "slope", msg("Footrest angle"), "°", 0, 40, when=_there, noted_only=True
)

_chair_there = at_hand["other_chair"].there.among(YesNo.YES)
other_chair = FieldGroup("look.other_chair", msg("Available in the room"), "pieces").span(
    "seat",
    msg("Another chair, seat"),
    250,
    900,
    when=_chair_there,
    help=msg("Adjustment range with someone sitting on it."),
)
"""The seat of another chair in the room that could be taken instead."""

thickness = {id: fields.height for id, fields in at_hand.items() if fields.height is not None}
"""Thickness or height of what has one, by name."""
