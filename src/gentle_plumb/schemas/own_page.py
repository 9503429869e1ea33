"""Shapes of the client's own page and of what a practitioner does with it."""

from __future__ import annotations

from typing import Annotated, Literal
from uuid import UUID

from pydantic import BaseModel, Field

from ..core.drawing import Ink, Mark
from ..core.intake import Region
from ..core.own_page import Level
from ..core.units import LengthUnit
from ..services.models import Direction, LinkKind, MessageCatalogue
from ..services.own_page import ENGLISH, LinkView
from .common import RequestModel


class OwnDoor(RequestModel):
    """What opens a client's page: the end of the link, and the code."""

    token: Annotated[str, Field(min_length=1, max_length=100)]
    code: Annotated[str, Field(min_length=1, max_length=20)]


class OwnKnock(RequestModel):
    """The end of a link."""

    token: Annotated[str, Field(min_length=1, max_length=100)]


class OwnMap(BaseModel):
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


class OwnAnswerIn(RequestModel):
    """An answer, as typed or tapped, upon the version that was seen; ``id`` is made by the page, once a change."""

    id: UUID
    expected_version: Annotated[int, Field(ge=0)]
    question: Annotated[str, Field(min_length=1, max_length=100)]
    typed: Annotated[str, Field(max_length=4000)]
    unit: LengthUnit = "cm"


class OwnAnswerOut(BaseModel):
    """An answer as it is held."""

    question: str
    typed: str
    version: int


class LinkIn(RequestModel):
    """A link to be made for a visit's client; ``days`` it works, the usual where it is not said."""

    visit_id: UUID
    kind: LinkKind
    language: Annotated[str, Field(max_length=40)] = "en"
    days: Annotated[int | None, Field(ge=-1000, le=100000)] = None


class MadeLinkOut(BaseModel):
    """A link with its code, told this once; ``url`` is the whole address."""

    link: LinkView
    code: str
    url: str


class DecisionIn(RequestModel):
    """What a practitioner decides on a client's answers."""

    level: Level
    note: Annotated[str, Field(max_length=4000)] = ""


class TakeOverIn(RequestModel):
    """The visit that answers are taken over into."""

    visit_id: UUID


class LanguageOut(BaseModel):
    """A language of the client's page; ``open`` counts the messages that it leaves in English."""

    language: str
    name: str
    direction: Direction
    open: int

    @classmethod
    def of(cls, held: MessageCatalogue) -> LanguageOut:
        """Return how a catalogue is listed."""
        left = ENGLISH.messages.keys() - held.messages.keys()
        return cls(language=held.language, name=held.name, direction=held.direction, open=len(left))


class LanguageFile(BaseModel):
    """A language as a file: to be translated, and added again."""

    language: str
    name: str
    direction: Direction
    messages: dict[str, str]


class InboxLetter(BaseModel):
    """A mail that arrived at the simulated mail server."""

    to: str
    subject: str
    text: str
