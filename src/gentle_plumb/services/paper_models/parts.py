"""The parts of papers: what a report holds is what stands here, and nothing else."""

from __future__ import annotations

from typing import Literal

from pydantic import BaseModel, ConfigDict

from ...core.drawing import Scene
from ...core.fit import Posture
from ...core.record.fields.work import Severity

Shows = Literal["left", "target"]


class PaperPart(BaseModel):
    """A part of a paper; it takes nothing that it does not name."""

    model_config = ConfigDict(extra="forbid")


class PaperRow(PaperPart):
    """A line of the table: as found, the ideal target, what the equipment allows of it, and where it was left.

    Finished texts with their units. ``setting`` is empty in versions signed before the two were told apart: there
    ``target`` is the setting. ``state`` is the kind of its state; ``plus_minus`` is how sure the target is, ``how``
    how what it was set to is known.
    """

    posture: Posture
    label: str
    before: str
    target: str
    after: str
    left: str
    note: str
    plus_minus: str = ""
    how: str = ""
    setting: str = ""
    state: str = ""


class PaperFlag(PaperPart):
    """A red flag that is there, with what was done about it."""

    urgency: str
    label: str
    done: str
    call_back: str = ""


class PaperPhoto(PaperPart):
    """A photograph of the pair, before or after: by its identifier, with what was read from it."""

    id: str
    caption: str
    readings: list[str]


class PaperPrecaution(PaperPart):
    """A precaution: what is kept to, whom to ask, which limits were cleared by whom; ``cleared`` once all are."""

    id: str
    label: str
    limit: str
    ask: str
    note: str | None
    cleared: str | None
    limits_cleared: list[str] = []


class PaperFinding(PaperPart):
    """One finding as evidence of a cause, in the practitioner's words where there are any.

    ``confirmed``: the practitioner has looked at it and accepted it.
    """

    id: str
    title: str
    posture: str
    cause: str
    left: str
    severity: Severity | None
    evidence: list[str]
    confirmed: bool = True


class PaperCause(PaperPart):
    """A cause with its load, what it may explain, and its evidence.

    ``words`` are the practitioner's, beside what was computed; ``left_out``: the client's paper does not tell it.
    """

    id: str = ""
    words: str = ""
    left_out: bool = False
    title: str
    severity: Severity | None
    minutes: int | None
    explains: list[str]
    findings: list[PaperFinding]


class PaperAction(PaperPart):
    """One thing to do: the same words as in Set and in the plan; ``words`` are the practitioner's, beside them.

    ``helps`` says why it helps this person, where it is one of the few that come first. ``told``: the text says what
    became of it, and is no order any more.
    """

    id: str
    field: str = ""
    words: str = ""
    heading: str
    text: str
    who: str
    when: str
    price: str
    temporary: bool
    state: Literal["open", "done", "later", "stopped"]
    remark: str = ""
    posture: Posture
    resolves: list[str]
    helps: str = ""
    told: bool = False


class PaperStrain(PaperPart):
    """A region's strain minutes with their arithmetic."""

    label: str
    minutes: int
    sums: list[str]


class PaperAdded(PaperPart):
    """A piece that the plan adds."""

    label: str
    does: str
    price: str
    temporary: bool
    removes: str


class PaperPlan(PaperPart):
    """The chosen plan, what moves between sitting and standing, and what was chosen otherwise."""

    label: str
    added: list[PaperAdded]
    cautions: list[str]
    moves: list[str]
    chosen: list[str]


class PaperDimension(PaperPart):
    """A body dimension: its value with plus-minus, and where it is from."""

    label: str
    value: str
    plus_minus: str
    how: str


class PaperJoint(PaperPart):
    """A joint before and as aimed at."""

    posture: Posture
    label: str
    band: str
    found: str | None
    found_off: bool
    aim: str | None
    aim_off: bool


class PaperRhythm(PaperPart):
    """The rhythm over this client's hours, minutes; ``walks`` false: weight shifts take the place of getting up."""

    label: str
    says: str
    hours: float
    sit: float
    stand: float
    move: float
    changes: int
    micro_breaks: int
    eye_breaks: int = 0
    longest_sit: float
    longest_stand: float
    walks: bool = True


class PaperMovement(PaperPart):
    """A movement: what is done, how long and how often, where it is felt, when not; drawn in its moments."""

    label: str
    start: str
    dose: str
    steps: list[str]
    felt: str
    never: str
    why: str
    says: list[str]
    scenes: list[Scene]


class PaperSpell(PaperPart):
    """A spell of the day: from and to as times, in what posture."""

    at: str
    end: str
    posture: str


class PaperDay(PaperPart):
    """The working day: from, to, weeks of getting used to standing, eyes, tips, the bar, and its spells."""

    start: str
    end: str
    weeks: list[str]
    eyes: str
    tips: list[str]
    scene: Scene | None
    spells: list[PaperSpell] = []


class Request(PaperPart):
    """What is asked of the workplace: what, how many, what range it must cover, by when, at what price, who does it.

    ``id`` names it when it is ticked as done; versions signed before have none. ``safety``: it is put right at once.
    """

    title: str
    do: str
    id: str = ""
    count: str = ""
    covers: str = ""
    by: str = ""
    price: str = ""
    who: str = ""
    safety: bool = False


class PaperPlace(PaperPart):
    """A further place of the visit: how it is worked at, what is set and done there.

    ``moves`` is what changes from the main place to this one, where one is for sitting and the other for
    standing.
    """

    name: str
    use: str
    table: list[PaperRow]
    shortfalls: list[str]
    added: list[PaperAdded]
    actions: list[str]
    desk: list[str]
    moves: list[str]
    scene: Scene | None = None


class CardLine(PaperPart):
    """A number to come back to: sitting and standing, each empty where there is none.

    ``sure`` is false where one of them is still to be set, or was set and never measured; ``seated_is`` and
    ``standing_is`` say which: left at, as found, still to set. ``key`` is the quantity's name, ``display`` or
    ``key`` for the desk's.
    """

    key: str = ""
    label: str
    seated: str
    standing: str
    sure: bool
    seated_is: str = ""
    standing_is: str = ""


class CardPerson(PaperPart):
    """One person's numbers at a desk; ``code`` is all of it as text, to be scanned without network."""

    name: str
    date: str
    lines: list[CardLine]
    temporary: list[str]
    code: str
    scene: Scene


class PaperSince(PaperPart):
    """What has become of the client since the visit before: drift, discomfort then and now, causes."""

    on: str
    worse: list[str] = []
    drift: list[str]
    discomfort: list[str]
    resolved: list[str]
    unchanged: list[str]
    new: list[str]
    not_assessed: list[str]
    temporary: list[str]
