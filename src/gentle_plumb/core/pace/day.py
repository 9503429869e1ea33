"""A working day laid out: a rhythm over its hours, around lunch and fixed meetings; whole minutes.

Exact and deterministic: spells follow on one another without a gap, and their minutes add up to the day.
Source: house-rhythm.
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace

from ..errors import ValueOutOfRange
from ..language import msg, numeral
from .filling import with_tasks
from .rhythms import Pattern, Posture
from .spell import Fixed, Spell, clock
from .tasks import TaskDay

LONGEST_DAY_MIN, HOUR_MIN = 24 * 60, 60
LEAST_SPELL_MIN = 3
"""What is left of a window under this is no spell of its own: it is added to the one before. House value."""
FIRST_SPELL_MIN, FIRST_SPELLS = 15, 2
"""Standing in the first week of getting used to it: twice 15 minutes a day."""


@dataclass(frozen=True, kw_only=True)
class DayRequest:
    """What a day is made of.

    Parameters
    ----------
    start : int
        Minutes after midnight.
    tasks : tuple of TaskDay
        What is done, whole minutes each; they make the length of the day.
    pattern : Pattern
        The rhythm.
    fixed : tuple of Fixed
        Lunch and meetings; what overlaps an earlier one begins at its end.
    stands : bool
        Whether anything is done standing.
    longest_stand : int or None
        Longest spell of standing, minutes; None where nothing limits it.
    stand_an_hour : int or None
        Most standing in any hour, minutes; None where nothing limits it.
    most_standing : int or None
        Standing of the whole day while somebody gets used to it; None: all of it.
    walk_every, walk_minutes : int
        A longer walk each so many minutes of work; 0 none.

    """

    start: int
    tasks: tuple[TaskDay, ...]
    pattern: Pattern
    fixed: tuple[Fixed, ...] = ()
    stands: bool = True
    longest_stand: int | None = None
    stand_an_hour: int | None = None
    most_standing: int | None = None
    walk_every: int = 0
    walk_minutes: int = 0

    @property
    def work(self) -> int:
        """Minutes of work; meetings count as part of the tasks they are."""
        return sum(task.minutes for task in self.tasks)


def lay_day(asked: DayRequest) -> tuple[Spell, ...]:
    """Return the day, spell by spell.

    Raises
    ------
    ValueOutOfRange
        Where the day would not end before midnight.

    """
    fixed, end = _in_order(asked)
    if end > LONGEST_DAY_MIN:
        raise ValueOutOfRange(
            field="start",
            value=clock(asked.start),
            low=0,
            high=LONGEST_DAY_MIN - (end - asked.start),
            unit="",
            message=msg(
                "Start: from {start} the day of {work} h would end after midnight; {longest_day_min} is the latest.",
                start=clock(asked.start),
                work=numeral(f"{asked.work / 60:g}"),
                longest_day_min=clock(LONGEST_DAY_MIN - (end - asked.start)),
            ),
        )
    spells: list[Spell] = []
    index = asked.start
    for break_ in (*fixed, None):
        until = end if break_ is None else min(break_.at, end)
        spells += _window(asked, index, until, spells[-1] if spells else None)
        if break_ is not None and break_.at < end:
            kept = replace(break_, minutes=min(break_.minutes, end - break_.at))
            posture = kept.posture if kept.posture != "stand" or asked.stands else "sit"
            spells.append(Spell(at=kept.at, minutes=kept.minutes, posture=posture, fixed=kept))
            index = kept.end
    return with_tasks(asked.tasks, _within(asked, spells))


def _in_order(asked: DayRequest) -> tuple[list[Fixed], int]:
    """Return what lies fast, one after the other from the start of the day, and when the day ends."""
    found: list[Fixed] = []
    end = asked.start + asked.work
    for fixed in sorted(asked.fixed, key=lambda fixed: (fixed.at, not fixed.lunch)):
        index = max(fixed.at, found[-1].end if found else asked.start)
        if fixed.minutes > 0 and index < end:
            found.append(replace(fixed, at=index))
            end += fixed.minutes if fixed.lunch else 0
    return found, end


def _window(asked: DayRequest, index: int, until: int, before: Spell | None) -> Iterator[Spell]:
    """Yield the rhythm over a free stretch of the day.

    It begins anew in each; after a meeting with what the meeting was not.
    """
    pattern = asked.pattern
    if before is not None and not before.lunch:
        other = [k for k, (posture, _) in enumerate(pattern) if posture != before.posture]
        pattern = pattern[other[0] :] + pattern[: other[0]] if other else pattern
    since_walk = 0
    while index < until:
        for posture, minutes in pattern:
            walk = asked.walk_every and since_walk >= asked.walk_every
            spells: list[tuple[Posture, int]] = [(posture, minutes)]
            walking: tuple[Posture, int] = ("move", asked.walk_minutes)
            if walk:
                spells = [walking, *([] if posture == "move" else spells)]
                since_walk = 0
            for kind, length in spells:
                left = until - index
                if left <= 0:
                    return
                taken = left if left - length < LEAST_SPELL_MIN else length
                yield Spell(at=index, minutes=taken, posture=kind)
                index += taken
                since_walk += taken


def _within(asked: DayRequest, spells: Sequence[Spell]) -> list[Spell]:
    """Return the day with no more standing than there may be, spread evenly over it."""
    longest = asked.longest_stand if asked.stands else 0
    spells = list(_short_enough(spells, longest))
    if asked.stand_an_hour is not None:
        spells = list(_within_each_hour(spells, asked.stand_an_hour))
    standing = [index for index, spell in enumerate(spells) if spell.posture == "stand"]
    able = sum(task.minutes for task in asked.tasks if task.may_stand)
    most = able if asked.most_standing is None else min(able, asked.most_standing)
    kept = _spread(spells, standing, most)
    found: list[Spell] = []
    for index, spell in enumerate(spells):
        if spell.posture != "stand" or index in kept:
            found.append(spell)
            continue
        follows = spells[index + 1] if index + 1 < len(spells) else None
        found += _sat(spell, follows, moves=dict(asked.pattern).get("move", 0))
    return _joined(found)


def _sat(spell: Spell, follows: Spell | None, *, moves: int) -> list[Spell]:
    """Return a standing spell sat instead; its last minutes are moved where it runs into a seated meeting."""
    sat = replace(spell, posture="sit")
    into = follows is not None and follows.fixed is not None and follows.posture == "sit"
    if not into or (follows is not None and follows.lunch) or not 0 < moves < spell.minutes:
        return [sat]
    rest = spell.minutes - moves
    return [
        replace(sat, minutes=rest),
        replace(spell, at=spell.at + rest, minutes=moves, posture="move"),
    ]


def _short_enough(spells: Sequence[Spell], longest: int | None) -> Iterator[Spell]:
    """Yield the spells with standing no longer at a stretch than it may be; the rest of it is sat."""
    stood = 0
    for spell in spells:
        if spell.posture != "stand" or longest is None:
            stood = 0
            yield spell
            continue
        stays = min(spell.minutes, longest - stood)
        stood += stays
        if stays:
            yield replace(spell, minutes=stays)
        if stays < spell.minutes:
            stood = 0
            yield replace(spell, at=spell.at + stays, minutes=spell.minutes - stays, posture="sit")


def _within_each_hour(spells: Sequence[Spell], most: int) -> Iterator[Spell]:
    """Yield the spells with no more standing in any sixty minutes than there may be; the rest of it is sat."""
    stood: list[int] = []
    for spell in spells:
        if spell.posture != "stand":
            yield spell
            continue
        first = spell.at
        while first < spell.end and sum(minute > first - HOUR_MIN for minute in stood) >= most:
            first += 1
        recent = sum(minute > first - HOUR_MIN for minute in stood)
        stays = min(spell.end - first, most - recent)
        if stays < LEAST_SPELL_MIN:
            yield replace(spell, posture="sit")
            continue
        if first > spell.at:
            yield replace(spell, minutes=first - spell.at, posture="sit")
        stood += range(first, first + stays)
        yield replace(spell, at=first, minutes=stays)
        if first + stays < spell.end:
            yield replace(spell, at=first + stays, minutes=spell.end - first - stays, posture="sit")


def _spread(spells: Sequence[Spell], standing: Sequence[int], most: int) -> set[int]:
    """Return which standing spells are kept: evenly over the day, no more minutes than ``most``."""
    for count in range(len(standing), 0, -1):
        chosen = [standing[(2 * k + 1) * len(standing) // (2 * count)] for k in range(count)]
        if sum(spells[index].minutes for index in chosen) <= most:
            return set(chosen)
    return set()


def _joined(spells: Sequence[Spell]) -> list[Spell]:
    """Return the spells with neighbours of one posture as one; what lies fast stays by itself."""
    found: list[Spell] = []
    for spell in spells:
        last = found[-1] if found else None
        same = last is not None and last.fixed is None and spell.fixed is None
        if last is not None and same and last.posture == spell.posture:
            found[-1] = replace(last, minutes=last.minutes + spell.minutes)
        else:
            found.append(spell)
    return found
