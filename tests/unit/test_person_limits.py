"""No text, plan, setting or paper goes against a limit of the person that is in force."""

import re
from datetime import UTC, datetime, timedelta
from itertools import combinations
from random import Random
from uuid import UUID

import pytest

from gentle_plumb.core.intake import (
    LIMITS,
    PRECAUTIONS,
    STRONGER,
    LimitId,
    OperatedPart,
    person_limits,
)
from gentle_plumb.core.presentation import day_view, rhythm_views
from gentle_plumb.core.record import Record
from gentle_plumb.core.visit import conditions_of, limits_of
from gentle_plumb.services.models import Client, Practice, Visit, VisitSnapshot
from gentle_plumb.services.papers import papers_of
from gentle_plumb.services.workup import work_up
from plumb_demo.load import full_visit
from seeds import SEED

CLIENTS = ("Odile Marrick", "Wilma Trask", "Ivo Kestrel")
PLAIN = {
    "ask.sit_stand": "new",
    "look.support.rail": "no",
    "look.support.anti_fatigue_mat": "no",
    "look.habit.weight_one_leg": "seen",
    "look.habit.legs_crossed": "seen",
    "look.habit.hip_pushed": "seen",
    "ask.hours.mouse": 5.0,
}
"""What is said to somebody without limits, so that a limit has something to keep out."""
STANDS = r"\bstand(s|ing)?\b(?! height)|\bon (your|one’s) feet\b"
NEVER = {
    LimitId.NO_STANDING: STANDS,
    LimitId.SEATED_ONLY: STANDS + r"|\bwalk|\bget(ting)? up\b|\brise\b",
    LimitId.SHORT_STANDING: r"hours? of standing|at most (1[1-9]|[2-9]\d|\d{3,}) min at a (time|stretch)",
    LimitId.STEADY_SEAT: r"\bstool\b|\bball\b|high chair|seat cushion|take them off|short (spells|periods)\.",
    LimitId.HEAD_STEADY: r"one (leg|foot)|alternate feet|close the eyes|eyes closed",
    LimitId.FREE_THIGHS: r"cross(es|ed)? the legs",
    LimitId.ABLE_SIDE: r"alternate feet|one foot|other hand|switch hands",
    LimitId.KNEES_SPARED: r"squat|kneel",
    LimitId.ARMS_LOW: r"overhead|behind the back|over the head",
    LimitId.WRISTS_FREE: r"(press|stretch)\w* the (wrist|heels of the hand)",
}
"""What no sentence may ask while a limit holds."""
OWN_WORDS = re.compile(
    "|".join(
        re.escape(text) for limit in LIMITS.values() for text in (limit.says, limit.at_work) if text
    )
    + r"|Sit-stand( desk)?|No standing \w+"
)


def opened(values):
    id = UUID(int=1)
    client = Client(id=id, practice_id=id, name="Odile", sex="female", work="")
    visit = Visit(
        id=id, practice_id=id, client_id=id, member_id=id, started_on=datetime.now(UTC).date()
    )
    return VisitSnapshot(
        visit=visit, client=client, values=values, versions=0, signed_revision=None
    )


def worked(values):
    return work_up(opened(values), "cm", plans=True)


def told(workup):
    """Every sentence that tells anybody to do something, the limits' own words left out."""
    found = [finding.instruction for finding in workup.analysis.findings if finding.state == "off"]
    day = workup.day
    found += [
        f"{rhythm_view.label} {rhythm_view.says}"
        for rhythm_view in rhythm_views(day, workup.case.person)
        if rhythm_view.possible
    ]
    shown = day_view(day, workup.case.person)
    found += [shown.says, *shown.tips, *(spell.label for spell in shown.spells)]
    found += [week.says for week in shown.weeks]
    found += [f"{move.label}: {move.both}" for move in workup.moves]
    found += [action.text for action in workup.actions]
    found += [caution for plan in workup.plans for caution in plan.cautions]
    found += [f"{one.label} {one.does}" for plan in workup.plans for one in plan.added]
    return [OWN_WORDS.sub("", said) for said in found]


def against(workup):
    """Sentences that go against a limit in force, each with its limit."""
    said = told(workup)
    return [
        (limit.id, text)
        for limit in workup.case.person.in_force
        for text in said
        if limit.id in NEVER and re.search(NEVER[limit.id], text, re.IGNORECASE)
    ]


def cared(*ids):
    return {f"ask.care.{id}": "yes" for id in ids}


def lifted(care, limit):
    path = f"ask.care.{care}.{limit}"
    return {f"{path}.cleared_by": "Dr Quill", f"{path}.cleared_on": "2026-11-02"}


@pytest.fixture(scope="module")
def visits():
    return {name: full_visit(name)[0] | PLAIN | {"ask.care.veins": None} for name in CLIENTS}


def test_every_limit_keeps_something_out_that_would_be_said_without_it(visits):
    half_and_half = visits["Odile Marrick"] | {"pace.rhythm": "sit30_stand30"}
    said = [text for values in (*visits.values(), half_and_half) for text in told(worked(values))]
    for limit in (LimitId.NO_STANDING, LimitId.SHORT_STANDING, LimitId.HEAD_STEADY):
        assert any(re.search(NEVER[limit], text, re.IGNORECASE) for text in said), limit


def test_no_sentence_or_plan_goes_against_a_limit(visits):
    draw = Random(SEED)
    sets: list[tuple[str, ...]] = [(id,) for id in PRECAUTIONS]
    sets += draw.sample([*combinations(PRECAUTIONS, 2)], 10)
    sets += [tuple(draw.sample([*PRECAUTIONS], draw.randint(3, 7))) for _ in range(6)]
    for held in sets:
        name = draw.choice(CLIENTS)
        workup = worked(visits[name] | cared(*held))
        limits = workup.case.person
        assert against(workup) == [], (name, held)
        longest = 1440 if limits.longest_stand is None else limits.longest_stand
        for rhythm in rhythm_views(workup.day, limits):
            if rhythm.possible:
                assert rhythm.totals.longest_stand <= longest, (name, held)
        if not limits.stands:
            assert not workup.result.standing.possible
            assert (workup.moves, [one for plan in workup.plans for one in plan.standing]) == (
                [],
                [],
            )
            assert workup.why_not_standing
        laid = workup.day.rhythm
        assert laid.barred_by(limits, desk_stands=workup.day.asked.stands) is None, (name, held)


def test_the_workplace_reads_what_is_left_undone_and_never_why(visits):
    practice = Practice(id=UUID(int=1), name="Sample", unit="cm", local_wording="")
    for id, care in PRECAUTIONS.items():
        snapshot = opened(visits["Odile Marrick"] | cared(id))
        workup = work_up(snapshot, "cm", plans=True)
        papers = papers_of(practice, snapshot, workup, "cm")
        paper, theirs = papers.client, papers.workplace
        assert theirs.limits == list(workup.case.person.at_work)
        words = theirs.model_dump_json().lower()
        for part in re.split(r"[ ,]+", care.label.lower()):
            named = part in ("wheelchair", "pregnancy", "surgery", "dizziness", "osteoporosis")
            assert not (named and part in words), (id, part)
        lines = " ".join(paper.limits)
        said = [LIMITS[one.id].says.rstrip(".") for one in workup.case.person.in_force]
        assert said
        assert all(lines.count(one) == 1 for one in said), id
        assert care.label.lower() in lines


def test_a_limit_is_lifted_by_a_name_and_a_day_and_by_nothing_less(visits):
    for id, care in PRECAUTIONS.items():
        for limit in care.limits:
            both = lifted(id, limit)
            for part in both:
                half = {key: value for key, value in both.items() if key != part}
                assert limits_of(Record(cared(id) | half)).has(limit), (id, limit)
            assert not limits_of(Record(cared(id) | both)).has(limit), (id, limit)
    two = cared("dizziness", "surgery") | lifted("dizziness", LimitId.NO_STANDING)
    assert not limits_of(Record(two)).stands  # the surgeon has not lifted it
    free = visits["Odile Marrick"] | cared("dizziness") | lifted("dizziness", LimitId.NO_STANDING)
    assert worked(free).result.standing.possible


def test_a_clinician_sets_a_limit_to_a_figure_from_a_day_and_everything_keeps_to_it(visits):
    here = visits["Odile Marrick"] | cared("dizziness", "pregnancy")
    today = datetime.now(UTC).date()
    said = lifted("dizziness", LimitId.NO_STANDING) | {
        "ask.care.dizziness.no_standing.figure": 8.0,
        "ask.care.pregnancy.hip_open.cleared_by": "Dr Quill",
        "ask.care.pregnancy.hip_open.cleared_on": today.isoformat(),
        "ask.care.pregnancy.hip_open.figure": 110.0,
    }
    workup = worked(here | said)
    limits = workup.case.person
    assert (limits.stands, limits.longest_stand, limits.standing_an_hour) == (True, 8.0, 8.0)
    assert limits.least_hip == 110.0
    assert workup.result.standing.possible
    assert workup.day.rhythm.standing_an_hour <= 8
    assert sum("at most 8 min in each hour" in one for one in limits.at_work) == 1
    binding = [limit for care in workup.precautions for limit in care.limits if limit.set]
    assert [one.binds for one in binding] == [LimitId.SHORT_STANDING, LimitId.HIP_OPEN]
    later = said | {
        key: (today + timedelta(days=3)).isoformat() for key in said if key.endswith("_on")
    }
    waiting = worked(here | later)
    assert (waiting.case.person.stands, waiting.case.person.least_hip) == (False, 100.0)
    views = [limit for care in waiting.precautions for limit in care.limits if limit.clears]
    assert ["8\N{NO-BREAK SPACE}min" in views[0].clears, "110" in views[1].clears] == [True, True]
    alone = here | {key: value for key, value in said.items() if key.endswith("figure")}
    assert not limits_of(Record(alone)).stands  # a figure that nobody answers for changes nothing


def test_an_answer_to_a_red_flag_sets_how_long_somebody_stands():
    flag = {
        "ask.sign.gait": "yes",
        "ask.sign.gait.answer": "limited",
        "ask.sign.gait.standing": 12.0,
        "ask.sign.gait.answered_by": "Dr Quill",
        "ask.sign.gait.answered_on": "2026-11-02",
    }
    limits = limits_of(Record(flag))
    assert (limits.standing_an_hour, limits.longest_stand) == (12.0, 10.0)
    assert "12 min" in limits.in_force[0].reason
    assert limits_of(Record(flag | {"ask.sign.gait.answer": "wait"})).in_force == ()


def test_every_combination_says_because_of_what_and_whom_to_ask():
    ids = [*PRECAUTIONS]
    for number in range(2 ** len(ids)):
        held = {id: {} for at, id in enumerate(ids) if number >> at & 1}
        limits = person_limits(held)
        in_force = {one.id for one in limits.in_force}
        said = {limit for id in held for limit in PRECAUTIONS[id].limits}
        assert in_force == {one for one in said if not STRONGER.get(one, frozenset()) & said}
        assert all(one.because and one.ask for one in limits.in_force)
        assert limits.stands == (not in_force & {LimitId.NO_STANDING, LimitId.SEATED_ONLY})


def test_surgery_of_a_hand_keeps_nobody_from_standing():
    held = conditions_of(Record(cared("surgery")))
    assert not person_limits(held).stands
    assert person_limits(held, operated=OperatedPart.HAND).stands
    assert not person_limits(held, operated=OperatedPart.LEG).stands
    hand, leg = (
        set(person_limits(held, operated=part).bars)
        for part in (OperatedPart.HAND, OperatedPart.LEG)
    )
    assert hand - leg
    assert leg - hand
    assert hand | leg < set(person_limits(held).bars)
