"""What of a visit is looked at."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, Field

from ..core.drawing import SceneRequest
from ..core.units import LengthUnit
from .common import PlaceId


class View(BaseModel):
    """What of a visit is looked at: unit, size and content of the drawing."""

    unit: LengthUnit = "cm"
    width: Annotated[float, Field(ge=240, le=4000)] = 860
    height: Annotated[float, Field(ge=240, le=4000)] = 700
    mode: Literal["both", "seated", "standing", "overlay"] = "both"
    show: Literal["found", "target", "left"] = "target"
    tape: Annotated[str | None, Field(max_length=60)] = None
    layer: Literal["heights", "habits", "measuring"] = "heights"
    body: Annotated[bool, Field(description="With the body, dimension by dimension.")] = True
    plans: Annotated[bool, Field(description="With all three plans.")] = False
    grips: Annotated[bool, Field(description="With rings to turn parts by.")] = False
    between: Annotated[
        float | None,
        Field(ge=0, le=1),
        Field(description="So far on the way from what was found to what is shown."),
    ] = None
    draw: bool = False
    place: PlaceId = "main"

    def scene(self) -> SceneRequest:
        """What to draw."""
        return SceneRequest(**self.model_dump(exclude={"draw", "body", "plans", "place"}))
