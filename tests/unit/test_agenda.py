"""Times of a day: what clashes, and what is free."""

from __future__ import annotations

from datetime import date, timedelta
from itertools import combinations

from hypothesis import given
from hypothesis import strategies as st

from gentle_plumb.core.agenda import STEP, Slot, clashes, free_starts

DAY = date(2026, 12, 3)


def slot(key: int, at: int, minutes: int, *, on: date = DAY, **more: str) -> Slot:
    about = {"member": "Ines", "client": f"client {key}", "room": "", **more}
    return Slot(key=key, on=on, at=at, minutes=minutes, **about)


def test_people_rooms_and_clients_are_in_one_place_at_a_time():
    lines = [
        slot(1, 540, 60, room="Room 2"),
        slot(2, 570, 30, member="Tomas", room="room 2"),
        slot(3, 600, 30),  # begins when the first ends
        slot(4, 605, 10, member="Tomas", client="client 3"),
    ]
    found = {key: [clash for clash, _ in what] for key, what in clashes(lines).items()}
    assert found == {1: ["room"], 2: ["room"], 3: ["client"], 4: ["client"]}


def test_a_call_past_midnight_clashes_with_the_morning_after():
    late, early = slot(1, 1430, 30), slot(2, 10, 15, on=DAY + timedelta(days=1))
    assert [clash for clash, _ in clashes([early, late])[2]] == ["member"]


SLOTS = st.lists(
    st.builds(
        lambda at, minutes, member, day: (at, minutes, member, day),
        st.integers(0, 1439),
        st.integers(5, 400),
        st.sampled_from(["Ines", "Tomas"]),
        st.integers(0, 2),
    ),
    max_size=8,
)


@given(SLOTS)
def test_clashes_are_those_of_every_pair(times):
    lines = [
        slot(key, at, minutes, member=member, on=DAY + timedelta(days=day))
        for key, (at, minutes, member, day) in enumerate(times)
    ]
    wanted = {frozenset((a.key, b.key)) for a, b in combinations(lines, 2) if a.clashes_with(b)}
    found = clashes(lines)
    assert {frozenset((key, other.key)) for key in found for _, other in found[key]} == wanted


@given(SLOTS, st.integers(5, 120), st.integers(0, 1439))
def test_a_free_time_is_free_and_within_the_hours(times, minutes, after):
    lines = [
        slot(key, at, length, on=DAY + timedelta(days=day - 1))
        for key, (at, length, _, day) in enumerate(times)
    ]
    for start in free_starts(lines, DAY, opens=480, closes=1080, minutes=minutes, after=after):
        assert start % STEP == 0
        assert max(480, after) <= start
        assert start + minutes <= 1080
        mine = slot(99, start, minutes)
        assert not any(mine.meets(line) for line in lines)


def test_free_times_are_the_first_of_each_gap():
    taken = [slot(1, 480, 50), slot(2, 600, 60)]
    free = free_starts(taken, DAY, opens=480, closes=1080, minutes=45)
    assert list(free) == [540, 660]
    assert list(free_starts(taken, DAY, opens=480, closes=1080, minutes=500)) == []
