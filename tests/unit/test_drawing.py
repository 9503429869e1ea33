import re
from itertools import pairwise

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from gentle_plumb.core.body import Body
from gentle_plumb.core.drawing import SceneRequest, draw_scene
from gentle_plumb.core.drawing.flags import FLAG_H, GAP, fan_out
from gentle_plumb.core.drawing.inks import INKS, PAPER
from gentle_plumb.core.drawing.pose import drawable, seated_pose, standing_pose
from gentle_plumb.core.drawing.tape import tape_ends
from gentle_plumb.core.fit import Case, fit
from gentle_plumb.core.record.fields import MEASURED
from gentle_plumb.core.workstation import Settings
from gentle_plumb.documents.scene_svg import scene_svg
from strategies import cases, usual_case

PLAN_ONLY = {"shoulder_breadth_biacromial", "shoulder_breadth_bideltoid", "hand_breadth"}


def scene_of(case, **request):
    return draw_scene(case, fit(case), SceneRequest(**request))


def corners(mark):
    return [(float(x), float(y)) for x, y in re.findall(r"(-?[\d.]+) (-?[\d.]+)", mark.d)]


@given(st.lists(st.floats(0, 700), max_size=9).map(sorted))
def test_labels_never_overlap_and_stay_in_the_room(wanted):
    places = fan_out(wanted, size=36, low=20, high=680)
    gaps = [b - a for a, b in pairwise(places)]
    assert all(gap >= 36 - 1e-6 for gap in gaps)
    assert all(20 - 1e-6 <= place <= 680 + 1e-6 for place in places)


def test_labels_with_room_stay_where_they_belong():
    assert fan_out([50, 200, 400], size=36, low=0, high=700) == [50, 200, 400]


@pytest.mark.parametrize("mode", ["both", "seated", "standing", "overlay"])
def test_leaders_end_at_the_height_they_mean(mode):
    case = usual_case(found={"seat": 450, "surface": 720, "screen_top": 1050})
    result, scene = fit(case), scene_of(case, mode=mode)
    floor = next(corners(mark)[0][1] for mark in scene.marks if mark.role == "floor")
    for posture in {"both": ("seated", "standing"), "overlay": ("seated", "standing")}.get(
        mode, (mode,)
    ):
        row = result.row(posture, "screen_top")
        leader = next(
            mark for mark in scene.marks
            if (mark.role, mark.part, mark.posture) == ("leader", "screen_top", posture)
        )  # fmt: skip
        assert corners(leader)[-1][1] == pytest.approx(
            floor - row.setting * scene.px_per_mm, abs=0.11
        )


def test_found_tick_and_bracket_span_what_changes():
    case = usual_case(found={"seat": 450})
    scene = scene_of(case)
    change = fit(case).row("seated", "seat").change
    bracket = next(m for m in scene.marks if (m.role, m.part) == ("bracket", "seat"))
    heights = [y for _, y in corners(bracket)]
    assert max(heights) - min(heights) == pytest.approx(abs(change) * scene.px_per_mm, abs=0.2)
    assert [m.text for m in scene.marks if (m.role, m.part) == ("flag-change", "seat")] == [
        "down 4.0"
    ]


@settings(max_examples=40, deadline=None)
@given(cases(), st.sampled_from(["both", "seated", "standing", "overlay"]),
       st.sampled_from(["found", "target", "left"]), st.sampled_from(["cm", "mm", "in"]))  # fmt: skip
def test_every_case_draws_with_known_inks_and_flags_apart(case, mode, show, unit):
    scene = scene_of(case, mode=mode, show=show, unit=unit)
    flags: dict[str, list[float]] = {}
    for mark in scene.marks:
        assert mark.role in INKS
        assert "nan" not in mark.d
        if mark.role.startswith("flag-") and mark.kind == "path":
            heights = [y for _, y in corners(mark)]
            flags.setdefault(mark.posture, []).append(min(heights))
    for tops in flags.values():
        tops.sort()
        assert all(b - a >= FLAG_H + GAP - 0.3 for a, b in pairwise(tops))
    assert scene_svg({"width": scene.width, "height": scene.height,
                      "marks": [vars(mark) for mark in scene.marks]}).endswith("</svg>")  # fmt: skip


def test_little_measured_is_drawn_faint():
    faint = scene_of(Case(body=Body(values={})))
    roles = {mark.role for mark in faint.marks}
    assert "figure-fill-faint" in roles
    assert "figure-fill" not in roles
    assert "figure-fill" in {mark.role for mark in scene_of(usual_case()).marks}


def test_joint_out_of_band_gets_a_wedge():
    wedge = [
        m for m in scene_of(usual_case(surface=(740,), seat=(400, 510))).marks if m.role == "wedge"
    ]
    assert "elbow" in {mark.part for mark in wedge}


@pytest.mark.parametrize("name", [name for name in MEASURED if name not in PLAN_ONLY])
def test_the_tape_on_the_figure_is_as_long_as_the_dimension(name):
    case = usual_case()
    body = drawable(case.body)[0]
    standing = name in ("stature", "elbow_height_standing", "eye_height_standing")
    pose = (standing_pose if standing else seated_pose)(case, Settings())
    ends = tape_ends(name, pose, 0 if standing else 410, body)
    (x1, y1), (x2, y2) = ends
    slack = {"popliteal_height": 12, "shoulder_elbow_length": 40}.get(name, 0.5)
    assert abs(x2 - x1) + abs(y2 - y1) == pytest.approx(body.mm(name), abs=slack)


def test_every_ink_uses_a_colour_of_the_palette():
    for ink in INKS.values():
        assert {ink.fill, ink.stroke} <= set(PAPER) | {"none", "hatch"}
