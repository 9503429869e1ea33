"""Limits of the person: what their precautions keep out of every plan, rhythm and paper.

One place that pace, plans, findings and papers ask. A limit holds until the treating clinician has
lifted it, which is recorded with who and when. Sources: house-care.
"""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import dataclass

from .precautions import PRECAUTIONS

NO_STANDING = ("dizziness", "surgery")
"""No standing plan at all before it is cleared."""
NO_STANDING_STILL = ("veins", "pregnancy")
"""Standing only with moving and in short spells; a plan of standing waits for the clinician."""


@dataclass(frozen=True, kw_only=True)
class PersonLimits:
    """What binds for one person.

    ``stands`` False: nothing is planned standing, and nobody is told to stand or walk where
    ``walks`` is False. ``own_seat``: their seating is theirs and never moved. ``steady_seat``: no
    stool, ball or high chair. ``because`` are the labels of the precautions, for the practitioner;
    ``at_work`` says what is left undone without the reason.
    """

    stands: bool = True
    walks: bool = True
    own_seat: bool = False
    steady_seat: bool = False
    because: tuple[str, ...] = ()
    ask: str = ""

    @property
    def at_work(self) -> tuple[str, ...]:
        """What is left undone, for the workplace: never why."""
        barred = not self.stands and not self.own_seat
        return ("No standing work until we confirm it.",) if barred else ()


def person_limits(held: Collection[str], *, wheelchair: bool = False) -> PersonLimits:
    """Return the limits that precautions and a wheelchair make.

    Parameters
    ----------
    held : collection of str
        The precautions that hold: recorded, and not cleared by a clinician.
    wheelchair : bool
        Whether the client sits in one, as the pieces say.

    """
    wheels = wheelchair or "wheelchair" in held
    barred = [id for id in (*NO_STANDING, *NO_STANDING_STILL) if id in held]
    if wheels:
        barred.insert(0, "wheelchair")
    steady = [id for id in ("dizziness", "osteoporosis", "surgery", "replacement") if id in held]
    return PersonLimits(
        stands=not barred,
        walks=not wheels,
        own_seat=wheels,
        steady_seat=bool(steady) or wheels,
        because=tuple(PRECAUTIONS[id].label for id in barred),
        ask=PRECAUTIONS[barred[0]].ask if barred else "",
    )
