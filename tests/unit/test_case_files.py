"""What a case file can't say, each told with its place; what is read all the same."""

import json

import pytest

from conftest import ROOT
from gentle_plumb.core.errors import FieldError
from gentle_plumb.core.plans.plan import NOT_ALL_TRIED
from gentle_plumb.documents.case_pace import day_document, day_of
from gentle_plumb.documents.case_result import result_document
from gentle_plumb.documents.fit_files import brief, read_case, trouble_of

EXAMPLE = (ROOT / "docs" / "formats" / "examples" / "fixed-desk.case.json").read_text("utf-8")


def changed(path, value):
    raw = json.loads(EXAMPLE)
    at = raw
    *way, last = path.split(".")
    for name in way:
        at = at.setdefault(name, {})
    at[last] = value
    return json.dumps(raw)


def trouble(text):
    with pytest.raises((ValueError, FieldError, RecursionError)) as refused:
        read_case(text)
    return trouble_of(refused.value)


@pytest.mark.parametrize(
    ("path", "value", "words"),
    [
        ("shoe_seated", True, "shoe_seated: a length is a number of mm"),
        ("shoe_seated", None, None),
        ("shoe_seated", "40 stones", "shoe_seated: “40 stones” is not a length"),
        ("hours", {"typing": True}, "hours.typing"),
        ("hours", {"typing": 20, "mouse": 20}, "hours: 40 h a day in all: a day has 24 h"),
        ("policies", {"recline": True}, "policies.recline: true has to be a number"),
        ("policies", {"recline": "10"}, "policies.recline: “10” has to be a number"),
        ("found_seated", {"seat": 43}, "found_seated.seat: 43 mm is outside 250 to 900 mm"),
        (
            "own_seated",
            {"seat": 700},
            "own_seated.seat: 700 mm is outside what the piece can do, 400 to 510",
        ),
        (
            "equipment.desk.surface",
            {"low": 650, "high": 1250},
            "equipment.desk.surface: a fixed desk has one height, not 650 to 1250 mm",
        ),
        ("equipment.desk.below", {"low": 40, "high": 90}, "equipment.desk.below: it says"),
        ("equipment.mouse_kind", "hamster", "equipment.mouse_kind"),
        (
            "equipment.chair.seat",
            {"low": 400, "high": 510, "step": 1e-6},
            "equipment.chair.seat.step: 1e-06 has to be at least 1",
        ),
        ("equipment.screen.aspect", None, "give both"),
        ("equipment.items", [{"id": "a", "thickness": 50}] * 2, "“a” stands there twice"),
        ("sharp_from", 900, None),
        ("precautions", ["vertigo"], "precautions: there is no “vertigo”; one of "),
        ("settle_by", "50 cm", "settle_by: 500 mm is outside -400 to 400 mm"),
        (
            "places",
            [{"own_standing": {"surface": 700}, "equipment": {"desk": {"surface": {"low": 900}}}}],
            "places.0.own_standing.surface: 700 mm is outside what the piece can do, 900 to 900",
        ),
        ("taken", ["nonsense"], "taken: “nonsense” can’t be added here"),
        ("plan", "own", "plan: your own plan must list what it adds in “taken”"),
        ("pace", {"start": True}, "pace.start"),
        (
            "pace",
            {"walk_every": 0.001},
            "pace.walk_every: Longer walk every: 0.001 min. Give whole",
        ),
        ("body.values.stature.readings", [5, 5], "body.values.stature.readings.0: 5 mm is outside"),
        ("equipment.chair.seat", {"low": 400, "high": -5}, "equipment.chair.seat.high: -5 mm is"),
        ("equipment.chair.seat", {"low": 600, "high": 500}, "the lowest, 600 mm, is above the"),
        ("hours", {"typing": -1}, "hours.typing: -1 has to be at least 0"),
        ("body", 3, "body: 3 has to be an object with named fields"),
        ("mystery", 1, "mystery: there is no field of this name"),
        ("title", "half \ud83d", "title: the text holds half a sign"),
    ],
)
def test_each_is_told_once_with_its_place(path, value, words):
    text = changed(path, value)
    if words is None:
        read_case(text)
        return
    said = trouble(text)
    assert len(said) == 1, said
    assert words in said[0]


def test_sharpness_runs_from_near_to_far_and_names_stand_once():
    raw = json.loads(EXAMPLE) | {"sharp_from": 900, "sharp_to": 500}
    assert "sharp_from: it lies beyond sharp_to" in trouble(json.dumps(raw))[0]
    assert "“mat” is said twice" in trouble('{"mat": 1, "mat": 2}')[0]
    assert trouble("[" * 100_000)[0]


def test_a_byte_order_mark_and_a_ball_are_read():
    read_case("\ufeff" + EXAMPLE)
    assert read_case(changed("equipment.chair.kind", "ball")).equipment.chair.kind == "ball"


PLACES = (ROOT / "docs" / "formats" / "examples" / "table-and-counter.case.json").read_text("utf-8")


@pytest.mark.parametrize("version", ["gentle-plumb-case-1", "gentle-plumb-case-2"])
def test_older_versions_are_read_and_come_to_the_same(version):
    older, now = read_case(changed("format", version)), read_case(EXAMPLE)
    assert older.format == "gentle-plumb-case-3"
    assert older.work().result == now.work().result


def test_a_case_with_two_places_has_a_result_at_each_for_one_body():
    case = read_case(PLACES)
    made = result_document(case)
    (counter,) = made.places
    assert (made.result.seated.possible, made.result.standing.possible) == (True, False)
    assert (counter.result.seated.possible, counter.result.standing.possible) == (False, True)
    assert counter.plan == "own"
    assert [one.key for one in counter.plans[-1].added] == ["keys_stack-book2"]
    taken = [offer.key for offer in counter.offers if offer.taken]
    assert taken == ["keys_stack-book2"]
    assert {name.split(".")[0] for name in counter.order} == {"standing"}
    short = brief(case, 1)
    assert short["places"][0]["seated"] is None
    assert short["places"][0]["standing"]["surface"] == pytest.approx(980)


def test_precautions_of_a_case_bind_its_plans():
    steady = read_case(changed("precautions", ["dizziness"]))
    assert not steady.case().may_stand
    assert "seat_cushion" not in {offer.key for offer in result_document(steady).offers}


def test_a_case_lays_its_day_out_within_its_limits():
    hours = {"typing": 4.0, "calls": 2.0}
    chosen = {"rhythm": "sit20_stand8_move2", "start": "8:30", "lunch": 45.0, "task.calls": "stand"}
    raw = changed("hours", hours)
    case = read_case(json.dumps(json.loads(raw) | {"pace": chosen}))
    record, made = case.pace_record(case.hours), case.work(fixes=False)
    day = day_of(record, made.case, standing_possible=True)
    laid = day_document(day, made.case)
    assert (laid["day"]["start"], laid["day"]["end"]) == ("8:30", "15:15")
    assert sum(one["minutes"] for one in laid["day"]["spells"]) == 6 * 60 + 45
    assert day_of(case.pace_record({}), made.case, standing_possible=True) is None
    by_hand = {"spell.a1.at": "9:30", "spell.a1.minutes": 25.0, "spell.a1.posture": "move"}
    case = read_case(json.dumps(json.loads(raw) | {"pace": chosen | by_hand}))
    day = day_of(case.pace_record(case.hours), made.case, standing_possible=True)
    spells = day_document(day, made.case)["day"]["spells"]
    own = [spell for spell in spells if spell["kind"] == "own"]
    assert [(one["at"], one["end"], one["posture"]) for one in own] == [("9:30", "9:55", "move")]
    assert sum(spell["minutes"] for spell in spells) == 6 * 60 + 45
    for pace, words in (
        ({"nap": 20.0}, "pace.nap: there is nothing of this name in Pace"),
        ({"spell.a1.until": "10:00"}, "pace.spell.a1.until: there is nothing of this name in Pace"),
        ({"spell.a1.posture": "lie"}, "lie"),
        ({"start": "noon"}, "“noon” is no time of day"),
        ({"lunch": 400.0}, "400 min is outside 0 to 180 min"),
    ):
        assert words in str(trouble(json.dumps(json.loads(raw) | {"pace": pace})))


@pytest.mark.parametrize(("on", "binds"), [("2999-01-01", True), ("2020-01-01", False)])
def test_a_limit_is_lifted_from_the_day_that_is_given(on, binds):
    raw = json.loads(EXAMPLE) | {
        "precautions": ["dizziness"],
        "cleared": [{"precaution": "dizziness", "limit": "no_standing", "by": "Dr Vane", "on": on}],
    }
    person = read_case(json.dumps(raw)).case().person
    assert (person.against_standing is not None) == binds


def test_a_case_that_would_take_minutes_is_cut_short_and_says_so():
    raw = json.loads(EXAMPLE) | {"policies": {"elbow_angle": 110}}
    pieces = raw["equipment"]
    pieces["chair"]["seat"] = {"low": 250, "high": 900, "step": 1}
    pieces["desk"] |= {
        "kind": "sit_stand",
        "surface": {"low": 700, "high": 1300, "step": 1},
        "thickness": 160,
    }
    pieces["items"] = [
        {"id": f"i{k}", "thickness": 7 + 3 * k, "count": 50, "uses": ["feet", "screen", "seat"]}
        for k in range(8)
    ]
    made = read_case(json.dumps(raw)).work(fixes=False)
    assert NOT_ALL_TRIED in made.plan_set.plans[0].cautions
    usual = read_case(EXAMPLE).work(fixes=False)
    assert all(NOT_ALL_TRIED not in plan.cautions for plan in usual.plan_set.plans)
