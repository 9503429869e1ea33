"""What goes over the wire about policies and trying things out."""

from __future__ import annotations

from typing import Annotated, Any, Literal
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from ..core.drawing import SceneRequest
from ..core.presentation import StackView
from ..core.units import LengthUnit
from ..core.what_if import WhatIfRequest
from ..services.models import StoredRuleSet
from .common import Name, New, PlaceId, RequestModel

Id = Annotated[str, StringConstraints(max_length=60)]
Path = Annotated[str, StringConstraints(max_length=200)]
Typed = Annotated[str, StringConstraints(max_length=200)]
Tries = Annotated[dict[Path, Typed], Field(max_length=200)]


class PolicyOptionOut(BaseModel):
    """One position, and why its followers hold it."""

    id: str
    label: str
    why: str


class PolicyQuestionOut(BaseModel):
    """One question on which practitioners disagree."""

    id: str
    label: str
    default: str
    standing: bool
    positions: list[PolicyOptionOut]


class RuleSetFacts(RequestModel):
    """What a bundle of positions is."""

    name: Name
    choices: Annotated[dict[Id, Id], Field(max_length=60)]
    is_default: bool = False


class RuleSetIn(New, RuleSetFacts):
    """A bundle of positions to be kept."""


class RuleSetChange(RuleSetFacts):
    """A bundle changed upon its version."""

    version: Annotated[int, Field(ge=1, le=2_000_000_000)]


class RuleSetOut(BaseModel):
    """A kept bundle."""

    id: UUID
    name: str
    choices: dict[str, str]
    is_default: bool
    version: int

    @classmethod
    def of(cls, kept: StoredRuleSet) -> RuleSetOut:
        """From the record."""
        return cls(**{name: getattr(kept, name) for name in cls.model_fields})


class HouseRules(BaseModel):
    """Every question, and the practice's bundles."""

    questions: list[PolicyQuestionOut]
    bundles: list[RuleSetOut]


class SceneIn(RequestModel):
    """How a try is drawn."""

    width: Annotated[float, Field(ge=240, le=4000)] = 860
    height: Annotated[float, Field(ge=240, le=4000)] = 700
    mode: Literal["both", "seated", "standing", "overlay"] = "both"
    show: Literal["found", "target", "left"] = "target"
    unit: LengthUnit = "cm"
    grips: bool = False


class TrialIn(RequestModel):
    """What is tried: texts by field; against what else it is held."""

    tries: Tries
    unit: LengthUnit = "cm"
    scene: SceneIn = SceneIn()
    against: Tries | None = None
    behind: bool = False
    plans: bool = False
    found: bool = False
    brief: bool = False
    place: PlaceId = "main"

    def request(self) -> WhatIfRequest:
        """As the bench takes it."""
        plain: dict[str, Any] = self.model_dump(exclude={"scene", "place"})
        return WhatIfRequest(**plain, scene=SceneRequest(**self.scene.model_dump()))


class PlaceQuery(RequestModel):
    """Which of a visit's places."""

    place: PlaceId = "main"


class DayQuery(PlaceQuery):
    """How a working day is shown."""

    week: Annotated[int, Field(ge=0, le=4)] = 0
    width: Annotated[float, Field(ge=240, le=4000)] = 900


class StackIn(RequestModel):
    """A lift that is wanted from what is at hand."""

    wanted: Annotated[str, StringConstraints(max_length=60)]
    use: Literal["feet", "screen", "keys", "laptop"]
    unit: LengthUnit = "cm"
    place: PlaceId = "main"


class StackOut(BaseModel):
    """The best stack: its pieces, its height with its error, and what it is short of."""

    text: str | None
    height: str | None
    short: str | None
    warning: str

    @classmethod
    def of(cls, found: StackView) -> StackOut:
        """From the best stack in words."""
        return cls(text=found.text, height=found.height, short=found.short, warning=found.warning)
