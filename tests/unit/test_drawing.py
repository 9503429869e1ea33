import math
import re
from dataclasses import replace
from datetime import date
from itertools import pairwise
from math import hypot

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from gentle_plumb.core.body import DIMENSIONS, Body
from gentle_plumb.core.drawing import SceneRequest, draw_scene
from gentle_plumb.core.drawing.flags import FLAG_H, GAP, fan_out
from gentle_plumb.core.drawing.history import HistoryPoint, history_marks
from gentle_plumb.core.drawing.inks import INKS, PAPER
from gentle_plumb.core.fit import Case, fit
from gentle_plumb.core.observation import HABITS
from gentle_plumb.core.record.fields.measure import MEASURED
from gentle_plumb.core.workstation import Details, Mouse, Settings, SideScreen
from gentle_plumb.documents.scene_svg import scene_svg
from strategies import bodies, cases, mean_body, usual_case


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
            mark
            for mark in scene.marks
            if (mark.role, mark.part, mark.posture) == ("leader", "screen_top", posture)
        )
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
    flag = next(m for m in scene.marks if (m.role, m.part) == ("flag-off", "seat"))
    assert flag.text == "Seat, seated: 41.0\u00a0cm over the floor, down 4.0\u00a0cm"


@settings(max_examples=40, deadline=None)
@given(
    cases(),
    st.sampled_from(["both", "seated", "standing", "overlay"]),
    st.sampled_from(["found", "target", "left"]),
    st.sampled_from(["cm", "mm", "in"]),
)
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
    assert scene_svg(
        {
            "width": scene.width,
            "height": scene.height,
            "marks": [vars(mark) for mark in scene.marks],
        }
    ).endswith("</svg>")


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


def arrow_of(scene):
    arrow = next(mark for mark in scene.marks if mark.role == "measure-arrow")
    (x1, y1), (x2, y2) = corners(arrow)
    return hypot(x2 - x1, y2 - y1)


@pytest.mark.parametrize("name", MEASURED)
@pytest.mark.parametrize("sex", ["female", "male"])
def test_the_arrow_on_the_figure_is_the_dimension_to_scale(name, sex):
    case = usual_case(sex)
    request = SceneRequest(layer="measuring", tape=name)
    scene = draw_scene(case, fit(case), request)
    assert arrow_of(scene) / scene.px_per_mm == pytest.approx(case.body.mm(name), abs=0.8)
    words = {mark.text for mark in scene.marks if mark.role == "measure-landmark"}
    assert words == {DIMENSIONS[name].start, DIMENSIONS[name].end}


@pytest.mark.parametrize("name", MEASURED)
@settings(max_examples=12, deadline=None)
@given(body=bodies())
def test_every_arrow_of_every_body_stays_on_the_sheet(name, body):
    scene = draw_scene(
        Case(body=body),
        fit(Case(body=body)),
        SceneRequest(layer="measuring", tape=name, width=640, height=600),
    )
    for mark in scene.marks:
        if mark.role == "measure-landmark":
            assert 0 <= mark.x <= 640 - 6 * len(mark.text)
        if mark.role in ("measure-arrow", "measure-end", "figure-line") and mark.d:
            left, top, right, bottom = spread(mark)
            assert left >= -1
            assert right <= 641
            assert top >= -1
            assert bottom <= 601


def test_without_a_reading_there_is_only_the_place_of_it():
    body = mean_body()
    del body.values["popliteal_height"]
    case = Case(body=body)
    scene = draw_scene(case, fit(case), SceneRequest(layer="measuring", tape="popliteal_height"))
    assert arrow_of(scene) == 0
    assert "measure-value" not in {mark.role for mark in scene.marks}


def test_a_flags_wedge_is_as_wide_as_four_standard_deviations():
    case = usual_case()
    scene, result = scene_of(case), fit(case)
    for key in ("seat", "surface", "screen_top"):
        wedge = next(
            m for m in scene.marks if (m.role, m.part, m.posture) == ("spread-wedge", key, "seated")
        )
        height = float(re.search(r"v(-?[\d.]+)", wedge.d)[1])
        assert height == pytest.approx(4 * result.row("seated", key).sd * scene.px_per_mm, abs=0.06)


def test_the_history_plot_shows_every_value_and_never_a_leap_of_a_millimetre():
    def points(*mm):
        return [
            HistoryPoint(on=date(2026, month, 1), mm=value, sd_mm=1, source=source)
            for month, value, source in zip(
                (1, 5, 9), mm, ("measured", "carried_over", "measured"), strict=True
            )
        ]

    flat, steep = (
        [m for m in history_marks(points(*mm), "cm") if m.kind == "dot"]
        for mm in ((400, 400, 401), (400, 400, 460))
    )
    assert [mark.role for mark in flat] == ["history-dot", "history-dot-open", "history-dot"]
    assert abs(flat[2].y - flat[0].y) < 4 < abs(steep[2].y - steep[0].y)


def test_every_ink_uses_a_colour_of_the_palette():
    for ink in INKS.values():
        assert {ink.fill, ink.stroke} <= set(PAPER) | {"none", "hatch"}


def spread(mark):
    """Left, top, right, bottom of a path, px."""
    xs, ys = zip(*corners(mark), strict=True)
    return min(xs), min(ys), max(xs), max(ys)


@pytest.mark.parametrize("size", [(860, 700), (560, 640), (1300, 820)])
@pytest.mark.parametrize("mode", ["both", "seated", "standing", "overlay"])
def test_flags_staff_and_figures_stay_on_the_sheet(size, mode):
    scene = scene_of(usual_case("male"), width=size[0], height=size[1], mode=mode)
    for mark in scene.marks:
        if mark.role.startswith(("flag-", "staff", "figure")) and mark.kind == "path" and mark.d:
            left, top, right, bottom = spread(mark)
            assert left >= -1, mark.role
            assert right <= size[0] + 1, mark.role
            assert top >= 0, mark.role
            assert bottom <= size[1], mark.role


def test_plumb_line_hangs_from_the_ear_straight_down():
    scene = scene_of(usual_case())
    lines = [mark for mark in scene.marks if mark.role == "plumb"]
    ears = [mark for mark in scene.marks if mark.role == "plumb-ear"]
    assert len(lines) == len(ears) == 2
    for line, ear in zip(lines, ears, strict=True):
        (x1, y1), (x2, y2) = corners(line)
        assert (x1, y1) == pytest.approx((ear.x, ear.y), abs=0.06)
        assert x1 == x2
        assert y2 > y1


def test_the_wedge_is_as_wide_as_the_excess():
    case = usual_case(surface=(740,), seat=(400, 510))
    elbow = next(j for j in fit(case).seated.joints_set if j.joint == "elbow")
    wedge = next(
        m
        for m in scene_of(case).marks
        if (m.role, m.part, m.posture) == ("wedge", "elbow", "seated")
    )
    centre, first, *_, last = corners(wedge)

    def bearing(point):
        return math.degrees(math.atan2(point[1] - centre[1], point[0] - centre[0]))

    assert abs(bearing(last) - bearing(first)) == pytest.approx(abs(elbow.excess_deg), abs=0.4)


def test_gaze_ends_on_the_picture_and_starts_in_the_eye():
    scene = scene_of(usual_case(), mode="seated")
    gaze = next(m for m in scene.marks if m.role == "gaze" and m.posture == "seated")
    eye = next(m for m in scene.marks if m.role == "eye")
    picture = next(m for m in scene.marks if m.role == "picture" and m.posture == "seated")
    assert corners(gaze)[0] == pytest.approx((eye.x, eye.y), abs=0.06)
    assert corners(gaze)[1] == pytest.approx(corners(picture)[0], abs=0.06)


def test_the_plan_mirrors_for_the_left_hand():
    def mouse_side(hand):
        case = usual_case()
        case = replace(case, workstation=replace(case.workstation, mouse=Mouse(hand=hand)))
        marks = scene_of(case).marks
        limb = next(m for m in marks if m.role == "limb")
        return corners(limb)[-1][0] - corners(limb)[0][0]

    assert mouse_side("right") > 0 > mouse_side("left")


@pytest.mark.parametrize(("unit", "step"), [("cm", 100), ("mm", 100), ("in", 101.6)])
def test_numerals_on_the_staff_are_at_their_heights(unit, step):
    scene = scene_of(usual_case(), unit=unit)
    floor = next(corners(mark)[0][1] for mark in scene.marks if mark.role == "floor")
    numerals = [mark for mark in scene.marks if mark.role == "staff-numeral"]
    assert len(numerals) > 10
    for index, mark in enumerate(numerals, start=1):
        assert mark.y - 4 == pytest.approx(floor - index * step * scene.px_per_mm, abs=0.1)
        assert float(mark.text) == pytest.approx(
            index * step / {"cm": 10, "mm": 1, "in": 25.4}[unit]
        )


def test_the_ground_rule_is_to_scale():
    scene = scene_of(
        usual_case(found={"distance": 540, "seat": 430, "surface": 700}),
        show="found",
        mode="seated",
    )
    line = next(m for m in scene.marks if (m.role, m.part) == ("rule", "distance"))
    left, _, right, _ = spread(line)
    assert right - left == pytest.approx(540 * scene.px_per_mm, abs=0.2)
    assert "54.0 cm" in [m.text for m in scene.marks if m.role == "rule-value"]


def test_words_in_a_printed_drawing_are_escaped():
    marks = [{"kind": "text", "role": "caption", "x": 1, "y": 2, "anchor": "start", "text": "<b>&"}]
    svg = scene_svg({"width": 10, "height": 10, "marks": marks})
    assert "&lt;b&gt;&amp;" in svg


def test_a_joint_on_the_edge_of_its_band_is_no_excess():
    body = mean_body(
        eye_height_sitting=767.3, shoulder_height_sitting=573.1, popliteal_height=422.3
    )
    for lift in ((300, 700), (350, 560)):
        case = usual_case(body=body, lift=lift)
        marks = scene_of(case).marks
        assert "neck" not in {mark.part for mark in marks if mark.role in ("wedge", "dial-off")}


@pytest.mark.parametrize("width", [520, 790])
@pytest.mark.parametrize("posture", ["seated", "standing"])
def test_every_habit_has_a_field_for_a_finger_tied_to_its_joint(width, posture):
    case = usual_case()
    request = SceneRequest(width=width, height=630, mode=posture, layer="habits")
    seen = {"slumping": "Often", "wrist_back": "Often, right", "weight_one_leg": ""}
    scene = draw_scene(case, fit(case), request, seen=seen)
    fields = [mark for mark in scene.marks if mark.role in ("habit-on", "habit-off")]
    wanted = {habit.id for habit in HABITS.values() if habit.posture == posture and habit.on_figure}
    assert {mark.part for mark in fields} == wanted
    assert {mark.part for mark in fields if mark.role == "habit-on"} == wanted & set(seen)
    boxes = []
    for mark in fields:
        x, y, wide, tall = map(
            float, re.match(r"M([\d.]+) ([\d.]+)h([\d.]+)v([\d.]+)h", mark.d).groups()
        )
        assert tall >= 44
        assert 0 <= x <= x + wide <= width
        assert 0 <= y <= y + tall <= 630
        boxes.append((x, y, tall))
    for x in {box[0] for box in boxes}:
        column = sorted(box[1:] for box in boxes if box[0] == x)
        assert all(a[0] + a[1] < b[0] for a, b in pairwise(column))
    assert len([mark for mark in scene.marks if mark.role == "habit-joint"]) == len(wanted)


@pytest.mark.parametrize("kind", ["task", "stool", "dining", "wheelchair", None])
def test_chairs_are_drawn_as_what_they_are(kind):
    case = usual_case(found={"seat": 430.0})
    chair = replace(case.workstation.chair, kind=kind)
    case = replace(case, workstation=replace(case.workstation, chair=chair))
    scene = draw_scene(case, fit(case), SceneRequest(show="found"))
    roles = [mark.role for mark in scene.marks]
    assert ("backrest" in roles) == (kind != "stool")
    assert roles.count("plumb-ear") == 1  # nobody recorded how they stand


BESIDE = {"screen2_top": 1200.0, "screen2_distance": 700.0, "screen2_bearing": 40.0}


def test_what_is_found_beside_the_settings_is_drawn_at_once():
    case = usual_case(found={"seat": 430.0, "surface": 700.0, "distance": 600.0})

    def marks(show="found", **details):
        found = case.found_seated.over(Settings(**details.pop("found", {})))
        drawn = replace(case, found_seated=found, details=Details(**details))
        return draw_scene(drawn, fit(drawn), SceneRequest(width=1000, height=800, show=show)).marks

    plain = marks()
    for details in (
        {"found": {"keys_edge": 150.0}},
        {"found": {"backrest": 118.0}},
        {"underside": 600.0},
        {"armrest_gap": 520.0},
        {"found": {"screen_bearing": 30.0}},
        {"side_screens": (SideScreen(),), "found": BESIDE},
    ):
        assert marks(**details) != plain, details
    sides = [
        mark
        for mark in marks(show="target", side_screens=(SideScreen(),), found=BESIDE)
        if mark.role == "picture-side"
    ]
    assert len(sides) == 2  # from the side and from above
    assert marks(show="target", found={"keys_edge": 150.0}) == marks(show="target")


@pytest.mark.parametrize("seat", [400, 520])
def test_a_chair_stands_on_castors_at_the_ends_and_the_middle_of_its_base(seat):
    scene = scene_of(usual_case(found={"seat": seat}), mode="seated")
    floor = next(corners(mark)[0][1] for mark in scene.marks if mark.role == "floor")
    castors = [mark for mark in scene.marks if mark.role == "castor"]
    assert len(castors) == 3
    assert [castor.y + castor.size for castor in castors] == pytest.approx([floor] * 3, abs=0.2)
    [base] = [
        [x for x, _ in corners(mark)]
        for mark in scene.marks
        if mark.role == "column"
        and len(corners(mark)) == 3
        and mark.posture == "seated"
        and corners(mark)[0][1] == corners(mark)[2][1]
    ]
    assert [castor.x for castor in castors] == pytest.approx(base, abs=0.2)
    assert (
        450 <= (base[2] - base[0]) / scene.px_per_mm <= 700
    )  # it neither tips nor is tripped over
