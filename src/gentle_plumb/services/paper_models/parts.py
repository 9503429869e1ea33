"""The parts of papers: what a report holds is what stands here, and nothing else."""

from __future__ import annotations

from typing import Literal

from pydantic import BaseModel, ConfigDict

from ...core.drawing import Scene
from ...core.fit import Posture
from ...core.record.fields.work import Severity
from ..said import Said

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
    label: Said
    before: Said
    target: Said
    after: Said
    left: Said
    note: Said
    plus_minus: Said = ""
    how: Said = ""
    setting: Said = ""
    state: Said = ""


class PaperFlag(PaperPart):
    """A red flag that is there, with what was done about it."""

    urgency: Said
    label: Said
    done: Said
    call_back: Said = ""


class PaperPhoto(PaperPart):
    """A photograph of the pair, before or after: by its identifier, with what was read from it."""

    id: str
    caption: Said
    readings: list[Said]


class PaperPrecaution(PaperPart):
    """A precaution: what is kept to, whom to ask, which limits were cleared by whom; ``cleared`` once all are."""

    id: str
    label: Said
    limit: Said
    ask: Said
    note: Said | None
    cleared: Said | None
    limits_cleared: list[Said] = []


class PaperFinding(PaperPart):
    """One finding as evidence of a cause, in the practitioner's words where there are any.

    ``confirmed``: the practitioner has looked at it and accepted it.
    """

    id: str
    title: Said
    posture: Said
    cause: Said
    left: Said
    severity: Severity | None
    evidence: list[Said]
    confirmed: bool = True


class PaperCause(PaperPart):
    """A cause with its load, what it may explain, and its evidence.

    ``words`` are the practitioner's, beside what was computed; ``left_out``: the client's paper does not tell it.
    """

    id: str = ""
    words: Said = ""
    left_out: bool = False
    title: Said
    severity: Severity | None
    minutes: int | None
    explains: list[Said]
    findings: list[PaperFinding]


class PaperAction(PaperPart):
    """One thing to do: the same words as in Set and in the plan; ``words`` are the practitioner's, beside them.

    ``helps`` says why it helps this person, where it is one of the few that come first. ``told``: the text says what
    became of it, and is no order any more.
    """

    id: str
    field: Said = ""
    words: Said = ""
    heading: Said
    text: Said
    who: Said
    when: Said
    price: Said
    temporary: bool
    state: Literal["open", "done", "later", "stopped"]
    remark: Said = ""
    posture: Posture
    resolves: list[Said]
    helps: Said = ""
    told: bool = False


class PaperStrain(PaperPart):
    """A region's strain minutes with their arithmetic."""

    label: Said
    minutes: int
    sums: list[Said]


class PaperAdded(PaperPart):
    """A piece that the plan adds."""

    label: Said
    does: Said
    price: Said
    temporary: bool
    removes: Said


class PaperPlan(PaperPart):
    """The chosen plan, what moves between sitting and standing, and what was chosen otherwise."""

    label: Said
    added: list[PaperAdded]
    cautions: list[Said]
    moves: list[Said]
    chosen: list[Said]


class PaperDimension(PaperPart):
    """A body dimension: its value with plus-minus, and where it is from."""

    label: Said
    value: Said
    plus_minus: Said
    how: Said


class PaperJoint(PaperPart):
    """A joint before and as aimed at."""

    posture: Posture
    label: Said
    band: Said
    found: Said | None
    found_off: bool
    aim: Said | None
    aim_off: bool


class PaperRhythm(PaperPart):
    """The rhythm over this client's hours, minutes; ``walks`` false: weight shifts take the place of getting up."""

    label: Said
    says: Said
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

    label: Said
    start: Said
    dose: Said
    steps: list[Said]
    felt: Said
    never: Said
    why: Said
    says: list[Said]
    scenes: list[Scene]


class PaperSpell(PaperPart):
    """A spell of the day: from and to as times, in what posture."""

    at: Said
    end: Said
    posture: Said


class PaperDay(PaperPart):
    """The working day: from, to, weeks of getting used to standing, eyes, tips, the bar, and its spells."""

    start: Said
    end: Said
    weeks: list[Said]
    eyes: Said
    tips: list[Said]
    scene: Scene | None
    spells: list[PaperSpell] = []


class Request(PaperPart):
    """What is asked of the workplace: what, how many, what range it must cover, by when, at what price, who does it.

    ``id`` names it when it is ticked as done; versions signed before have none. ``safety``: it is put right at once.
    """

    title: Said
    do: Said
    id: str = ""
    count: Said = ""
    covers: Said = ""
    by: Said = ""
    price: Said = ""
    who: Said = ""
    safety: bool = False


class PaperPlace(PaperPart):
    """A further place of the visit: how it is worked at, what is set and done there.

    ``moves`` is what changes from the main place to this one, where one is for sitting and the other for
    standing.
    """

    name: Said
    use: Said
    table: list[PaperRow]
    shortfalls: list[Said]
    added: list[PaperAdded]
    actions: list[Said]
    desk: list[Said]
    moves: list[Said]
    scene: Scene | None = None


class CardLine(PaperPart):
    """A number to come back to: sitting and standing, each empty where there is none.

    ``sure`` is false where one of them is still to be set, or was set and never measured; ``seated_is`` and
    ``standing_is`` say which: left at, as found, still to set. ``key`` is the quantity's name, ``display`` or
    ``key`` for the desk's.
    """

    key: str = ""
    label: Said
    seated: Said
    standing: Said
    sure: bool
    seated_is: Said = ""
    standing_is: Said = ""


class CardPerson(PaperPart):
    """One person's numbers at a desk; ``code`` is all of it as text, to be scanned without network."""

    name: Said
    date: Said
    lines: list[CardLine]
    temporary: list[Said]
    code: Said
    scene: Scene


class PaperSince(PaperPart):
    """What has become of the client since the visit before: drift, discomfort then and now, causes."""

    on: Said
    worse: list[Said] = []
    drift: list[Said]
    discomfort: list[Said]
    resolved: list[Said]
    unchanged: list[Said]
    new: list[Said]
    not_assessed: list[Said]
    temporary: list[Said]
