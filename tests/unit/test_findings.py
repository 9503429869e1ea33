"""Rules held against a visit: what is off and how gravely, what holds, what can't be told."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from gentle_plumb.core.assessment import strain_minutes
from gentle_plumb.core.findings import Facts, findings, strain_by_region
from gentle_plumb.core.findings.rule import ChoiceRule
from gentle_plumb.core.findings.rules import RULES
from gentle_plumb.core.findings.rules.habits import HABIT_RULES
from gentle_plumb.core.fit import fit
from gentle_plumb.core.intake import REGIONS
from gentle_plumb.core.intake.body_chart import MAP_H, MAP_W
from gentle_plumb.core.observation import HABITS, ROOM, STANDING
from gentle_plumb.core.photo import read_photo
from gentle_plumb.core.record import Record
from gentle_plumb.core.sources import SOURCES
from gentle_plumb.core.visit import case_from
from plumb_demo.photographs import Angles, Camera
from strategies import side_photo

HOURS = {"ask.hours.typing": 3.0, "ask.hours.mouse": 3.0, "ask.hours.paper": 1.0}


def judged(entries, *photos, unit="cm"):
    case = case_from(Record(entries))
    read = tuple(read_photo(photo) for photo in photos)
    facts = Facts(record=Record(entries), case=case, result=fit(case), photos=read, unit=unit)
    return {finding.id: finding for finding in findings(facts)}


def test_each_rule_asks_for_answers_that_exist_and_has_a_source_that_is_explained():
    rules = [rule for _, some in RULES for rule in some] + list(HABIT_RULES)
    assert len({rule.id for rule in rules}) == len(rules) > 80
    for rule in rules:
        assert rule.source in SOURCES, rule.id
        assert rule.advice, rule.id
        if isinstance(rule, ChoiceRule):
            assert {*rule.failing} <= {*rule.field.members}, rule.id


@pytest.mark.parametrize(
    ("id", "path", "right", "wrong"),
    [
        ("keyboard_feet", "look.keyboard.feet", "in", "out"),
        ("mouse_level", "look.found.mouse_level", 10.0, 40.0),
        ("room_exits", "look.room.exits", "right", "wrong"),
        ("light_screen", "look.room.lux", 400.0, 90.0),
        ("seated.screen_bearing", "look.found.screen_bearing", -14.0, 30.0),
    ],
)
def test_every_rule_is_off_holds_or_waits_with_its_reason(id, path, right, wrong):
    assert judged(HOURS)[id].state == "not assessable"
    assert "not recorded" in judged(HOURS)[id].reason or "not checked" in judged(HOURS)[id].reason
    assert judged(HOURS | {path: right})[id].state == "holds"
    off = judged(HOURS | {path: wrong})[id]
    assert (off.state, bool(off.evidence), bool(off.instruction)) == ("off", True, True)
    assert off.severity is not None


def test_both_ends_of_a_rules_band_belong_to_it():
    states = [
        judged({"look.room.lux": lux})["light_screen"].state for lux in (299.0, 300.0, 750.0, 751.0)
    ]
    assert states == ["off", "holds", "holds", "off"]


def test_two_numbers_held_against_each_other():
    pair = {"look.pointer.length": 110.0, "measure.hand_length.first": 250.0}
    assert judged(HOURS | {"look.pointer.length": 110.0})["pointer_size"].state == "not assessable"
    off = judged(HOURS | pair)["pointer_size"]
    assert (off.state, off.evidence) == ("off", ("Pointer 11.0 cm long, hand 25.0 cm",))
    assert (
        judged(HOURS | pair | {"measure.hand_length.first": 180.0})["pointer_size"].state == "holds"
    )


def test_severity_follows_how_far_and_how_long():
    def grade(hours, bearing):
        entries = {"ask.hours.typing": hours, "look.found.screen_bearing": bearing}
        return judged(entries)["seated.screen_bearing"].severity

    assert [grade(1.0, 20.0), grade(6.0, 20.0), grade(6.0, 40.0)] == ["slight", "marked", "strong"]
    assert judged({"look.found.screen_bearing": 40.0})["seated.screen_bearing"].severity is None
    assert judged({"look.room.exits": "wrong"})["room_exits"].severity == "strong"


def test_what_matters_in_no_hour_of_the_day_holds():
    entries = {"look.support.headset": "no", **HOURS}
    assert judged(entries)["headset"].state == "holds"
    assert judged(entries | {"ask.hours.calls": 2.0})["headset"].state == "off"


def test_habits_not_marked_are_not_seen_only_once_somebody_looked():
    assert judged(HOURS)["habit_slumping"].state == "not assessable"
    marked = {
        "look.habit.wrist_back": "seen",
        "look.habit.wrist_back.often": "often",
        "look.habit.wrist_back.side": "right",
        **HOURS,
    }
    found = judged(marked)
    assert found["habit_slumping"].state == "not assessable"  # one mark says nothing of the rest
    assert judged({**marked, "look.watched": "yes"})["habit_slumping"].state == "holds"
    wrist = found["habit_wrist_back"]
    assert wrist.evidence == ("Seen, often, right side",)
    assert wrist.sum == "6 h × 60 × 0.45 of the time × 20° ÷ 30° = 108 min"


def test_a_picture_too_near_the_bands_end_to_tell_does_not_tell():
    def wrist(angle, **camera):
        return judged(HOURS, side_photo(Angles(wrist=angle), Camera(**camera)))[
            "photo_wrist_seated"
        ]

    assert wrist(5).state == "holds"
    assert wrist(17).state == "not assessable"
    assert "too close to the limit" in wrist(17).reason
    off = wrist(30)
    assert off.state == "off"
    assert off.over_deg == pytest.approx(15, abs=0.1)
    assert off.evidence[0].startswith("Photo from the side, seated: wrist extended 30° ±")


def test_an_after_picture_is_no_evidence_of_what_was_found():
    assert "photo_wrist_seated" not in judged(HOURS, side_photo(Angles(wrist=40), when="after"))


def test_the_practitioner_has_the_last_word():
    off = {"look.keyboard.feet": "out", **HOURS}
    entries = off | {
        "work.finding.keyboard_feet.verdict": "dismissed",
        "work.finding.keyboard_feet.reason": "Wears a splint",
        "work.own.a1.title": "Draught",
        "work.own.a1.do": "Move the desk",
        "work.own.a1.severity": "marked",
    }
    found = judged(entries)
    feet, own = found["keyboard_feet"], found["own-a1"]
    assert (feet.verdict, feet.dismissed_for) == ("dismissed", "Wears a splint")
    assert (own.state, own.instruction, own.severity, own.own) == (
        "off",
        "Move the desk",
        "marked",
        True,
    )
    strain = {one.region: one.minutes for one in strain_by_region(found.values())}
    assert "wrist" in {one.region for one in strain_by_region(judged(off).values())}
    assert "wrist" not in strain


def test_a_joint_counts_once_by_its_strongest_evidence():
    entries = {
        "look.keyboard.feet": "out",
        "look.habit.wrist_back": "seen",
        "look.habit.wrist_back.often": "nearly_always",
        **HOURS,
    }
    strain = strain_by_region(judged(entries, side_photo(Angles(wrist=25))).values())
    wrist = next(one for one in strain if one.region == "wrist")
    assert [part.counted for part in wrist.parts] == [True] + [False] * (len(wrist.parts) - 1)
    assert len(wrist.parts) >= 3
    assert wrist.minutes == max(part.minutes for part in wrist.parts)
    assert wrist.minutes == pytest.approx(6 * 60 * 0.85 * 20 / 30)


@given(st.floats(0, 24), st.floats(0, 1), st.floats(-180, 180))
def test_strain_is_never_more_than_the_time_itself(hours, share, over):
    minutes = strain_minutes(hours=hours, share=share, over_deg=over)
    assert 0 <= minutes <= hours * 60 * share + 1e-9
    assert minutes == strain_minutes(hours=hours, share=share, over_deg=-over)


def test_unknown_hours_give_no_minutes_and_standing_none_that_nobody_said():
    entries = {"look.found.screen_bearing": 40.0}
    assert judged(entries)["seated.screen_bearing"].minutes is None
    seated = judged(entries | HOURS)["seated.screen_bearing"].minutes
    half = judged(entries | HOURS | {"ask.standing_hours": 3.5})["seated.screen_bearing"].minutes
    assert half == pytest.approx(seated / 2)


def test_what_hurts_comes_before_what_is_only_graver():
    entries = {
        "look.found.screen_bearing": 40.0,
        "look.keyboard.feet": "out",
        "ask.discomfort.wrist_back_right": 4.0,
        "ask.discomfort.wrist_back_right.often": "every_day",
        "look.room.cables": "wrong",
        **HOURS,
    }
    order = [one.id for one in judged(entries).values() if one.state == "off"]
    assert order[:2] == ["room_cables", "keyboard_feet"]
    assert order.index("keyboard_feet") < order.index("seated.screen_bearing")
    assert judged(entries)["keyboard_feet"].discomfort == (
        "Right wrist and back of the hand 4 of 10, every day",
    )


def test_the_lists_are_whole():
    groups = {
        "glare",
        "noise",
        "temperature",
        "air",
        "clutter",
        "cables",
        "trips",
        "exits",
        "fire",
        "electrical",
        "stability",
        "floor",
        "stored",
    }
    assert groups <= set(ROOM)
    assert {habit.posture for habit in HABITS.values()} == {"seated", "standing"}
    both = [id for id in HABITS if f"{id}{STANDING}" in HABITS]
    assert {"chin_lifted", "head_ahead", "phone_shoulder"} <= set(both)  # each marked by itself
    for region in REGIONS.values():
        assert region.load
        assert region.x - region.w > 0
        assert region.x + region.w < MAP_W
        assert region.y - region.h > 0
        assert region.y + region.h <= MAP_H
    left = [id for id in REGIONS if id.endswith("_left")]
    assert {id.replace("_left", "_right") for id in left} <= set(REGIONS)


def test_where_nobody_can_stand_nothing_standing_is_judged():
    wheels = {"look.chair.kind": "wheelchair", "look.found.seat": 530.0, **HOURS}
    assert not [id for id in judged(wheels) if id.startswith("standing.")]
    assert judged(wheels)["seated.seat"].state != "off"
    assert [id for id in judged(HOURS) if id.startswith("standing.")]


def test_armrests_to_rise_with_are_asked_of_a_chair_and_never_of_a_wheelchair():
    operated = {"ask.care.surgery": "yes", "look.chair.armrests": "none", **HOURS}
    assert judged(operated)["no_armrests"].state == "off"
    assert "no_armrests" not in judged(operated | {"look.chair.kind": "wheelchair"})
    assert "no_armrests" not in judged(operated | {"ask.care.wheelchair": "yes"})
