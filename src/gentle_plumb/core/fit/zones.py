"""Where phone and paper belong beside keys and mouse, and where two rules disagree."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..choices import Hand
from ..language import msg, numeral
from .case import Case

NEAR_MM = 380.0
"""Reach of the hand from the shoulder for what is used all the time, mm. Source: house-mouse."""
HEADSET_H = 1.0
"""Hours of calls a day from which a headset is wanted. Source: house-phone."""
OWN_PLACE_H = 1.0
"""Hours of handwriting a day from which it wants a place of its own. Source: house-paper."""
WRITING_UP_MM = (50.0, 75.0)
"""How much higher a writing surface is than one for keys, mm. Source: house-paper."""

Side = Literal["left", "right", "middle"]
OTHER: dict[str, Side] = {"left": "right", "right": "left"}


@dataclass(frozen=True, kw_only=True)
class Zone:
    """A place on the desk from above: to the right of the midline and ahead of the shoulder, mm."""

    id: str
    label: str
    side: Side
    x: float
    y: float
    why: str
    conflict: str | None = None
    source: str = "house-phone"


def phone_zone(case: Case) -> Zone | None:
    """Where the phone lies; None where neither hand is recorded or nobody calls."""
    if not case.hours.get("calls"):
        return None
    writing, mouse = case.writing_hand, case.workstation.mouse.hand
    by_writing = OTHER[writing] if writing else None
    by_mouse = OTHER[mouse] if mouse else None
    side = by_mouse if case.policy.phone_side == "opposite_mouse" else by_writing
    side = side or by_writing or by_mouse
    if side is None:
        return None
    conflict = None
    if by_writing and by_mouse and by_writing != by_mouse:
        conflict = msg(
            "Writing hand {writing}, mouse hand {mouse}: the non-writing side is {by_writing}, opposite the mouse is {by_mouse}. Taken: {side}.",
            writing=writing,
            mouse=mouse,
            by_writing=by_writing,
            by_mouse=by_mouse,
            side=side,
        )
    why = (
        msg("Leaves the writing hand free.")
        if side == by_writing
        else msg("The mouse hand stays on the mouse.")
    )
    if case.hours["calls"] > HEADSET_H:
        why += msg(
            " Over {headset_h} h of calls a day: a headset.", headset_h=numeral(f"{HEADSET_H:g}")
        )
    sign = 1 if side == "right" else -1
    return Zone(
        id="phone",
        label=msg("Phone"),
        side=side,
        x=sign * NEAR_MM * 0.95,
        y=NEAR_MM * 0.8,
        why=why,
        conflict=conflict,
    )


def paper_zones(case: Case) -> tuple[Zone, ...]:
    """Where paper is read, and where long handwriting is done."""
    zones = []
    if case.hours.get("paper"):
        zones.append(
            Zone(
                id="paper",
                label=msg("Paper"),
                side="middle",
                x=0.0,
                y=NEAR_MM + 190,
                source="house-paper",
                why=msg(
                    "Between keyboard and screen, sloped, so the head moves down rather than sideways. Or beside the screen at its height and distance."
                ),
            )
        )
    if case.hours.get("writing", 0.0) >= OWN_PLACE_H and case.writing_hand:
        side = case.writing_hand
        low, high = WRITING_UP_MM
        zones.append(
            Zone(
                id="writing",
                label=msg("Handwriting"),
                side="right" if side == Hand.RIGHT else "left",
                x=(1 if side == Hand.RIGHT else -1) * 520.0,
                y=160.0,
                source="house-paper",
                why=msg(
                    "A separate place, with the whole chair turned to it, {low} to {high} mm higher than the keys.",
                    low=numeral(f"{low:.0f}"),
                    high=numeral(f"{high:.0f}"),
                ),
            )
        )
    return tuple(zones)


def zones_of(case: Case) -> tuple[Zone, ...]:
    """Every zone there is a use for."""
    phone = phone_zone(case)
    return (*((phone,) if phone else ()), *paper_zones(case))
