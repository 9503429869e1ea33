"""Generic pieces of a workstation. Every attribute may be None: unknown is not zero."""

from __future__ import annotations

from dataclasses import dataclass
from math import atan, cos, sin
from typing import Literal

from ..errors import ValueOutOfRange

KEYBOARD_RIGHT_MM = {
    "full": 300.0, "no_number_block": 215.0, "compact": 160.0, "split": 240.0, "tented": 240.0,
}  # fmt: skip
KEYBOARD_LEFT_MM = 150.0
"""Edges of the keyboard from the B key, mm. Source: house-keyboard."""
HOME_ROW_TO_FRONT_MM = 70.0
"""Front edge of the keyboard before the home row, mm. Source: house-keyboard."""
LAPTOP_PICTURE_START_MM = 20.0
LAPTOP_PICTURE_HEIGHT_MM = 210.0
LAPTOP_HINGE_BEHIND_KEYS_MM = 140.0
"""A laptop's picture over its keys and behind its home row, mm. Source: house-laptop."""
ASPECTS = {"16:9": 16 / 9, "16:10": 16 / 10, "21:9": 21 / 9, "4:3": 4 / 3, "5:4": 5 / 4}
MM_PER_INCH = 25.4


@dataclass(frozen=True, kw_only=True)
class Span:
    """From lowest to highest; both the same where the piece is fixed. mm or degrees."""

    low: float
    high: float

    def __post_init__(self) -> None:
        if self.low > self.high:
            raise ValueOutOfRange(
                field="range",
                value=f"{self.low:g} to {self.high:g}",
                message=f"The lowest ({self.low:g}) is above the highest ({self.high:g}).",
                high=self.high,
            )

    @property
    def fixed(self) -> bool:
        """Whether there is nothing to adjust."""
        return self.low == self.high

    def clamp(self, value: float) -> float:
        """The value, or the nearer end where it lies outside."""
        return min(self.high, max(self.low, value))


@dataclass(frozen=True, kw_only=True)
class Chair:
    """A chair: loaded seat height over the floor, the rest over the seat; mm."""

    kind: str | None = None
    seat: Span | None = None
    depth: Span | None = None
    armrests: Literal["none", "fixed", "adjustable"] | None = None
    armrest: Span | None = None
    lumbar: Span | None = None


@dataclass(frozen=True, kw_only=True)
class Desk:
    """A desk. ``thickness`` is from the surface to the lowest part over the thighs; mm.

    ``form`` is what it looks like (cart, counter, platform, tray), ``beside`` the height of the
    desk proper over a tray or under a platform; both are drawn, not fitted.
    """

    kind: Literal["fixed", "sit_stand"] | None = None
    surface: Span | None = None
    thickness: float | None = None
    depth: float | None = None
    form: str | None = None
    beside: float | None = None


@dataclass(frozen=True, kw_only=True)
class Keyboard:
    """A keyboard; thickness at the home row, mm."""

    kind: Literal["full", "no_number_block", "compact", "split", "tented"] | None = None
    thickness: float | None = None


@dataclass(frozen=True, kw_only=True)
class Mouse:
    """A pointing device and the hand it is used with."""

    hand: Literal["left", "right"] | None = None


@dataclass(frozen=True, kw_only=True)
class Screen:
    """A screen: its picture, and how high over the desk surface the picture's top can be; mm.

    A laptop's picture is joined to its keys: see :meth:`reach`.
    """

    kind: Literal["monitor", "laptop"] | None = None
    width: float | None = None
    height: float | None = None
    top_above_surface: Span | None = None
    depth_behind: float | None = None
    tilt_deg: Span | None = None

    @staticmethod
    def picture(diagonal_in: float, aspect: str) -> tuple[float, float]:
        """Width and height of the picture, mm.

        >>> [round(side) for side in Screen.picture(24, "16:9")]
        [531, 299]
        """
        angle = atan(1 / ASPECTS[aspect])
        diagonal = diagonal_in * MM_PER_INCH
        return diagonal * cos(angle), diagonal * sin(angle)

    @property
    def picture_height(self) -> float | None:
        """Height of the picture, mm; a laptop's usual one where its own is not recorded."""
        if self.height is None and self.kind == "laptop":
            return LAPTOP_PICTURE_HEIGHT_MM
        return self.height

    def reach(self, keyboard: Keyboard) -> Span | None:
        """How high over the surface the top of the picture can be; None where unknown."""
        if self.kind != "laptop":
            return self.top_above_surface
        if keyboard.thickness is None:
            return None
        top = keyboard.thickness + LAPTOP_PICTURE_START_MM + (self.picture_height or 0.0)
        return Span(low=top, high=top)


@dataclass(frozen=True, kw_only=True)
class Workstation:
    """The pieces together."""

    chair: Chair = Chair()
    desk: Desk = Desk()
    keyboard: Keyboard = Keyboard()
    mouse: Mouse = Mouse()
    screen: Screen = Screen()
