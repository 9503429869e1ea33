"""The papers of a visit, each by its own allow-list.

The same models type the page, the template of the PDF and the frozen content of a signed version.
"""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from ...core.drawing import Scene
from .parts import (
    CardLine,
    CardPerson,
    PaperAction,
    PaperAdded,
    PaperCause,
    PaperDay,
    PaperDimension,
    PaperFlag,
    PaperJoint,
    PaperMovement,
    PaperPart,
    PaperPhoto,
    PaperPlace,
    PaperPlan,
    PaperPrecaution,
    PaperRhythm,
    PaperRow,
    PaperSince,
    PaperStrain,
    Request,
    Shows,
)

Copy = Literal["client", "workplace", "record"]
COPIES: tuple[Copy, ...] = ("client", "workplace", "record")


class Signature(PaperPart):
    """Who signed a version, as what, and when; empty in a draft.

    ``sha256`` is of the content without signature, as it is frozen.
    """

    signed_by: str | None = None
    signed_title: str | None = None
    signed_registration: str | None = None
    signed_at: str | None = None
    signed_on: str | None = None
    sha256: str | None = None


class PaperHead(Signature):
    """What every paper begins and ends with.

    ``letterhead`` are the practice's own lines, ``call`` is whom to call; ``replaces`` says which version this one
    takes the place of and what has changed since.
    """

    practice: str
    letterhead: list[str] = Field(default_factory=list)
    call: str = ""
    local_wording: str
    client: str
    visited_on: str
    visited: str
    follow_up: str
    follow_up_on: str
    unit: str
    version: int
    replaces: list[str] = Field(default_factory=list)
    scene: Scene | None
    scene_shows: Shows
    rhythm: PaperRhythm | None


class WorkplacePaper(PaperHead):
    """The workplace's paper: requests, furniture, safety, limits of work and hours.

    ``left_out`` counts the findings that are not on it.
    """

    kind: Literal["workplace"] = "workplace"
    work: str
    requests: list[Request]
    limits: list[str]
    table: list[PaperRow]
    added: list[PaperAdded]
    moves: list[str]
    chosen: list[str]
    joints: list[PaperJoint]
    cautions: list[str]
    left_out: int
    places: list[PaperPlace] = Field(default_factory=list)


class ClientPaper(PaperHead):
    """The client's paper: one page to act on, then the day, the movements, and why.

    ``keep_doing`` is what is done well already. ``limits`` are what is kept to, a line each; versions signed before hold them by condition, in ``precautions``.
    ``first`` are the three things that matter, ``numbers`` what to come back to, ``stop`` when to stop and whom to
    see; ``set_today`` and ``to_set`` name the settings that are done and open, ``costs`` is what is still to be bought
    comes to.
    """

    kind: Literal["client"] = "client"
    note: str
    warning: list[PaperFlag]
    precautions: list[PaperPrecaution]
    limits: list[str] = Field(default_factory=list)
    first: list[PaperAction]
    keep_doing: list[str] = Field(default_factory=list)
    numbers: list[CardLine]
    done: list[PaperAction]
    set_today: str
    todo: list[PaperAction]
    to_set: str
    costs: str = ""
    shortfalls: list[str]
    stop: list[str]
    day: PaperDay | None
    movements: list[PaperMovement]
    movement_rules: list[str]
    causes: list[PaperCause]
    further_causes: int
    unexplained: list[str]
    temporary: list[str]
    photos: list[PaperPhoto]
    place: str
    places: list[PaperPlace]
    since: PaperSince | None = None
    cautions: list[str]


class RecordPaper(PaperHead):
    """The record for colleagues: everything, with its method and how each number is known.

    ``self_reported`` is what the client gave on their own page and nobody has confirmed; ``good`` are the good habits
    that were seen.
    """

    kind: Literal["record"] = "record"
    work: str
    reason: str
    warning: list[PaperFlag]
    asked: str
    discomfort: list[str]
    precautions: list[PaperPrecaution]
    shortfalls: list[str]
    worse: str | None
    actions: list[PaperAction]
    causes: list[PaperCause]
    unexplained: list[str]
    strain: list[PaperStrain]
    table: list[PaperRow]
    joints: list[PaperJoint]
    plan: PaperPlan
    body: list[PaperDimension]
    standing: str | None
    notes: list[str]
    estimated: list[str]
    self_reported: list[str] = Field(default_factory=list)
    noted: list[str]
    note: str
    method: list[str]
    desk: list[str]
    place: str
    places: list[PaperPlace]
    photos: list[PaperPhoto]
    good: list[str] = Field(default_factory=list)
    since: PaperSince | None = None
    cautions: list[str]


class LetterPaper(Signature):
    """A letter to a clinician, for one red flag or one condition.

    To whom, how soon, who the client is, what was reported and since when, what was seen, what the client was told,
    and one question that can be answered: ``answers`` are what to tick, ``lines`` what is
    written on lines, ``limits`` what holds until then.
    """

    kind: Literal["letter"] = "letter"
    practice: str
    letterhead: list[str]
    call: str
    local_wording: str
    client: str
    visited: str
    to: str
    urgency: str
    sign: str
    informed: str
    by: str
    call_back: str
    discomfort: list[str]
    precautions: list[PaperPrecaution]
    work: str
    birth_year: str = ""
    reported: list[str] = Field(default_factory=list)
    seen: list[str] = Field(default_factory=list)
    done: str = ""
    question: str = ""
    limits: list[str] = Field(default_factory=list)
    answers: list[str] = Field(default_factory=list)
    lines: list[str] = Field(default_factory=list)
    title: str = "Referral"
    sha256: str | None = None


class TargetCard(PaperPart):
    """A small printed card: the numbers of all who use a desk, a page each."""

    practice: str
    desk: str
    people: list[CardPerson]


class Papers(PaperPart):
    """Every copy of one version."""

    client: ClientPaper
    workplace: WorkplacePaper
    record: RecordPaper


"""What is set as a page of its own."""
