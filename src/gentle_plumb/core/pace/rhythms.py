"""Rhythms to choose from: patterns of sitting, standing and moving, whole minutes. Source: house-rhythm."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..intake import LimitId, PersonLimits

Posture = Literal["sit", "stand", "move"]
Pattern = tuple[tuple[Posture, int], ...]


@dataclass(frozen=True, kw_only=True)
class Rhythm:
    """A pattern that is gone through again and again; ``micro_every`` minutes a short break, 0 none.

    ``sits_else`` marks a pattern that still makes sense where nobody stands: its standing spells are sat.
    ``says_sitting`` is said where nobody stands; ``label_seated`` and ``says_seated`` are for somebody whose weight shifts take the place of going.
    """

    id: str
    label: str
    says: str
    pattern: Pattern
    micro_every: int = 0
    sits_else: bool = False
    says_sitting: str = ""
    label_seated: str = ""
    says_seated: str = ""

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
                return (
                    "Needs a desk that reaches standing height, or a place elsewhere to stand at."
                )
        longest, hourly = person.longest_stand, person.standing_an_hour
        too_long = longest is not None and self.longest_stand > longest
        if self.longest_stand and (too_long or (hourly and self.standing_an_hour > hourly)):
            short = person.held(LimitId.SHORT_STANDING)
            return short.reason if short is not None else None
        return None


def _cycle(sit: int, stand: int, move: int) -> Pattern:
    spells: tuple[tuple[Posture, int], ...] = (("sit", sit), ("stand", stand), ("move", move))
    return tuple(spell for spell in spells if spell[1])


RHYTHMS: dict[str, Rhythm] = {
    rhythm.id: rhythm
    for rhythm in (
        Rhythm(
            id="sit20_stand8_move2",
            label="20 sit · 8 stand · 2 move",
            pattern=_cycle(20, 8, 2),
            says="On your feet twice an hour, with a few steps each time.",
        ),
        Rhythm(
            id="sit50_stand8_move2",
            label="50 sit · 8 stand · 2 move",
            pattern=_cycle(50, 8, 2),
            says="On your feet once an hour, for people new to standing at work.",
        ),
        Rhythm(
            id="sit40_stand20",
            label="40 sit · 20 stand",
            pattern=_cycle(40, 20, 0),
            says="Fewer changes, for work that needs concentration.",
        ),
        Rhythm(
            id="sit30_stand30",
            label="30 sit · 30 stand",
            pattern=_cycle(30, 30, 0),
            says="Half sitting, half standing, for people used to it.",
        ),
        Rhythm(
            id="work25_move4",
            label="25 work · 4 move",
            pattern=_cycle(25, 0, 4),
            says="A short walk after each stretch of work.",
            says_seated="After each stretch of work: lean, lift, roll a little way, reach.",
        ),
        Rhythm(
            id="micro15_walk_hourly",
            label="57 work · 3 walk, with micro-breaks",
            pattern=_cycle(57, 0, 3),
            micro_every=15,
            says="A 30-second break every 15 minutes and a short walk every hour.",
            label_seated="57 work · 3 move, short breaks",
            says_seated="Half a minute's break each quarter of an hour; each hour lean, lift and roll.",
        ),
        Rhythm(
            id="blocks_2h",
            label="Two-hour blocks",
            pattern=(("sit", 112), ("move", 8), ("stand", 112), ("move", 8)),
            sits_else=True,
            says="For long tasks, one block sitting and one standing in turn; the walk after each has to "
            "be kept.",
            says_sitting="For long tasks; the walk after each has to be kept.",
            says_seated="For long tasks; the weight shifts after each have to be kept.",
        ),
        Rhythm(
            id="up_every_30",
            label="Up every 30 min",
            pattern=_cycle(29, 0, 1),
            says="Get up and go a few steps every half hour: the minimum.",
            label_seated="Shift weight every 30 min",
            says_seated="Shift your weight every half hour: lean, lift, roll or reach. That is the minimum.",
        ),
    )
}
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
    parts = [f"{sit} sit"] + [f"{n} {word}" for n, word in ((stand, "stand"), (move, "move")) if n]
    return Rhythm(
        id=OWN,
        label=" · ".join(parts),
        pattern=_cycle(sit, stand, move) or (("sit", 30),),
        says="Your own numbers.",
        sits_else=True,
    )


def proposed_rhythm(chosen: str, person: PersonLimits, *, desk_stands: bool) -> str:
    """The rhythm to propose: the practice's, if it can be kept here; else the usual one."""
    for id in (chosen, WITH_STANDING, ONCE_AN_HOUR):
        rhythm = RHYTHMS.get(id)
        if rhythm is not None and rhythm.barred_by(person, desk_stands=desk_stands) is None:
            return rhythm.id
    return WITHOUT_STANDING
