"""What is asked of a red flag: whether it is there, the referral, and what the clinician answered."""

from __future__ import annotations

from dataclasses import dataclass

from ...choices import Choice, YesNo
from ...language import msg
from .field import Field


class OtherFlag(Choice):
    """Whether there is a red flag beside those that are asked about."""

    NONE = "none", msg("No other")
    CLINICIAN = "clinician", msg("Yes: clinician first")
    URGENT = "urgent", msg("Yes: care now")


class CalledBack(Choice):
    """What a call back came to."""

    WENT = "went", msg("They went")
    NOT_YET = "not_yet", msg("Not yet")
    UNREACHED = "unreached", msg("Not reached")


class ClinicianSays(Choice):
    """What the clinician answered to a referral."""

    CLEARED = "cleared", msg("May go on as planned")
    LIMITED = "limited", msg("May go on within limits")
    WAIT = "wait", msg("Not yet")


@dataclass(frozen=True, eq=False)
class FlagFields:
    """One red flag: whether it is there, the referral, and what the clinician answered, by whom and when.

    ``standing`` is how long, in each hour, they allow.

    ``to`` is whom the client was sent to, ``done`` what was done and told, ``by`` who did it; ``letter`` whether
    one was handed over, ``call_back`` the day on which it is asked whether they went, ``called`` what was said then.
    """

    there: Field[YesNo]
    to: Field[str]
    done: Field[str]
    by: Field[str]
    letter: Field[YesNo]
    call_back: Field[str]
    called: Field[CalledBack]
    answer: Field[ClinicianSays]
    standing: Field[float]
    answered_by: Field[str]
    answered_on: Field[str]
