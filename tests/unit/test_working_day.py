"""A working day: exact, within its limits, and as long as the work it is made of."""

from dataclasses import replace
from itertools import pairwise

import pytest
from hypothesis import given
from hypothesis import strategies as st

from gentle_plumb.core.catalogue import TASKS
from gentle_plumb.core.drawing import draw_day
from gentle_plumb.core.errors import UnreadableValue, ValueOutOfRange
from gentle_plumb.core.fit import Case
from gentle_plumb.core.intake import person_limits
from gentle_plumb.core.pace import (
    RHYTHMS,
    DayRequest,
    Fixed,
    TaskPosture,
    eye_breaks,
    lay_day,
    lay_week,
    own_rhythm,
    ramp_weeks,
    task_day,
    totals_of,
)
from gentle_plumb.core.presentation import day_view, rhythm_views
from gentle_plumb.core.record import FIELDS, Record, read_typed
from gentle_plumb.core.visit import working_day
from strategies import mean_body

HOURS = {"typing": 2.5, "mouse": 1.5, "reading": 1.0, "calls": 1.0, "thinking": 1.5}
LUNCH = Fixed(at=750, minutes=30, lunch=True)


def asked(**more):
    tasks = tuple(task_day(id, hours, None, stands=True) for id, hours in HOURS.items())
    plain = DayRequest(
        start=540, tasks=tasks, pattern=RHYTHMS["sit20_stand8_move2"].pattern, fixed=(LUNCH,)
    )
    return replace(plain, **more)


days = st.builds(
    DayRequest,
    start=st.integers(0, 540),
    tasks=st.lists(st.sampled_from(sorted(TASKS)), min_size=1, max_size=6, unique=True).flatmap(
        lambda ids: st.tuples(
            *(
                st.builds(
                    task_day,
                    st.just(id),
                    st.sampled_from((0.25, 0.5, 1.0, 2.0)),
                    st.sampled_from((None, *TaskPosture)),
                    stands=st.booleans(),
                )
                for id in ids
            )
        )
    ),
    pattern=st.one_of(
        st.sampled_from([rhythm.pattern for rhythm in RHYTHMS.values()]),
        st.builds(own_rhythm, st.integers(5, 90), st.integers(0, 60), st.integers(0, 20)).map(
            lambda one: one.pattern
        ),
    ),
    fixed=st.lists(
        st.builds(
            Fixed,
            at=st.integers(0, 1200),
            minutes=st.integers(0, 120),
            posture=st.sampled_from(("sit", "stand", "move")),
            lunch=st.booleans(),
            own=st.booleans(),
        ),
        max_size=3,
    ).map(tuple),
    stands=st.booleans(),
    longest_stand=st.sampled_from((None, 0, 10, 20)),
    most_standing=st.sampled_from((None, 0, 30, 90)),
    walk_every=st.sampled_from((0, 60, 120)),
    walk_minutes=st.just(3),
)


@given(days)
def test_spells_follow_on_one_another_and_add_up_to_the_work(request):
    spells = lay_day(request)
    assert spells[0].at == request.start
    assert all(spell.minutes > 0 for spell in spells)
    assert all(before.end == after.at for before, after in pairwise(spells))
    totals = totals_of(spells)
    assert totals.sit + totals.stand + totals.move == request.work
    done = dict.fromkeys(TASKS, 0)
    for spell in spells:
        assert sum(minutes for _, minutes in spell.tasks) <= spell.minutes
        for id, minutes in spell.tasks:
            done[id] += minutes
    assert all(done[task.id] <= task.minutes for task in request.tasks)
    able = sum(task.minutes for task in request.tasks if task.may_stand)
    assert totals.stand <= min(
        able, request.most_standing if request.most_standing is not None else 1440
    )
    if request.longest_stand is not None or not request.stands:
        assert totals.longest_stand <= (request.longest_stand or 0 if request.stands else 0)
    assert lay_day(replace(request)) == spells


def test_a_day_that_would_end_after_midnight_names_the_latest_start():
    with pytest.raises(ValueOutOfRange, match="16:00 is the latest"):
        lay_day(asked(start=20 * 60, fixed=(replace(LUNCH, at=1230),)))


def test_a_day_by_hand():
    spells = lay_day(asked())
    assert [(spell.at, spell.minutes, spell.posture) for spell in spells[:4]] == [
        (540, 20, "sit"),
        (560, 8, "stand"),
        (568, 2, "move"),
        (570, 20, "sit"),
    ]
    totals = totals_of(spells, micro_every=15)
    assert (totals.sit, totals.stand, totals.move) == (300, 124, 26)
    assert (totals.longest_sit, totals.longest_stand) == (20, 10)
    assert spells[-1].end == 17 * 60
    assert [id for id, _ in spells[1].tasks] == ["calls"]  # what suits standing goes there first
    after_meeting = lay_day(asked(fixed=(LUNCH, Fixed(at=600, minutes=45))))
    meeting = next(at for at, one in enumerate(after_meeting) if one.fixed and not one.lunch)
    assert after_meeting[meeting + 1].posture == "stand"


def test_eyes_rest_while_one_moves_and_calls_do_not_tire_them():
    spells = lay_day(asked(pattern=RHYTHMS["micro15_walk_hourly"].pattern))
    assert eye_breaks(spells, 20)[:3] == [560, 580, 620]  # the walk at 9:57 begins anew
    calls = (task_day("calls", 4, None, stands=True),)
    assert eye_breaks(lay_day(asked(tasks=calls)), 20) == []


def test_the_weeks_of_getting_used_to_standing_grow_to_the_whole_day():
    spells = lay_day(asked())
    weeks = ramp_weeks(totals_of(spells).stand, 4, 8)
    stood = [totals_of(lay_week(asked(), week)).stand for week in weeks]
    assert stood == sorted(stood)
    assert all(0 < minutes <= week.stand for minutes, week in zip(stood, weeks, strict=True))
    assert stood[0] <= 30 < stood[-1] < totals_of(spells).stand


def laid(held=(), *, desk_stands=True, **entries):
    person = person_limits({id: {} for id in held})
    hours = {f"ask.hours.{id}": value for id, value in HOURS.items()}
    record = Record(
        hours | {f"pace.{name.replace('__', '.')}": value for name, value in entries.items()}
    )
    case = Case(body=mean_body(), person=person)
    return working_day(record, case, desk_stands=desk_stands), person


def test_limits_bind_the_day_whatever_was_chosen():
    for held, most in ((("dizziness",), 0), (("wheelchair",), 0), (("veins",), 10)):
        for rhythm in (*RHYTHMS, "own"):
            day, person = laid(
                held,
                rhythm=rhythm,
                sit=20.0,
                stand=60.0,
                task__calls="stand",
                meeting1__at=600.0,
                meeting1__minutes=45.0,
                meeting1__posture="stand",
            )
            assert day.totals.longest_stand <= most, (held, rhythm)
            said = day_view(day, person)
            words = " ".join(
                [said.says, *said.tips, *(spell.label for spell in said.spells)]
            ).lower()
            if held == ("wheelchair",):
                assert not {"walk", "stand", "rise", "up"} & set(words.replace(".", " ").split())
            for rhythm_view in rhythm_views(day, person):
                assert rhythm_view.possible or rhythm_view.why_not
                assert not rhythm_view.possible or rhythm_view.totals.longest_stand <= most


@given(
    st.sampled_from([rhythm for rhythm in RHYTHMS.values() if rhythm.longest_stand]),
    st.integers(1, 60),
    st.integers(0, 23),
)
def test_no_hour_holds_more_standing_than_a_clinician_allowed(rhythm, most, begins):
    meeting = Fixed(at=540 + 11 * begins, minutes=45, posture="stand")
    spells = lay_day(asked(pattern=rhythm.pattern, fixed=(LUNCH, meeting), stand_an_hour=most))
    stood = [
        at for spell in spells if spell.posture == "stand" for at in range(spell.at, spell.end)
    ]
    assert all(sum(at <= other < at + 60 for other in stood) <= most for at in stood)
    assert spells[-1].end == lay_day(asked(fixed=(LUNCH, meeting)))[-1].end


def own_spell(id, at, minutes, posture):
    return {
        f"spell__{id}__{name}": value
        for name, value in (("at", at), ("minutes", minutes), ("posture", posture))
    }


def test_a_spell_put_by_hand_lies_where_it_was_put_and_the_rhythm_goes_on_around_it():
    plain, _ = laid(rhythm="sit20_stand8_move2")
    day, person = laid(rhythm="sit20_stand8_move2", **own_spell("noon", 615.0, 25.0, "stand"))
    mine = next(spell for spell in day.spells if spell.at == 615)
    assert (mine.minutes, mine.posture, mine.fixed.own, mine.meeting) == (25, "stand", True, False)
    assert [spell for spell in day.spells if spell.end <= 600] == [
        spell for spell in plain.spells if spell.end <= 600
    ]
    after = next(spell for spell in day.spells if spell.at == 640)
    assert after.posture != "stand"
    view = next(spell for spell in day_view(day, person).spells if spell.at == "10:15")
    assert (view.kind, view.id, view.label) == ("own", "noon", "Stand")
    edges = {edge.field: edge for edge in draw_day(day.spells, width=900).handles}
    assert edges["pace.spell.noon.minutes"].at == 640
    not_whole, _ = laid(rhythm="sit20_stand8_move2", spell__noon__at=615.0)
    assert not_whole.spells == plain.spells
    for held, most in ((("dizziness",), 0), (("veins",), 10)):
        bound, _ = laid(held, **own_spell("noon", 615.0, 25.0, "stand"))
        assert bound.totals.longest_stand <= most


def test_where_the_desk_stays_down_standing_happens_elsewhere_or_not_at_all():
    none, _ = laid(desk_stands=False)
    assert (none.proposed, none.totals.stand) == ("up_every_30", 0)
    phone, _ = laid(desk_stands=False, elsewhere="phone", rhythm="sit20_stand8_move2")
    assert {id for spell in phone.spells if spell.posture == "stand" for id, _ in spell.tasks} == {
        "calls"
    }


def test_a_day_past_midnight_is_shown_from_the_latest_start_and_says_so():
    day, _ = laid(start=20 * 60.0)
    assert (day.spells[-1].end, day.asked.start) == (1440, 16 * 60)
    assert "16:00" in day.doubt
    assert working_day(Record({}), Case(body=mean_body()), desk_stands=True) is None


def test_the_bar_draws_every_spell_and_its_edges_are_where_they_are_said():
    day, _ = laid(meeting1__at=600.0, meeting1__minutes=45.0)
    bar = draw_day(day.spells, width=900, eye_every=20)
    drawn = [
        mark for mark in bar.marks if mark.role.split("-")[1] in ("sit", "stand", "move", "lunch")
    ]
    assert len(drawn) == len(day.spells)
    for edge in bar.handles:
        assert edge.x == pytest.approx(58 + (edge.at - bar.first) * bar.px_per_min)
        assert edge.field in FIELDS
    assert {edge.field for edge in bar.handles} >= {"pace.start", "pace.lunch", "pace.meeting1.at"}


@pytest.mark.parametrize(
    ("typed", "minutes"),
    [("9", 540), ("930", 570), ("9.30", 570), ("9 h 30", 570), ("2:15 pm", 855), ("24:00", 1440)],
)
def test_times_are_read_as_they_are_written(typed, minutes):
    assert read_typed(FIELDS["pace.start"], typed) == minutes


@pytest.mark.parametrize("typed", ["25", "9:75", "13 pm", "noon"])
def test_what_is_no_time_is_refused_with_the_range(typed):
    with pytest.raises(UnreadableValue, match=r"0:00 to 24:00"):
        read_typed(FIELDS["pace.start"], typed)
