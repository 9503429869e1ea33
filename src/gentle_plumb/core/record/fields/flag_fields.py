"""What is asked of a red flag: whether it is there, the referral, and what the clinician answered."""

from __future__ import annotations

from dataclasses import dataclass

from ...choices import Choice, YesNo
from .field import Field


class OtherFlag(Choice):
    """Whether there is a red flag beside those that are asked about."""

    NONE = "none", "No other"
    CLINICIAN = "clinician", "Yes: clinician first"
    URGENT = "urgent", "Yes: care now"


class CalledBack(Choice):
    """What a call back came to."""

    WENT = "went", "They went"
    NOT_YET = "not_yet", "Not yet"
    UNREACHED = "unreached", "Not reached"


class ClinicianSays(Choice):
    """What the clinician answered to a referral."""

    CLEARED = "cleared", "May go on as planned"
    LIMITED = "limited", "May go on within limits"
    WAIT = "wait", "Not yet"


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
