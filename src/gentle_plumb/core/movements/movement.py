"""What a movement is: where it starts, what is done, how long, and when it is left alone."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..intake import Demand
from ..language import Words

Start = Literal["seated", "standing"]
View = Literal["side", "front", "hand"]


@dataclass(frozen=True, kw_only=True)
class Limb:
    """An arm or a leg: how far its upper part is lifted from hanging, how far the next part bends, degrees.

    From the side forwards is positive, from the front outwards. ``end`` bends wrist or ankle.
    """

    lift: float = 0.0
    bend: float = 0.0
    end: float = 0.0


@dataclass(frozen=True, kw_only=True)
class Posed:
    """A body in one moment of a movement; degrees from upright, mm where said.

    ``trunk`` leans forwards from the side, to the viewer's right from the front; ``head`` nods or tilts beside
    that; ``chin`` slides the head forwards, ``shrug`` lifts the shoulders, ``rise`` the whole
    body, mm. ``near`` and ``far`` are the limbs
    of the two sides, from the front the viewer's right and left. ``spread`` and ``curl`` are the fingers of a hand,
    0 to 1. ``says`` is the moment in a few words.
    """

    says: Words
    trunk: float = 0.0
    head: float = 0.0
    chin: float = 0.0
    shrug: float = 0.0
    rise: float = 0.0
    near_arm: Limb = Limb()
    far_arm: Limb | None = None
    near_leg: Limb | None = None
    far_leg: Limb | None = None
    spread: float = 0.3
    curl: float = 0.0
    turn: float = 0.0


@dataclass(frozen=True, kw_only=True)
class Movement:
    """One movement of the library.

    Parameters
    ----------
    id, label : str
    regions : tuple of str
        Load regions it is for, the first above all.
    start : {"seated", "standing"}
    steps : tuple of str
        What is done, in plain words, a sentence each.
    hold_s : float
        How long the end is held, seconds; 0: it goes on without a stop.
    repeats : int
    sided : bool
        Whether it is done to each side.
    felt : str
        Where it is felt when it is done well.
    never : str
        When it is left alone.
    asks : frozenset of Demand
        What it asks of the body: a limit bars it by this.
    view : {"side", "front", "hand"}
    poses : tuple of Posed
        Two or three moments.
    stays_seated : bool
        Whether it takes the place of rising and going, for somebody who stays in their chair.
    source : str

    """

    id: str
    label: Words
    regions: tuple[str, ...]
    start: Start
    steps: tuple[Words, ...]
    felt: Words
    never: Words
    view: View
    poses: tuple[Posed, ...]
    hold_s: float = 0.0
    repeats: int = 1
    sided: bool = False
    asks: frozenset[Demand] = frozenset()
    stays_seated: bool = False
    source: str = "house-movements"
