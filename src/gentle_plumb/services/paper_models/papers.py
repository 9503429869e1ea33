"""The papers of a visit, each by its own allow-list.

The same models type the page, the template of the PDF and the frozen content of a signed version.
"""

from __future__ import annotations

from typing import Literal

from pydantic import Field

from ...core.drawing import Scene
from ...core.language import Language, language_of, msg
from ..said import Said
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


class InALanguage(PaperPart):
    """A paper that says its language, and what the practice says its own way in it: what was signed keeps its words."""

    language: str = "en"
    own_words: dict[str, str] = Field(default_factory=dict)

    @property
    def speaker(self) -> Language:
        """The language, with the practice's own words."""
        return language_of(self.language, {self.language: self.own_words})


class Signature(InALanguage):
    """Who signed a version, as what, and when; empty in a draft.

    ``sha256`` is of the content without signature, as it is frozen.
    """

    signed_by: Said | None = None
    signed_title: Said | None = None
    signed_registration: Said | None = None
    signed_at: Said | None = None
    signed_on: Said | None = None
    sha256: str | None = None


class PaperHead(Signature):
    """What every paper begins and ends with.

    ``letterhead`` are the practice's own lines, ``call`` is whom to call; ``replaces`` says which version this one
    takes the place of and what has changed since.
    """

    practice: Said
    letterhead: list[Said] = Field(default_factory=list)
    call: Said = ""
    local_wording: Said
    client: Said
    visited_on: Said
    visited: Said
    follow_up: Said
    follow_up_on: Said
    unit: Said
    version: int
    replaces: list[Said] = Field(default_factory=list)
    scene: Scene | None
    scene_shows: Shows
    rhythm: PaperRhythm | None


class WorkplacePaper(PaperHead):
    """The workplace's paper: requests, furniture, safety, limits of work and hours.

    ``left_out`` counts the findings that are not on it.
    """

    kind: Literal["workplace"] = "workplace"
    work: Said
    requests: list[Request]
    limits: list[Said]
    table: list[PaperRow]
    added: list[PaperAdded]
    moves: list[Said]
    chosen: list[Said]
    joints: list[PaperJoint]
    cautions: list[Said]
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
    note: Said
    warning: list[PaperFlag]
    precautions: list[PaperPrecaution]
    limits: list[Said] = Field(default_factory=list)
    first: list[PaperAction]
    keep_doing: list[Said] = Field(default_factory=list)
    numbers: list[CardLine]
    done: list[PaperAction]
    set_today: Said
    todo: list[PaperAction]
    to_set: Said
    costs: Said = ""
    shortfalls: list[Said]
    stop: list[Said]
    day: PaperDay | None
    movements: list[PaperMovement]
    movement_rules: list[Said]
    causes: list[PaperCause]
    further_causes: int
    unexplained: list[Said]
    temporary: list[Said]
    photos: list[PaperPhoto]
    place: Said
    places: list[PaperPlace]
    since: PaperSince | None = None
    cautions: list[Said]


class RecordPaper(PaperHead):
    """The record for colleagues: everything, with its method and how each number is known.

    ``self_reported`` is what the client gave on their own page and nobody has confirmed; ``good`` are the good habits
    that were seen.
    """

    kind: Literal["record"] = "record"
    work: Said
    reason: Said
    warning: list[PaperFlag]
    asked: Said
    discomfort: list[Said]
    precautions: list[PaperPrecaution]
    shortfalls: list[Said]
    worse: Said | None
    actions: list[PaperAction]
    causes: list[PaperCause]
    unexplained: list[Said]
    strain: list[PaperStrain]
    table: list[PaperRow]
    joints: list[PaperJoint]
    plan: PaperPlan
    body: list[PaperDimension]
    standing: Said | None
    notes: list[Said]
    estimated: list[Said]
    self_reported: list[Said] = Field(default_factory=list)
    noted: list[Said]
    note: Said
    method: list[Said]
    desk: list[Said]
    place: Said
    places: list[PaperPlace]
    photos: list[PaperPhoto]
    good: list[Said] = Field(default_factory=list)
    since: PaperSince | None = None
    cautions: list[Said]


class LetterPaper(Signature):
    """A letter to a clinician, for one red flag or one condition.

    To whom, how soon, who the client is, what was reported and since when, what was seen, what the client was told,
    and one question that can be answered: ``answers`` are what to tick, ``lines`` what is
    written on lines, ``limits`` what holds until then.
    """

    kind: Literal["letter"] = "letter"
    practice: Said
    letterhead: list[Said]
    call: Said
    local_wording: Said
    client: Said
    visited: Said
    to: Said
    urgency: Said
    sign: Said
    informed: Said
    by: Said
    call_back: Said
    discomfort: list[Said]
    precautions: list[PaperPrecaution]
    work: Said
    birth_year: Said = ""
    reported: list[Said] = Field(default_factory=list)
    seen: list[Said] = Field(default_factory=list)
    done: Said = ""
    question: Said = ""
    limits: list[Said] = Field(default_factory=list)
    answers: list[Said] = Field(default_factory=list)
    lines: list[Said] = Field(default_factory=list)
    title: Said = msg("Referral")
    sha256: str | None = None


class TargetCard(InALanguage):
    """A small printed card: the numbers of all who use a desk, a page each."""

    practice: Said
    desk: Said
    people: list[CardPerson]


class Papers(PaperPart):
    """Every copy of one version."""

    client: ClientPaper
    workplace: WorkplacePaper
    record: RecordPaper


"""What is set as a page of its own."""
