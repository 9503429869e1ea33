"""What stands there beside what is set: further screens, and what is under the desk."""

from __future__ import annotations

from dataclasses import dataclass

from ..choices import Choice
from ..language import msg
from .kinds import ScreenKind, ScreenPlace, ScreenUse

EQUAL_PERCENT, SELDOM_PERCENT = 40.0, 15.0
"""From which share of screen time two screens count as used equally, and under which as seldom used.
Source: house-bearing."""


def use_by_share(share: float | None, said: ScreenUse | None) -> ScreenUse | None:
    """Return how much a screen is looked at: by its share of screen time, per cent, else as said.

    >>> use_by_share(45, None).value, use_by_share(10, None).value, use_by_share(None, None)
    ('equal', 'rare', None)
    """
    if share is None:
        return said
    if share >= EQUAL_PERCENT:
        return ScreenUse.EQUAL
    return ScreenUse.RARE if share < SELDOM_PERCENT else ScreenUse.SOME


@dataclass(frozen=True, kw_only=True)
class SideScreen:
    """A second or third screen; its picture in mm. Where it stands is in the settings.

    ``use`` is how much it is looked at, ``share`` the share of screen time in per cent where that is
    known, ``place`` whether it stands beside or above the main one.
    """

    id: str = "screen2"
    kind: ScreenKind = ScreenKind.MONITOR
    use: ScreenUse | None = None
    share: float | None = None
    place: ScreenPlace = ScreenPlace.BESIDE
    width: float | None = None
    height: float | None = None


@dataclass(frozen=True, kw_only=True)
class Details:
    """As found, mm.

    ``underside`` from the floor to the lowest part over the thighs, ``armrest_gap`` between the
    armrests, ``screen_on`` the height of what the screen stands on over the desk, ``rail`` that of a
    rail for the foot over the floor.
    """

    underside: float | None = None
    armrest_gap: float | None = None
    side_screens: tuple[SideScreen, ...] = ()
    screen_on: float | None = None
    rail: float | None = None


class Lever(Choice):
    """What is moved to set a piece, and where it is."""

    RIGHT_FRONT = "right_front", msg("Lever, right front")
    RIGHT_REAR = "right_rear", msg("Lever, right rear")
    LEFT_FRONT = "left_front", msg("Lever, left front")
    LEFT_REAR = "left_rear", msg("Lever, left rear")
    KNOB = "knob", msg("Knob, turned")
    BUTTON = "button", msg("Button, pressed in")
    CLICKS = "clicks", msg("Lifted in clicks; right up, it drops again")
    KEYS = "keys", msg("Keys at the front edge")
    CRANK = "crank", msg("Crank")
    PUSH = "push", msg("Pushed by hand")
    SCREWS = "screws", msg("Screws; needs a tool")
