"""What the client's page shows, and what a practitioner sees of it: by allow-list."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, datetime
from typing import Literal
from uuid import UUID

from pydantic import BaseModel, ConfigDict

from ...core.drawing import Scene
from ...core.own_page import Level, QuestionKind, Round, Section
from ...core.units import LengthUnit
from ..models import DecidedRound, Direction, LinkFacts, LinkKind, MailView, RoundView
from ..paper_models import CardLine, PaperDay, PaperMovement, Request
from ..said import Said


class OwnPart(BaseModel):
    """A part of what is shown; it takes nothing that it does not name."""

    model_config = ConfigDict(extra="forbid")


class LanguageView(OwnPart):
    """A language the page is there in; ``open`` counts the messages that are still English.

    ``built_in`` says that it is as it ships with the program.
    """

    language: Said
    name: Said
    direction: Direction
    open: int
    built_in: bool


class OwnNumbers(OwnPart):
    """What a client was given at the visit: numbers, drawing, day, movements, when to stop.

    ``drawings`` are for a phone, a posture each. Sentences of it are English, as the paper is.
    """

    visited: Said
    numbers: list[CardLine]
    drawings: list[Scene]
    temporary: list[Said]
    day: PaperDay | None
    movements: list[PaperMovement]
    movement_rules: list[Said]
    stop: list[Said]
    cautions: list[Said]


class OwnRound(OwnPart):
    """A round of questions: when it is due, whether it can be answered now, when it was sent."""

    round: Round
    due_on: date
    open: bool
    sent_at: datetime | None
    answered: int


class OwnDoorView(OwnPart):
    """The words of the door to a page, in its link's language; English for a link that is none."""

    language: Said
    direction: Direction
    messages: dict[str, Said]


class OwnRequest(OwnPart):
    """What is asked of a workplace, as its own signed paper says it: nothing about health."""

    client: Said
    visited: Said
    follow_up: Said
    limits: list[Said]
    asked: list[Request]


class OwnView(OwnPart):
    """The page as its client sees it.

    ``agreed`` and ``photos_agreed`` say whether they agreed to answers and photographs being kept; ``photos`` which
    of the two views were sent. ``urgent`` are the practice's own words beside a warning sign.
    """

    practice: Said
    contact: Said
    local_wording: Said
    kind: LinkKind
    language: Said
    languages: list[LanguageView]
    messages: dict[str, Said]
    unit: LengthUnit
    ends_on: date
    today: date
    agreed: bool
    photos_agreed: bool
    photos: list[Said]
    rounds: list[OwnRound]
    own_numbers: OwnNumbers | None
    request: OwnRequest | None = None


class OwnQuestion(OwnPart):
    """A question with what was answered, and how often it was changed; ``about`` is what a line of the visit's is called, ``was`` the strength then.

    ``urgency`` is how soon a warning sign is seen; ``low`` and ``high`` are mm or hours. ``walks``: it asks about
    getting up, standing or the chair, and is not asked of somebody in a wheelchair.
    """

    id: str
    section: Section
    kind: QuestionKind
    answers: list[Said]
    low: float | None
    high: float | None
    typed: Said
    version: int
    about: Said = ""
    was: float | None = None
    urgency: Said = ""
    walks: bool = False


class OwnSheet(OwnPart):
    """A round as it is filled in."""

    round: Round
    sent_at: datetime | None
    questions: list[OwnQuestion]


class OwnDoubt(OwnPart):
    """A length that is worth a second look: readings apart, or not going with the others; in the client's unit."""

    dimension: Said
    why: Literal["readings", "others"]
    apart: Said = ""
    low: Said = ""
    high: Said = ""


class AnswerView(OwnPart):
    """One answer as a practitioner reads it; ``field`` is the visit's field that it is about."""

    question: Said
    section: Section
    says: Said
    answer: Said
    field: Said


class ReasonView(OwnPart):
    """One rule that applied, with the answers that decided it."""

    level: Level
    says: Said
    answers: list[Said]


@dataclass(frozen=True, kw_only=True)
class SortedCheck:
    """Whose answers they are, and how they are sorted."""

    client_id: UUID
    client: Said
    level: Level
    level_says: Said


@dataclass(frozen=True, kw_only=True)
class WaitingCheck(SortedCheck):
    """Answers that nobody has looked at, for Today."""

    id: UUID
    round: Round
    sent_at: datetime


@dataclass(frozen=True, kw_only=True)
class CheckView(SortedCheck, DecidedRound):
    """A round as a practitioner sees it: how it is sorted and why, every answer, what was decided.

    ``doubts`` name the lengths that do not go together.
    """

    visit_id: UUID
    reasons: list[ReasonView]
    answers: list[AnswerView]
    open: int
    doubts: list[Said]


@dataclass(frozen=True, kw_only=True)
class LinkView(LinkFacts):
    """A link as a practitioner sees it; the code is never shown again."""

    made_by: Said
    works: bool
    path: Said
    rounds: list[RoundView]
    mails: list[MailView]


class TakenOver(OwnPart):
    """What came of taking answers over: how many were, and what already stood there, by label."""

    taken: int
    kept: list[Said]


EventKind = Literal[
    "visit", "signed", "photographs", "consent", "link", "opened", "revoked", "answers", "mail"
]


class HistoryEvent(OwnPart):
    """Something that happened with a client, for one line of time.

    ``says`` is in words; ``visit_id``, ``report_id`` or ``check_id`` lead there.
    """

    at: datetime
    kind: EventKind
    says: Said
    visit_id: UUID | None = None
    report_id: UUID | None = None
    check_id: UUID | None = None
    copies: list[Said] = []
    photos: list[UUID] = []
