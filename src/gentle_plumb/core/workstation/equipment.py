"""Generic pieces of a workstation. Every attribute may be None: unknown is not zero."""

from __future__ import annotations

from dataclasses import dataclass, replace
from math import atan, cos, sin
from typing import Literal

from ..choices import Hand
from ..units import MM_PER
from .kinds import (
    BACKLESS,
    ArmrestKind,
    AspectRatio,
    ChairKind,
    KeyboardKind,
    PointerKind,
    ScreenHolder,
    ScreenKind,
    TiltLock,
    UnderDesk,
)
from .span import Span

KEYBOARD_RIGHT_MM = {
    "full": 300.0,
    "no_number_block": 215.0,
    "compact": 160.0,
    "split": 240.0,
    "tented": 240.0,
}
KEYBOARD_LEFT_MM = 150.0
"""Edges of the keyboard from the B key, mm. Source: house-keyboard."""
OUTERMOST_LETTER_MM = 95.0
"""Outermost letter from the B key, mm: five keys of 19. Source: house-keyboard."""
HOME_ROW_TO_FRONT_MM = 70.0
"""Front edge of the keyboard before the home row, mm. Source: house-keyboard."""
LAPTOP_PICTURE_START_MM = 20.0
LAPTOP_PICTURE_HEIGHT_MM = 210.0
LAPTOP_HINGE_BEHIND_KEYS_MM = 140.0
"""A laptop's picture over its keys and behind its home row, mm. Source: house-laptop."""
LAPTOP_KEYS_MM = 20.0
"""Thickness of a laptop at its home row where it is not recorded, mm. Source: house-laptop."""
ARMREST_BACK_MM, ARMREST_FRONT_MM = 130.0, 380.0
"""Where an armrest's pad begins and ends before the backrest, mm. Source: house-armrest."""


@dataclass(frozen=True, kw_only=True)
class Chair:
    """A chair: loaded seat height over the floor, the rest over the seat; mm.

    ``recline`` is how far the backrest leans from upright, degrees; ``armrests_off`` whether they
    can be taken off, ``armrests_turn`` whether they turn out of the way, ``armrest_gap`` how far apart
    they can be; ``lock`` what holds the tilt, ``slope`` how far the pan slopes, front edge down positive, degrees.
    ``supports_back`` says whether the small of the back is carried, None where nobody looked; ``behind_back``
    is the thickness of what lies behind it, which shortens the pan. ``steady`` False for what wobbles, tips or
    sinks; ``ring`` True where the feet stand on a ring of the chair.
    """

    kind: ChairKind | None = None
    seat: Span | None = None
    depth: Span | None = None
    armrests: ArmrestKind | None = None
    armrest: Span | None = None
    armrests_off: bool = False
    armrests_turn: bool = False
    armrest_gap: Span | None = None
    lumbar: Span | None = None
    recline: Span | None = None
    lock: TiltLock | None = None
    slope: Span | None = None
    supports_back: bool | None = None
    behind_back: float = 0.0
    steady: bool = True
    ring: bool = False

    @property
    def usable_depth(self) -> Span | None:
        """Depth of the pan before what lies behind the back, mm; None where it is not known."""
        return self.depth.shifted(-self.behind_back) if self.depth is not None else None

    @property
    def armrests_idle(self) -> bool:
        """Whether there are none, or they come off or turn out of the way where they don't serve."""
        there = self.armrests not in (None, ArmrestKind.NONE)
        return not there or self.armrests_off or self.armrests_turn

    @property
    def backless(self) -> bool:
        """Whether there is nothing to lean on."""
        return self.kind in BACKLESS


@dataclass(frozen=True, kw_only=True)
class Desk:
    """What the keyboard stands on: a desk, a tray, a platform's deck, a cart's shelf; mm.

    ``surface`` is its height over the floor, ``thickness`` from it to the lowest part over the
    thighs. Where the screen stands on something else, ``screen_base`` is the height of that, and
    ``below`` how far the keys hang under it where the two move together (a tray under a desk that
    moves). ``underside`` is the lowest part over the thighs where it stays (the desk under a
    platform). ``tilt`` is the slope the keys can be given, front edge down negative, degrees.
    ``mouse_below`` is how much lower the mouse has to lie. ``under`` is what is there besides.
    ``form`` is what it looks like (cart, counter, platform, tray), ``beside`` the height of the
    desk proper over a tray or under a platform; both are drawn, not fitted. ``top_thickness`` is that of the desk
    over a tray, with what hangs under it.
    """

    kind: Literal["fixed", "sit_stand"] | None = None
    surface: Span | None = None
    thickness: float | None = None
    top_thickness: float | None = None
    depth: float | None = None
    screen_base: Span | None = None
    below: Span | None = None
    underside: float | None = None
    tilt: Span | None = None
    mouse_below: float = 0.0
    under: UnderDesk | None = None
    risers: bool | None = None
    form: str | None = None
    beside: float | None = None

    def underside_at(self, surface: float | None) -> float | None:
        """Height of the lowest part over the thighs with the surface there, mm; None where unknown."""
        if self.underside is not None or surface is None or self.thickness is None:
            return self.underside
        return surface - self.thickness


@dataclass(frozen=True, kw_only=True)
class Keyboard:
    """A keyboard; thickness at the home row, mm.

    ``slope`` is how far its feet lift the back edge, degrees; ``turned`` how far it lies turned on
    the desk, clockwise from above. ``assumed`` says that nobody recorded the thickness.
    """

    kind: KeyboardKind | None = None
    thickness: float | None = None
    slope: float = 0.0
    turned: float = 0.0
    assumed: bool = False

    def under(self, screen: Screen) -> Keyboard:
        """The keyboard that goes with a screen: a laptop's own keys have a usual thickness."""
        if screen.kind != ScreenKind.LAPTOP or self.thickness is not None:
            return self
        return replace(self, thickness=LAPTOP_KEYS_MM, assumed=True)


@dataclass(frozen=True, kw_only=True)
class Mouse:
    """A pointing device and the hand it is used with; a central one lies before the keys."""

    hand: Hand | None = None
    kind: PointerKind | None = None


@dataclass(frozen=True, kw_only=True)
class Screen:
    """A screen: its picture, and how high over the desk surface the picture's top can be; mm.

    A laptop's picture is joined to its keys: see :meth:`reach`. What hangs on a wall has its heights
    over the floor in ``on_wall_at``, and never moves with a desk. ``riser_standing`` is what goes under
    the screen for standing and comes out for sitting, by the heights it can have.
    """

    kind: ScreenKind | None = None
    width: float | None = None
    height: float | None = None
    top_above_surface: Span | None = None
    depth_behind: float | None = None
    tilt_deg: Span | None = None
    held: ScreenHolder | None = None
    pixels_across: float | None = None
    on_wall_at: Span | None = None
    riser_standing: Span | None = None

    @property
    def on_wall(self) -> bool:
        """Whether it hangs on a wall, at whatever height."""
        return self.held == ScreenHolder.WALL

    @staticmethod
    def picture(diagonal_in: float, aspect: AspectRatio) -> tuple[float, float]:
        """Width and height of the picture, mm.

        >>> [round(side) for side in Screen.picture(24, AspectRatio.WIDE)]
        [531, 299]
        """
        angle = atan(1 / aspect.ratio)
        diagonal = diagonal_in * MM_PER["in"]
        return diagonal * cos(angle), diagonal * sin(angle)

    @property
    def picture_height(self) -> float | None:
        """Height of the picture, mm; a laptop's usual one where its own is not recorded."""
        if self.height is None and self.kind == ScreenKind.LAPTOP:
            return LAPTOP_PICTURE_HEIGHT_MM
        return self.height

    def reach(self, keyboard: Keyboard) -> Span | None:
        """How high over the surface the top of the picture can be; None where unknown."""
        if self.kind != ScreenKind.LAPTOP:
            return self.top_above_surface
        if keyboard.thickness is None:
            return None
        top = keyboard.thickness + LAPTOP_PICTURE_START_MM + (self.picture_height or 0.0)
        return Span(low=top, high=top)


@dataclass(frozen=True, kw_only=True)
class Item:
    """Something in the room to stand other things on: whole pieces, ``thickness`` mm each.

    ``error`` is the standard deviation of one thickness, ``assumed`` where nobody measured it; ``uses`` what it carries.
    """

    id: str
    label: str
    thickness: float
    count: int = 1
    error: float = 1.0
    uses: frozenset[str] = frozenset({"feet", "screen"})
    assumed: bool = False


@dataclass(frozen=True, kw_only=True)
class Workstation:
    """The pieces together.

    ``feet`` are the supports there are for the feet, by the heights they can have (None: nobody has looked),
    ``feet_assumed`` where one's range is not recorded; ``items`` what is at hand for stacks, ``unmeasured`` the names
    of those without a thickness; ``at_hand`` what a plan might add and is there already.
    """

    chair: Chair = Chair()
    desk: Desk = Desk()
    keyboard: Keyboard = Keyboard()
    mouse: Mouse = Mouse()
    screen: Screen = Screen()
    feet: tuple[Span, ...] | None = None
    feet_assumed: bool = False
    items: tuple[Item, ...] = ()
    unmeasured: tuple[str, ...] = ()
    at_hand: frozenset[str] = frozenset()
    other_seat: Span | None = None
