"""What a practitioner would say of a body at a workstation, and what the program says."""

from dataclasses import replace

import pytest

from reference_cases import PAGE, REFERENCES, page, plans_of, worked


@pytest.mark.parametrize("one", REFERENCES, ids=lambda one: one.id)
def test_the_program_says_what_a_practitioner_would(one):
    work = worked(one)
    for key, at in one.set.items():
        setting = work.analysis.states["seated", key].setting
        assert setting == pytest.approx(at * 10, abs=1), key
    plans = plans_of(work)
    for tier, ids in one.plans.items():
        assert [each.id for each in plans[tier].added] == ids, tier
    off = {each.id: each for each in work.findings if each.state == "off"}
    for id, words in one.says.items():
        assert words in f"{off[id].cause} {off[id].instruction}".replace("\xa0", " ")
    everything = [f"{each.cause} {each.instruction}" for each in off.values()]
    everything += [each.label for plan in plans.values() for each in plan.added]
    assert not [said for said in everything for words in one.never if words in said]


def test_two_equal_screens_stand_side_by_side():
    pair = worked(
        next(reference for reference in REFERENCES if reference.id == "P")
    ).analysis.states
    main, second = (pair["seated", f"{id}_bearing"].setting for id in ("screen", "screen2"))
    assert (round(main), round(second)) == (-22, 22)


def test_the_mouse_of_the_only_hand_lies_beyond_the_letters_before_its_shoulder():
    one = next(reference for reference in REFERENCES if reference.id == "A")
    left = replace(one, values=one.values | {"ask.mouse_hand": "left", "look.found.mouse": None})
    row = worked(left).analysis.result.row("seated", "mouse")
    assert row.setting == pytest.approx(
        150 + 190 + 45
    )  # keyboard's edge, half the shoulders, mouse


def test_a_tray_that_comes_off_is_taken_away_and_the_keys_go_on_the_desk():
    actions = {
        action.id: action for action in worked(next(c for c in REFERENCES if c.id == "T")).actions
    }
    assert actions["add.tray_off"].heading == "Take away"
    assert actions["add.feet_to_find"].heading == "Add"
    assert "once the tray is removed" in actions["set.seated.surface"].text


def test_the_page_about_them_is_as_the_program_says():
    assert PAGE.read_text() == page(), "write it anew: python tests/reference_cases.py"
