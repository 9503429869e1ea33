"""What goes over the wire about policies and trying things out."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Annotated, Any, Literal

from pydantic import Field, StringConstraints

from ..core.drawing import SceneRequest
from ..core.policy import PolicyQuestion
from ..core.units import LengthUnit
from ..core.what_if import WhatIfRequest
from ..services.models import RuleSetView
from .common import PlaceId, RequestModel

Path = Annotated[str, StringConstraints(max_length=200)]
Typed = Annotated[str, StringConstraints(max_length=200)]
OverridesBody = Annotated[dict[Path, Typed], Field(max_length=200)]


@dataclass(frozen=True, kw_only=True)
class HouseRules:
    """Every question on which practitioners disagree, and the practice's bundles."""

    questions: list[PolicyQuestion]
    bundles: Sequence[RuleSetView]


class SceneOptions(RequestModel):
    """How a try is drawn."""

    width: Annotated[float, Field(ge=240, le=4000)] = 860
    height: Annotated[float, Field(ge=240, le=4000)] = 700
    mode: Literal["both", "seated", "standing", "overlay"] = "both"
    show: Literal["found", "target", "left"] = "target"
    unit: LengthUnit = "cm"
    grips: bool = False


class WhatIf(RequestModel):
    """What is tried: texts by field; against what else it is held."""

    overrides: OverridesBody
    unit: LengthUnit = "cm"
    scene: SceneOptions = SceneOptions()
    against: OverridesBody | None = None
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


class StackRequest(RequestModel):
    """A lift that is wanted from what is at hand."""

    wanted: Annotated[str, StringConstraints(max_length=60)]
    use: Literal["feet", "screen", "keys", "laptop"]
    unit: LengthUnit = "cm"
    place: PlaceId = "main"
