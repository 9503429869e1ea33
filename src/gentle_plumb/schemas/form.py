"""What the page knows before a visit is opened: fields, pieces, dimensions, regions."""

from __future__ import annotations

from dataclasses import dataclass

from ..core.body import DimensionFacts
from ..core.drawing import Ink, Mark
from ..core.intake import Consent, RedFlag, Region
from ..core.observation import Habit, RoomItem
from ..core.photo import Landmark
from ..core.record import FieldFacts, ShelfKind, StepId


@dataclass(frozen=True, kw_only=True)
class LightTask:
    """What light is for, and its band in lux."""

    id: str
    label: str
    least: float
    most: float


@dataclass(frozen=True, kw_only=True, eq=False)
class FieldView(FieldFacts):
    """A field as the page knows it; ``of_the_seat``: it is about a seat, and nothing where one only stands."""

    of_the_seat: bool


@dataclass(frozen=True, kw_only=True)
class PieceView:
    """A kind of piece, and the paths of the fields that describe it."""

    id: str
    label: str
    paths: list[str]


@dataclass(frozen=True, kw_only=True)
class DimensionView(DimensionFacts):
    """A dimension of the catalogue, as it is explained.

    ``twice``: it is read twice; ``can_guess``: an estimate is only made if insisted on.
    """

    twice: bool
    can_guess: bool


@dataclass(frozen=True, kw_only=True)
class Fields:
    """The fields of a visit, its steps, how the drawing is inked, and what is asked and seen.

    ``families`` are the fields of things there can be any number of; their ids hold a ``*``.
    ``picture_bytes`` is the most a photograph may have.
    """

    steps: dict[StepId, str]
    fields: list[FieldView]
    families: list[FieldView]
    pieces: list[PieceView]
    kinds: list[ShelfKind]
    red_flags: list[RedFlag]
    urgencies: dict[str, str]
    consents: list[Consent]
    map_width: float
    map_height: float
    map_marks: list[Mark]
    regions: list[Region]
    habits: list[Habit]
    room: list[RoomItem]
    light: list[LightTask]
    landmarks: list[Landmark]
    dimensions: list[DimensionView]
    skips: dict[str, str]
    picture_bytes: int
    inks: dict[str, Ink]
    sources: dict[str, str]
