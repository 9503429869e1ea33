"""The drawing is what one points at: nothing on it is covered, invented or floating."""

from dataclasses import replace
from datetime import date
from functools import cache
from importlib.resources import files

import pytest
from PIL import ImageFont

from clearances import faults, flags_of, points_of
from gentle_plumb.core.drawing import INKS, SceneRequest, draw_scene
from gentle_plumb.core.drawing.lettering import text_width
from gentle_plumb.core.fit import fit
from gentle_plumb.core.what_if import VisitInput, analyse_visit
from gentle_plumb.core.workstation import Details, ScreenHolder, UnderDesk
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import full_visit
from strategies import usual_case

STAGES = ((790, 640), (640, 660), (1430, 960), (390, 420))
"""The drawing's room at 1280x800, 1024x768, 1920x1080, and on a phone, px."""
NAMES = [client.name for client in DEMO_CLIENTS]


@cache
def visit(name):
    values, _ = full_visit(name)
    sex = next(demo_client.sex for demo_client in DEMO_CLIENTS if demo_client.name == name)
    return analyse_visit(VisitInput(values=values, today=date(2026, 11, 25), sex=sex), "cm")


@pytest.mark.parametrize("name", NAMES)
@pytest.mark.parametrize("size", STAGES)
def test_nothing_is_covered_in_any_view_of_any_client(name, size):
    modes = ["seated", "standing", "overlay", *(["both"] if size[0] >= 700 else [])]
    for mode in modes:
        for show, unit in (("found", "cm"), ("target", "cm"), ("left", "mm"), ("target", "in")):
            request = SceneRequest(width=size[0], height=size[1], mode=mode, show=show, unit=unit)
            assert faults(visit(name).scene(request)) == [], (mode, show, unit)


def test_the_check_sees_what_is_covered():
    scene = visit("Bram Tolliver").scene(SceneRequest(width=790, height=640))
    flag, _ = flags_of(scene)[0]
    on_the_body = replace(flag, d="M120 520L200 520L200 553L120 553Z")
    assert any(
        "covers" in fault for fault in faults(replace(scene, marks=(*scene.marks, on_the_body)))
    )
    twice = [mark for mark in scene.marks if mark.role == "rule-value"][:1]
    assert any(" on " in fault for fault in faults(replace(scene, marks=(*scene.marks, *twice))))


def test_words_are_no_wider_than_the_room_kept_for_them():
    folder = files("gentle_plumb.documents") / "fonts"
    fonts = {
        (figures, weight): ImageFont.truetype(str(folder / f"{family}-{weight}-normal.ttf"), 100)
        for figures, family in ((True, "PlumbFigures"), (False, "HankenGrotesk"))
        for weight in (400, 600)
    }
    for name in NAMES:
        for mark in visit(name).scene(SceneRequest(width=1430, height=960)).marks:
            if mark.kind == "text":
                ink = INKS[mark.role]
                real = fonts[ink.figures, ink.weight].getlength(mark.text) * ink.size / 100
                assert real <= text_width(mark.text, mark.role) + 0.5, mark.text


def drawn(case, **request):
    return draw_scene(case, fit(case), SceneRequest(width=790, height=640, **request)).marks


def roles(marks, posture=""):
    return [mark.role for mark in marks if not posture or mark.posture == posture]


def test_as_found_shows_what_was_found_and_nothing_else():
    case = usual_case(found={"seat": 450.0, "screen_top": 1100.0})
    marks = drawn(case, show="found")
    values = {mark.part: mark.text for mark in marks if mark.role == "flag-value"}
    assert values == {"seat": "45.0", "screen_top": "110.0"}
    assert not {"bracket", "flag-change", "found-tick"} & set(roles(marks))
    notes = [mark.text for mark in marks if mark.role == "note"]
    assert notes == ["Standing: nothing recorded yet"]
    assert "plumb" not in roles(marks, "standing")
    alone = drawn(case, show="found", mode="standing")
    assert not {"picture", "piece", "device"} & set(roles(alone, "standing"))
    assert "figure-fill-faint" in roles(alone, "standing")


def test_as_set_shows_what_was_set_and_what_is_still_to_go():
    case = usual_case(found={"seat": 450.0, "surface": 740.0})
    result = fit(case)
    left = replace(case.found_seated, seat=430.0, surface=result.row("seated", "surface").setting)
    request = SceneRequest(width=790, height=640, show="left")
    marks = draw_scene(case, result, request, left=(left, left)).marks
    seat = next(mark for mark in marks if mark.role.startswith("flag-") and mark.part == "seat")
    assert seat.role == "flag-off"
    assert "43.0" in seat.text
    assert "down 2.0" in seat.text
    surface = [m.role for m in marks if m.part == "surface" and m.posture == "seated"]
    assert "flag-found" in surface
    assert "bracket" not in surface


def test_on_the_way_from_found_to_target_heights_lie_between():
    case = usual_case(found={"seat": 480.0, "surface": 740.0})
    aim = fit(case).row("seated", "seat").setting
    shown = {
        between: next(
            float(mark.text)
            for mark in drawn(case, between=between)
            if (mark.role, mark.part) == ("flag-value", "seat")
        )
        for between in (0.0, 0.5, 1.0)
    }
    assert shown == {
        0.0: 48.0,
        0.5: pytest.approx((480 + aim) / 20, abs=0.06),
        1.0: pytest.approx(aim / 10, abs=0.06),
    }


def test_what_stands_in_each_other_is_hatched_where_it_does():
    deep = usual_case(found={"seat": 470.0, "surface": 640.0})
    desk = replace(deep.workstation.desk, thickness=60.0, under=UnderDesk.DRAWER)
    deep = replace(deep, workstation=replace(deep.workstation, desk=desk))
    clash = [mark for mark in drawn(deep, show="found") if mark.role == "clash"]
    assert [mark.part for mark in clash] == ["surface"]
    free = replace(deep, found_seated=replace(deep.found_seated, surface=760.0))
    assert "clash" not in roles(drawn(free, show="found"))


def with_screen(case, **screen):
    station = case.workstation
    return replace(case, workstation=replace(station, screen=replace(station.screen, **screen)))


FOUND = {"seat": 450.0, "surface": 720.0, "screen_top": 1250.0, "distance": 650.0}


def ys(mark):
    import re

    return [float(y) for y in re.findall(r" (-?[\d.]+)", mark.d)]


def test_things_stand_on_what_they_stand_on():
    case = usual_case(found=FOUND)

    def marks(drawn_case=case, layers=None, **request):
        asked = SceneRequest(width=790, height=640, mode="seated", **request)
        return draw_scene(drawn_case, fit(drawn_case), asked, layers=layers).marks

    wall = marks(with_screen(case, held=ScreenHolder.WALL), show="found")
    assert "wall" in roles(wall)
    lifted = marks(replace(case, details=Details(screen_on=120.0)), show="found")
    assert roles(lifted).count("stack") == 1
    layers = {"screen": (50.0, 50.0), "feet": (), "seat": (40.0,), "back": (60.0,)}
    planned = marks(layers=layers)
    assert roles(planned).count("stack") == 2
    assert roles(planned).count("cushion") == 2
    assert "cushion" not in roles(marks(layers=layers, show="found"))
    standing = drawn(
        replace(case, mat=20.0, details=Details(rail=150.0)), mode="standing", show="target"
    )
    parts = {mark.part for mark in standing}
    assert {"mat", "rail"} <= parts


@pytest.mark.parametrize("heel", [0.0, 30.0, 70.0, 110.0])
def test_the_foot_is_never_apart_from_the_leg(heel):
    case = replace(usual_case(), shoe_standing=heel)
    body = next(mark for mark in drawn(case, mode="standing") if mark.role == "figure-fill")
    shank, foot = points_of(body.d)[3:5]
    assert min(y for _, y in foot) < max(y for _, y in shank)


def test_the_plans_words_are_apart_where_a_phone_and_papers_lie_about():
    case = usual_case()
    case = replace(case, hours={"typing": 3, "phone": 2, "paper": 2, "writing": 1})
    scene = draw_scene(case, fit(case), SceneRequest(width=1430, height=960))
    words = [mark.text for mark in scene.marks if mark.posture == "plan" and mark.kind == "text"]
    assert len(words) >= 3
    assert faults(scene) == []
