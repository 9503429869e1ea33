"""Movements: none against a limit, each with all that one has to know, drawn from the body they are for."""

import re
from dataclasses import replace
from itertools import combinations
from random import Random

import pytest

from gentle_plumb.core.catalogue import REGIONS
from gentle_plumb.core.drawing import INKS, MOVEMENT_SIZE, draw_movement
from gentle_plumb.core.intake import PRECAUTIONS, Demand, LimitId, OperatedPart, person_limits
from gentle_plumb.core.movements import LIBRARY, MOST, Need, choose_movements, place_movements
from gentle_plumb.core.pace import Spell
from gentle_plumb.core.sources import SOURCES
from seeds import SEED
from strategies import mean_body

NEEDS = [
    Need(region="neck", strength=6, minutes=40, why="Nape 6 of 10"),
    Need(region="wrist", strength=0, minutes=90, why="Wrists: 90 strain minutes a day"),
    Need(region="lower_back", strength=3, minutes=10, why="Low back 3 of 10"),
]
WORDS = {
    LimitId.HEAD_STEADY: r"\bturn the head|ear sink|eyes closed|one leg|over the shoulder",
    LimitId.ARMS_LOW: r"overhead|behind the (back|head)",
    LimitId.KNEES_SPARED: r"squat|bend the knees|heel gently towards",
    LimitId.WRISTS_FREE: r"palms together|heels of the hands",
    LimitId.SEATED_ONLY: r"\bstand\b|\bwalk\b",
    LimitId.NO_STANDING: r"\bstand\b",
    LimitId.MID_RANGE: r"as far as is comfortable, then to the end|draw it gently",
}
"""What the steps of no movement may say while a limit holds."""


def chosen(person, needs=NEEDS, **more):
    return choose_movements(needs, person, **more)


def steps(one):
    return " ".join((one.label, *one.steps)).lower()


def test_the_library_says_all_that_one_has_to_know():
    assert len(LIBRARY) >= 20
    for one in LIBRARY.values():
        assert set(one.regions) <= set(REGIONS), one.id
        assert one.source in SOURCES
        assert all(step.endswith(".") for step in one.steps), one.id
        assert one.felt, one.id
        assert one.never, one.id
        assert 2 <= len(one.poses) <= 3, one.id
        assert one.repeats >= 1, one.id
        assert one.start != "standing" or one.asks & {Demand.STANDING, Demand.WALKING}, one.id
    covered = {region for one in LIBRARY.values() for region in one.regions}
    assert covered == set(REGIONS)


def test_no_movement_goes_against_a_limit_whatever_else_is_there():
    few = [set(ids) for many in range(4) for ids in combinations(PRECAUTIONS, many)]
    draw = Random(SEED)
    more = [set(draw.sample([*PRECAUTIONS], draw.randint(4, len(PRECAUTIONS)))) for _ in range(600)]
    for number, ids in enumerate(few + more):
        held = {id: {} for id in PRECAUTIONS if id in ids}
        limits = person_limits(held)
        programme = chosen(limits, own=("half_squats", "palms_overhead", "walk_for_water"))
        assert len(programme.chosen) <= MOST
        for one in programme.chosen:
            assert not one.movement.asks & set(limits.bars), (held, one.movement.id)
        if number % 7:
            continue  # the words of some hundred of them are read as well
        for one in programme.chosen:
            for limit, words in WORDS.items():
                assert not (limits.has(limit) and re.search(words, steps(one.movement))), held
        assert {one.movement.id for one in programme.left_out} == {
            one.id for one in LIBRARY.values() if one.asks & set(limits.bars)
        }


def test_each_limit_with_words_keeps_a_movement_out():
    for limit, words in WORDS.items():
        said = [one for one in LIBRARY.values() if re.search(words, steps(one))]
        care = next(id for id, one in PRECAUTIONS.items() if limit in one.limits)
        bars = set(person_limits({care: {}}).bars)
        assert said, limit
        assert all(one.asks & bars for one in said), (limit, [one.id for one in said])


@pytest.mark.parametrize("part", list(OperatedPart))
def test_the_part_operated_on_rests(part):
    limits = person_limits({"surgery": {}}, operated=part)
    regions = {
        OperatedPart.NECK: "neck",
        OperatedPart.TRUNK: "lower_back",
        OperatedPart.ARM: "shoulder",
        OperatedPart.HAND: "wrist",
        OperatedPart.LEG: "knee",
    }
    first = [
        one.movement for one in chosen(limits).chosen if one.movement.regions[0] == regions[part]
    ]
    assert [one for one in first if one.asks != {Demand.WALKING}] == []


def test_what_hurts_comes_before_what_is_loaded_and_the_choice_is_the_practitioners():
    free = person_limits({})
    programme = chosen(free)
    assert [one.movement.regions[0] for one in programme.chosen[:3]] == [
        "neck",
        "lower_back",
        "wrist",
    ]
    assert programme.chosen[0].why == "Nape 6 of 10"
    assert chosen(free, NEEDS[::-1]) == programme
    without = chosen(free, without=[programme.chosen[0].movement.id])
    assert programme.chosen[0].movement.id not in {one.movement.id for one in without.chosen}
    own = chosen(free, own=["half_squats"])
    assert ("half_squats", True) in {(one.movement.id, one.own) for one in own.chosen}
    assert len(chosen(free, []).chosen) >= 3
    loose = person_limits({"hypermobility": {}})
    assert all(one.hold_s <= 5 for one in chosen(loose).chosen)


def test_movements_take_turns_in_the_breaks():
    spells = [Spell(at=60 * n, minutes=30, posture="move" if n % 2 else "sit") for n in range(8)]
    programme = chosen(person_limits({}))
    placed = place_movements(programme.chosen, spells)
    assert [at for at, _ in placed] == [60, 180, 300, 420]
    assert [id for _, id in placed] == [one.movement.id for one in programme.chosen[:4]]
    assert place_movements((), spells) == ()


def points(mark):
    return [(float(x), float(y)) for x, y in re.findall(r"(-?[\d.]+) (-?[\d.]+)", mark.d)]


def test_every_figure_stands_on_its_sheet_and_is_this_bodys():
    body, (width, height) = mean_body(), MOVEMENT_SIZE
    for one in LIBRARY.values():
        drawn = draw_movement(one, body)
        assert len(drawn) == len(one.poses)
        assert len({tuple(mark.d for mark in each.marks) for each in drawn}) == len(drawn), one.id
        for each in drawn:
            assert each.says
            for mark in each.marks:
                assert mark.role in INKS
                for x, y in points(mark):
                    assert -12 <= x <= width + 12, (one.id, x)
                    assert -12 <= y <= height + 12, (one.id, y)
    longer = replace(
        body,
        values={**body.values, "popliteal_height": replace(body.value("popliteal_height"), mm=520)},
    )
    squat = LIBRARY["half_squats"]
    assert draw_movement(squat, body) != draw_movement(squat, longer)
