"""Rhythms to choose from: patterns of sitting, standing and moving, whole minutes. Source: house-rhythm."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..intake import LimitId, PersonLimits
from ..language import Words, filled, joined, msg
from ..tables import entries_of

Posture = Literal["sit", "stand", "move"]
Pattern = tuple[tuple[Posture, int], ...]


@dataclass(frozen=True, kw_only=True)
class Rhythm:
    """A pattern that is gone through again and again; ``micro_every`` minutes a short break, 0 none.

    ``sits_else`` marks a pattern that still makes sense where nobody stands: its standing spells are sat.
    ``says_sitting`` is said where nobody stands; ``label_seated`` and ``says_seated`` are for somebody whose weight shifts take the place of going.
    """

    id: str
    label: Words
    says: Words
    pattern: Pattern
    micro_every: int = 0
    sits_else: bool = False
    says_sitting: Words = ""
    label_seated: Words = ""
    says_seated: Words = ""

    @property
    def longest_stand(self) -> int:
        """Its longest spell of standing, minutes."""
        return max((minutes for posture, minutes in self.pattern if posture == "stand"), default=0)

    @property
    def standing_an_hour(self) -> int:
        """Standing in an hour of it, minutes; of a longer pattern in the hour with most."""
        whole = sum(minutes for _, minutes in self.pattern)
        stands = sum(minutes for posture, minutes in self.pattern if posture == "stand")
        return min(60, max(self.longest_stand, round(60 * stands / whole)))

    @property
    def needs_standing(self) -> bool:
        """Whether it makes no sense without standing."""
        return self.longest_stand > 0 and not self.sits_else

    def words_for(self, *, walks: bool, stands: bool = True) -> tuple[str, str]:
        """Label and sentence for a client, by whether they walk and stand at work."""
        if walks:
            return self.label, self.says if stands else self.says_sitting or self.says
        return self.label_seated or self.label, self.says_seated or self.says

    def barred_by(self, person: PersonLimits, *, desk_stands: bool) -> str | None:
        """Return why a client can't keep it, in a sentence; None where they can."""
        if self.needs_standing:
            barred = person.against_standing
            if barred is not None:
                return barred.reason
            if not desk_stands:
                return msg("Needs a desk that reaches standing height, or somewhere else to stand.")
        longest, hourly = person.longest_stand, person.standing_an_hour
        too_long = longest is not None and self.longest_stand > longest
        if self.longest_stand and (too_long or (hourly and self.standing_an_hour > hourly)):
            short = person.held(LimitId.SHORT_STANDING)
            return short.reason if short is not None else None
        return None


def _cycle(sit: int, stand: int, move: int) -> Pattern:
    spells: tuple[tuple[Posture, int], ...] = (("sit", sit), ("stand", stand), ("move", move))
    return tuple(spell for spell in spells if spell[1])


RHYTHMS: dict[str, Rhythm] = entries_of(Rhythm, __package__, "rhythms.toml")
"""Every rhythm, by school, in the order in which they are offered."""

OWN = "own"
"""The rhythm made of the practitioner's own numbers."""
WITH_STANDING, ONCE_AN_HOUR, WITHOUT_STANDING = (
    "sit20_stand8_move2",
    "sit50_stand8_move2",
    "up_every_30",
)
"""What is proposed where nobody has chosen: with a place to stand at, for little standing, and without.

Source: house-rhythm.
"""


def own_rhythm(sit: int, stand: int, move: int) -> Rhythm:
    """Return the rhythm of somebody's own numbers, minutes."""
    parts = [msg("{sit} sit", sit=sit)] + [
        filled("{n} {word}", n=n, word=word)
        for n, word in ((stand, msg("stand")), (move, msg("move")))
        if n
    ]
    return Rhythm(
        id=OWN,
        label=joined(" · ", parts),
        pattern=_cycle(sit, stand, move) or (("sit", 30),),
        says=msg("Your own numbers."),
        sits_else=True,
    )


def proposed_rhythm(chosen: str, person: PersonLimits, *, desk_stands: bool) -> str:
    """The rhythm to propose: the practice's, if it can be kept here; else the usual one."""
    for id in (chosen, WITH_STANDING, ONCE_AN_HOUR):
        rhythm = RHYTHMS.get(id)
        if rhythm is not None and rhythm.barred_by(person, desk_stands=desk_stands) is None:
            return rhythm.id
    return WITHOUT_STANDING
