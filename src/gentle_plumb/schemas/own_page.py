"""What is asked on the client's own page, and about it."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated, Literal
from uuid import UUID

from pydantic import Field

from ..core.drawing import Ink, Mark
from ..core.intake import Region
from ..core.own_page import Level
from ..core.units import LengthUnit
from ..services.models import LinkKind
from .common import RequestModel


class OwnKnock(RequestModel):
    """The end of a link."""

    token: Annotated[str, Field(min_length=1, max_length=100)]


class OwnDoor(OwnKnock):
    """What opens a client's page: the end of the link, and the code."""

    code: Annotated[str, Field(min_length=1, max_length=20)]


@dataclass(frozen=True, kw_only=True)
class OwnMap:
    """The body to tap on, front and back, and the inks of every drawing."""

    width: float
    height: float
    marks: list[Mark]
    regions: list[Region]
    inks: dict[str, Ink]


class Agreement(RequestModel):
    """A client's yes or no to something being kept."""

    what: Literal["answers", "photographs"]
    yes: bool


class OwnAnswer(RequestModel):
    """An answer, as typed or tapped, upon the version that was seen; ``id`` is made by the page, once a change."""

    id: UUID
    expected_version: Annotated[int, Field(ge=0)]
    question: Annotated[str, Field(min_length=1, max_length=100)]
    typed: Annotated[str, Field(max_length=4000)]
    unit: LengthUnit = "cm"


class NewLink(RequestModel):
    """A link to be made for a visit's client; ``days`` it works, the usual where it is not said."""

    visit_id: UUID
    kind: LinkKind
    language: Annotated[str, Field(max_length=40)] = "en"
    days: Annotated[int | None, Field(ge=-1000, le=100000)] = None


class Decision(RequestModel):
    """What a practitioner decides on a client's answers."""

    level: Level
    note: Annotated[str, Field(max_length=4000)] = ""


class TakeOver(RequestModel):
    """The visit that answers are taken over into."""

    visit_id: UUID
