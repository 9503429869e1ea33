"""Ask: before anything is touched."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from ...catalogue import TASKS
from ...choices import Choice, Hand, YesNo
from ...intake import (
    CONSENTS,
    FIGURES,
    RED_FLAGS,
    REGIONS,
    STRONGEST,
    DiscomfortKind,
    DiscomfortOften,
    LimitId,
)
from ...language import msg
from .field import Field, When
from .flag_fields import CalledBack, ClinicianSays, FlagFields, OtherFlag
from .group import FieldGroup, fields_in

DONE_HELP = msg("What was done, and what the client was told.")
_STANDING = FIGURES[LimitId.NO_STANDING]


class ConsentAnswer(Choice):
    """What was said to one consent."""

    GIVEN = "yes", msg("Given")
    NOT_GIVEN = "no", msg("Not given")
    WITHDRAWN = "withdrawn", msg("Withdrawn")


class WorkPlace(Choice):
    """Where the work is done."""

    OFFICE = "office", msg("Office")
    HOME = "home", msg("Home")
    SITE = "site", msg("On site")
    BOTH = "both", msg("Office and home")


class StandingHabit(Choice):
    """How used the client is to standing at work."""

    NEW = "new", msg("New to it")
    SOME = "some", msg("Some")
    USED = "used", msg("Used to it")


class TypingBy(Choice):
    """What finds the keys."""

    TOUCH = "touch", msg("Touch")
    EYE = "eye", msg("Eye")
    MIXED = "mixed", msg("Some of both")


class Eyewear(Choice):
    """What is worn at the desk."""

    NONE = "none", msg("None")
    CONTACTS = "contacts", msg("Contact lenses")
    DISTANCE = "distance", msg("Single vision, distance")
    READING = "reading", msg("Reading glasses")
    COMPUTER = "computer", msg("Computer glasses")
    BIFOCAL = "bifocal", msg("Bifocal")
    PROGRESSIVE = "progressive", msg("Progressive")


class Leans(Choice):
    """Which way the client leans to see."""

    FORWARD = "forward", msg("Forward")
    BACK = "back", msg("Back")
    NO = "no", msg("No")


@dataclass(frozen=True, eq=False)
class DiscomfortFields:
    """Discomfort in one region: how strong, what it is like, how often, since when, what eases it."""

    strength: Field[float]
    kind: Field[DiscomfortKind]
    often: Field[DiscomfortOften]
    since: Field[str]
    eases: Field[str]


_ask_consent = FieldGroup("ask.consent", msg("Consent"))
consent = {
    consent.id: _ask_consent.choice(
        consent.id, consent.label, ConsentAnswer, help=consent.says, needed=consent.id == "notes"
    )
    for consent in CONSENTS.values()
}
"""What was said to each consent, by name."""

_reason = FieldGroup("ask", msg("Reason"))
reason = _reason.words(
    "reason",
    msg("Reason for the visit"),
    help=msg("In the client’s own words."),
    needed=True,
    health=True,
)
place = _reason.choice("place", msg("Place"), WorkPlace, noted_only=True)
sit_stand = _reason.choice("sit_stand", msg("Experience of standing to work"), StandingHabit)

_flags = FieldGroup("ask", msg("Red flags"))
other_flag = _flags.choice(
    "warning",
    msg("Any other red flag"),
    OtherFlag,
    needed=True,
    health=True,
    help=msg("Answer this after asking about all of the above."),
)
_other = other_flag.among(OtherFlag.CLINICIAN, OtherFlag.URGENT)


def _referral(place: FieldGroup, start: str, there: Field[Any], yes: When) -> FlagFields:
    return FlagFields(
        there=there,
        to=place.words(f"{start}to", msg("Referred to"), health=True, when=yes, one_line=True),
        done=place.words(
            f"{start}done",
            msg("Done, and told to the client"),
            help=DONE_HELP,
            health=True,
            when=yes,
        ),
        by=place.words(f"{start}by", msg("By whom"), health=True, when=yes, one_line=True),
        letter=place.choice(
            f"{start}letter", msg("Letter handed over"), YesNo, health=True, when=yes
        ),
        call_back=place.date(f"{start}call_back", msg("Call back on"), health=True, when=yes),
        called=place.choice(
            f"{start}called", msg("Called back"), CalledBack, health=True, when=yes
        ),
        answer=place.choice(
            f"{start}answer", msg("The clinician says"), ClinicianSays, health=True, when=yes
        ),
        standing=place.amount(
            f"{start}standing",
            _STANDING.label,
            _STANDING.unit,
            _STANDING.low,
            _STANDING.high,
            health=True,
            when=yes,
        ),
        answered_by=place.words(
            f"{start}answered_by", msg("Answered by"), health=True, when=yes, one_line=True
        ),
        answered_on=place.date(f"{start}answered_on", msg("From"), health=True, when=yes),
    )


def _flag(id: str, label: str) -> FlagFields:
    place = FieldGroup(f"ask.sign.{id}", msg("Red flags"))
    there = place.choice("", label, YesNo, health=True, needed=True)
    return _referral(place, "", there, there.among(YesNo.YES))


other = _referral(_flags, "warning_", other_flag, _other)
"""Another red flag, with its referral."""
flag = {red_flag.id: _flag(red_flag.id, red_flag.label) for red_flag in RED_FLAGS.values()}
"""Every red flag, by name."""

RED_FLAG_PATHS = frozenset(field.id for field in fields_in(other_flag, other, flag))
"""Red flags are asked about, and acted on, with or without consent to notes."""

_hours = FieldGroup("ask", msg("Hours"))
_by_task = FieldGroup("ask.hours", msg("Hours"))
hours = {
    task: _by_task.amount(task, label, "h", 0, 24, needed=task in ("typing", "mouse"))
    for task, label in TASKS.items()
}
"""Hours a day at each task, by name."""
day_hours = _hours.amount(
    "day_hours",
    msg("Total hours at the desk"),
    "h",
    0,
    24,
    help=msg("As the client says; compared with the sum of the tasks."),
)
standing_hours = _hours.amount("standing_hours", msg("Of which standing"), "h", 0, 24)

_hands = FieldGroup("ask", msg("Eyes, hands"))
writing_hand = _hands.choice("writing_hand", msg("Writing hand"), Hand, needed=True)
mouse_hand = _hands.choice("mouse_hand", msg("Mouse hand"), Hand, needed=True, part="mouse")
typing_by = _hands.choice(
    "typing_by", msg("Types by"), TypingBy, help=msg("Looking at the keys bends the neck.")
)
eyewear = _hands.choice("eyewear", msg("Eyewear at the desk"), Eyewear, needed=True)
lower_lens = _hands.choice(
    "lower_lens",
    msg("Reads the screen through the lower part of the lens"),
    YesNo,
    help=msg("Does the chin lift while they read the screen?"),
    when=eyewear.among(Eyewear.BIFOCAL, Eyewear.PROGRESSIVE),
)
_computer = eyewear.among(Eyewear.COMPUTER)
sharp_near = _hands.length(
    "sharp_near",
    msg("Computer glasses: nearest clear distance"),
    200,
    3000,
    when=_computer,
    help=msg("From the eye, as prescribed or tested."),
)
sharp_far = _hands.length(
    "sharp_far", msg("Computer glasses: furthest clear distance"), 200, 3000, when=_computer
)
weight = _hands.amount(
    "weight",
    msg("Body weight"),
    "kg",
    20,
    350,
    health=True,
    help=msg("Only to check what the chair may carry. Leave it blank where nobody needs it."),
)
leans = _hands.choice("leans", msg("Leans to see the screen"), Leans)


def _discomfort(id: str, label: str) -> DiscomfortFields:
    place = FieldGroup(f"ask.discomfort.{id}", msg("Discomfort"))
    return DiscomfortFields(
        strength=place.amount("", label, "", 0, STRONGEST, health=True),
        kind=place.choice("kind", msg("What is it like"), DiscomfortKind, health=True),
        often=place.choice("often", msg("How often"), DiscomfortOften, health=True),
        since=place.words("since", msg("Since when?"), health=True),
        eases=place.words("eases", msg("What helps?"), health=True),
    )


discomfort = {region.id: _discomfort(region.id, region.label) for region in REGIONS.values()}
"""Discomfort in every region of the body chart, by name."""

_shoes = FieldGroup("ask", msg("Shoes"))
shoe_seated = _shoes.length(
    "shoe_seated",
    msg("Heel, seated"),
    0,
    150,
    help=msg("Thickness of shoe under the heel; 0 if barefoot."),
    needed=True,
    part="seat",
)
shoe_standing = _shoes.length("shoe_standing", msg("Heel height, standing"), 0, 150, needed=True)
mat = _shoes.length("mat", msg("Standing mat thickness"), 0, 60, help=msg("0 if there is none."))
