"""Rhythms to choose from, and what one makes of a working day."""

from __future__ import annotations

from dataclasses import dataclass

from ..errors import ValueOutOfRange

LONGEST_DAY_H = 24.0


@dataclass(frozen=True, kw_only=True)
class Rhythm:
    """A pattern in minutes; ``micro_every`` is a 30-second break each so many minutes, 0 none.

    ``label_seated`` and ``says_seated`` are for somebody who stays seated: lean, lift, roll, reach.

    Source: house-rhythm.
    """

    id: str
    label: str
    says: str
    sit: float
    stand: float
    move: float
    micro_every: float = 0.0
    label_seated: str = ""
    says_seated: str = ""

    @property
    def cycle(self) -> float:
        """Length of one round, minutes."""
        return self.sit + self.stand + self.move

    @property
    def stands(self) -> bool:
        """Whether it needs a surface to stand at."""
        return self.stand > 0

    def words_for(self, *, walks: bool) -> tuple[str, str]:
        """Label and sentence for a client; for somebody who doesn't walk, with other movement."""
        return (self.label, self.says) if walks else (self.label_seated, self.says_seated)


RHYTHMS: dict[str, Rhythm] = {
    rhythm.id: rhythm
    for rhythm in (
        Rhythm(
            id="sit20_stand8_move2",
            label="20 sit · 8 stand · 2 move",
            sit=20,
            stand=8,
            move=2,
            says="On your feet twice an hour, with a few steps each time.",
        ),
        Rhythm(
            id="sit40_stand20",
            label="40 sit · 20 stand",
            sit=40,
            stand=20,
            move=0,
            says="Fewer changes, for work that needs concentration.",
        ),
        Rhythm(
            id="sit30_stand30",
            label="30 sit · 30 stand",
            sit=30,
            stand=30,
            move=0,
            says="Half sitting, half standing, for people used to it.",
        ),
        Rhythm(
            id="work25_move4",
            label="25 work · 4 move",
            sit=25,
            stand=0,
            move=4,
            says="A short walk after each stretch of work; no standing desk needed.",
            label_seated="25 work · 4 move",
            says_seated="After each stretch of work: lean, lift, roll a little way, reach.",
        ),
        Rhythm(
            id="micro15_walk_hourly",
            label="57 work · 3 walk, with micro-breaks",
            sit=57,
            stand=0,
            move=3,
            micro_every=15,
            says="A 30-second break every 15 minutes and a short walk every hour.",
            label_seated="57 work · 3 move, short breaks",
            says_seated="Half a minute's break each quarter of an hour; each hour lean, lift and roll.",
        ),
        Rhythm(
            id="blocks_2h",
            label="Two-hour blocks",
            sit=112,
            stand=0,
            move=8,
            says="For long tasks; the walk after each has to be kept.",
            label_seated="Two-hour blocks",
            says_seated="For long tasks; the weight shifts after each have to be kept.",
        ),
        Rhythm(
            id="up_every_30",
            label="Up every 30 min",
            sit=29,
            stand=0,
            move=1,
            says="Stand up briefly every half hour: the minimum.",
            label_seated="Shift every 30",
            says_seated="Each half hour shift the weight: lean, lift, roll, reach; the least there "
            "should be.",
        ),
    )
}


WITH_STANDING, WITHOUT_STANDING = "sit20_stand8_move2", "up_every_30"
"""What is proposed where nobody has chosen: with a desk to stand at, and without. Source: house-rhythm."""


def proposed_rhythm(chosen: str, *, stands: bool) -> str:
    """The rhythm to propose: the one chosen, if it can be kept at this desk; else the usual one."""
    rhythm = RHYTHMS.get(chosen)
    if rhythm is not None and (stands or not rhythm.stands):
        return rhythm.id
    return WITH_STANDING if stands else WITHOUT_STANDING


@dataclass(frozen=True, kw_only=True)
class DayTotals:
    """What a rhythm comes to over the hours at the desk; minutes and counts."""

    sit: float
    stand: float
    move: float
    changes: int
    micro_breaks: int
    longest_sit: float
    longest_stand: float


def day_totals(rhythm: Rhythm, hours: float) -> DayTotals:
    """Lay a rhythm over a day, round after round, the last one cut where the day ends.

    Parameters
    ----------
    rhythm : Rhythm
    hours : float
        Hours at the desk, 0 to 24.

    Returns
    -------
    DayTotals
        The three totals add up to the hours.

    Raises
    ------
    ValueOutOfRange
        If there are less than 0 or more than 24 hours.

    Examples
    --------
    >>> day_totals(RHYTHMS["sit20_stand8_move2"], 8).stand
    128.0

    """
    if not 0 <= hours <= LONGEST_DAY_H:
        raise ValueOutOfRange(
            field="hours",
            value=f"{hours:g}",
            low=0,
            high=LONGEST_DAY_H,
            unit="h",
            message=f"{hours:g} hours at the desk: a day has 0 to 24.",
        )
    left, spent, longest = hours * 60, {"sit": 0.0, "stand": 0.0, "move": 0.0}, dict[str, float]()
    spells = 0
    while left > 1e-9:
        for kind, minutes in (("sit", rhythm.sit), ("stand", rhythm.stand), ("move", rhythm.move)):
            taken = min(minutes, left)
            if taken <= 1e-9:
                continue
            spent[kind] += taken
            longest[kind] = max(longest.get(kind, 0.0), taken)
            left -= taken
            spells += 1
    return DayTotals(
        **spent,
        changes=max(0, spells - 1),
        micro_breaks=int(hours * 60 // rhythm.micro_every) if rhythm.micro_every else 0,
        longest_sit=longest.get("sit", 0.0),
        longest_stand=longest.get("stand", 0.0),
    )
