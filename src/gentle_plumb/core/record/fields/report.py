"""Report: a word to the client, the follow-up, causes and actions in other words, what the workplace is told."""

from __future__ import annotations

from dataclasses import dataclass

from ...choices import Choice, YesNo
from ...language import msg
from .field import Field
from .group import FieldGroup

SHARED = {
    "work": msg("Work and place, as written with the client"),
    "eyes": msg("What is chosen for lenses and eyes"),
    "joints": msg("Angles of the joints"),
    "heights": msg("The person in the drawing, with eye and elbow heights"),
}
"""What the workplace's paper says only where it is ticked."""

_at = FieldGroup("report", msg("Report"))

note = _at.words("note", msg("Message to the client"), health=True)
follow_up = _at.date("follow_up", msg("Follow-up date"), needed=True)


class PaperLanguage(Choice):
    """The language a paper is written in."""

    EN = "en", "English"
    DE = "de", "Deutsch"
    ES = "es", "Español"


client_language = _at.choice(
    "client_language", msg("Language of the client’s report and card"), PaperLanguage
)
workplace_language = _at.choice(
    "workplace_language", msg("Language of the workplace copy"), PaperLanguage
)


class Unconfirmed(Choice):
    """What the client's paper does with findings that nobody has confirmed."""

    MARK = "mark", msg("Marked as not confirmed")
    LEAVE_OUT = "leave_out", msg("Left out")


unconfirmed = _at.choice(
    "unconfirmed", msg("Findings not confirmed, in the client’s report"), Unconfirmed
)

_share = FieldGroup("report.share", msg("Workplace"), "share")
share = {id: _share.choice(id, label, YesNo) for id, label in SHARED.items()}
"""What the workplace's paper may say, by name."""


class TemporaryNow(Choice):
    """What has become of a piece that was there for a time."""

    STILL = "still", msg("Still there")
    REPLACED = "replaced", msg("Replaced")
    GONE = "gone", msg("Gone, nothing in its place")


CAUSES, ACTIONS = "report.cause", "report.action"
"""What the paths of the practitioner's word on a cause, and on an action, begin with."""
MOST_RANK = 40


@dataclass(frozen=True, eq=False)
class CauseFields:
    """How one cause stands on the papers: in whose words, where, and whether the client reads it."""

    words: Field[str]
    rank: Field[float]
    left_out: Field[YesNo]


def cause(id: str) -> CauseFields:
    """Return what is kept of the practitioner's word on one cause."""
    place = FieldGroup(f"{CAUSES}.{id}", msg("Causes"), "causes")
    return CauseFields(
        words=place.words("words", msg("In my words"), health=True),
        rank=place.amount("rank", msg("Place in the order"), "", 1, MOST_RANK),
        left_out=place.choice("left_out", msg("Left out of the client’s report"), YesNo),
    )


REQUESTS = "report.request"
"""What the paths of the workplace's answers to what was asked of it begin with."""


@dataclass(frozen=True, eq=False)
class RequestFields:
    """What the workplace answered to one thing that was asked of it: whether it is done, and a note."""

    done: Field[YesNo]
    note: Field[str]


def request(id: str) -> RequestFields:
    """Return what the workplace answered to one thing that was asked of it; ``id`` as on its paper."""
    place = FieldGroup(f"{REQUESTS}.{id}", msg("Asked of the workplace"), "requests")
    return RequestFields(
        done=place.choice("done", msg("Done by the workplace"), YesNo),
        note=place.words("note", msg("Note of the workplace"), one_line=True, health=True),
    )


requests_by = FieldGroup("report", msg("Asked of the workplace"), "requests").words(
    "requests_by", msg("Workplace’s answers given by"), one_line=True, health=True, noted_only=True
)


def temporary_now(key: str) -> Field[TemporaryNow]:
    """Return the field of what has become of a piece that was there for a time; ``key`` as in the practitioner's own plan."""
    return FieldGroup(f"look.temporary.{key}", msg("For a time only"), "walk").choice(
        "now", msg("What has become of it"), TemporaryNow
    )


def action_words(field: str) -> Field[str]:
    """Return the field of the practitioner's words for one action; ``field`` as in its path of Set."""
    return FieldGroup(f"{ACTIONS}.{field}", msg("Actions"), "causes").words(
        "words", msg("In my words"), health=True
    )
