"""What the page knows before a visit is opened: fields, pieces, dimensions, regions."""

from __future__ import annotations

from typing import Literal

from pydantic import BaseModel, ConfigDict

from ..core.body import Dimension
from ..core.drawing import Ink, Mark
from ..core.intake import Consent, RedFlag, Region
from ..core.observation import Habit, RoomItem
from ..core.photo import Landmark
from ..core.record import ShelfKind, StepId, fields
from ..core.record.fields.field import Kind


class LightTask(BaseModel):
    """What light is for, and its band in lux."""

    id: str
    label: str
    least: float
    most: float


class FieldOut(BaseModel):
    """A field: what it is called, which answers it takes, when it makes sense.

    ``low`` and ``high`` are in mm for a length, in ``unit`` for a number; ``when`` are the answers
    of other fields without which it makes no sense, unless those of ``or_when`` hold; ``pair`` is the range whose lower end it is.
    """

    model_config = ConfigDict(from_attributes=True, title="Field")

    id: str
    step: StepId
    group: str
    label: str
    kind: Kind
    section: str
    help: str
    unit: str
    low: float | None
    high: float | None
    choices: list[tuple[str, str]]
    needed: bool
    part: str
    when: list[tuple[str, list[str]]]
    or_when: list[tuple[str, list[str]]]
    health: bool
    pair: str
    noted_only: bool
    one_line: bool
    of_the_seat: bool


class PieceOut(BaseModel):
    """A kind of piece, and the paths of the fields that describe it."""

    id: str
    label: str
    paths: list[str]


class Fields(BaseModel):
    """The fields of a visit, its steps, how the drawing is inked, and what is asked and seen.

    ``families`` are the fields of things there can be any number of; their ids hold a ``*``.
    ``picture_bytes`` is the most a photograph may have.
    """

    steps: dict[StepId, str]
    fields: list[FieldOut]
    families: list[FieldOut]
    pieces: list[PieceOut]
    kinds: list[ShelfKind]
    signs: list[RedFlag]
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
    dimensions: list[DimensionOut]
    skips: dict[str, str]
    picture_bytes: int
    inks: dict[str, Ink]
    sources: dict[str, str]


class DimensionOut(BaseModel):
    """A dimension of the catalogue, as it is explained."""

    id: str
    label: str
    iso_name: str
    how: str
    posture: Literal["seated", "standing"]
    view: str
    instrument: str
    start: str
    end: str
    mistakes: list[str]
    used_for: str
    needed: bool
    two_sided: bool
    twice: bool
    can_guess: bool

    @classmethod
    def of(cls, entry: Dimension) -> DimensionOut:
        """From the catalogue; ``can_guess`` where an estimate is only made if insisted on."""
        same = {name: getattr(entry, name) for name in cls.model_fields if name != "can_guess"}
        return cls(
            **{**same, "mistakes": list(entry.mistakes)},
            can_guess=fields.measure.dimension[entry.id].guess is not None,
        )
