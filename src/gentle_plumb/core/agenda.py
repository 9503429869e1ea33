"""Times of a day: which appointments clash, and where one more fits. Minutes count from midnight on the wall clock."""

from __future__ import annotations

from collections.abc import Hashable, Iterable, Iterator, Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from typing import Literal

STEP = 15
"""Appointments are offered and moved in steps of so many minutes. House value."""
DAY = 24 * 60

Clash = Literal["member", "room", "client"]
"""Who or what would be in two places at once."""


@dataclass(frozen=True, kw_only=True)
class Slot:
    """A time that somebody has taken: whose, where, with whom. ``room`` is empty where it is in no room."""

    key: Hashable
    on: date
    at: int
    minutes: int
    member: Hashable
    client: Hashable
    room: str = ""

    @property
    def ends(self) -> int:
        """When it is over; past midnight more than a day's minutes."""
        return self.at + self.minutes

    def meets(self, other: Slot) -> bool:
        """Whether they share some time."""
        later = (other.on - self.on).days * DAY
        return self.at < later + other.ends and later + other.at < self.ends

    def clashes_with(self, other: Slot) -> list[Clash]:
        """What would be in two places at once; nothing where they don't meet."""
        if not self.meets(other):
            return []
        same: list[tuple[Clash, bool]] = [
            ("member", self.member == other.member),
            ("room", bool(self.room) and self.room.casefold() == other.room.casefold()),
            ("client", self.client == other.client),
        ]
        return [clash for clash, is_same in same if is_same]


def clashes(slots: Sequence[Slot]) -> dict[Hashable, list[tuple[Clash, Slot]]]:
    """Return for each slot that clashes what with which other, in the order of the day."""
    result: dict[Hashable, list[tuple[Clash, Slot]]] = {}
    ordered = sorted(slots, key=lambda slot: (slot.on, slot.at))
    for index, slot in enumerate(ordered):
        for other in ordered[index + 1 :]:
            if other.on > slot.on + timedelta(days=1) or (
                other.on == slot.on and other.at >= slot.ends
            ):
                break
            for clash in slot.clashes_with(other):
                result.setdefault(slot.key, []).append((clash, other))
                result.setdefault(other.key, []).append((clash, slot))
    return result


def free_starts(
    taken: Iterable[Slot], day: date, *, opens: int, closes: int, minutes: int, after: int = 0
) -> Iterator[int]:
    """Yield the first time of each gap in a day that so many minutes fit into, in steps of a quarter of an hour.

    Parameters
    ----------
    taken : iterable of Slot
        What is taken on the day and around it.
    day : date
    opens, closes : int
        When the practice opens and closes, minutes after midnight.
    minutes : int
        How long it is to be.
    after : int
        Nothing before this minute: today, the time is already past.

    """
    spans = sorted(
        ((slot.on - day).days * DAY + slot.at, (slot.on - day).days * DAY + slot.ends)
        for slot in taken
    )
    free_from = max(opens, after)
    for starts, ends in [*spans, (closes, closes)]:
        start = -(-free_from // STEP) * STEP
        if start + minutes <= min(starts, closes):
            yield start
        free_from = max(free_from, ends)
