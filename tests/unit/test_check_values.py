"""The worked values of the model, exact to a tenth of a millimetre."""

import json
from dataclasses import replace
from pathlib import Path

import pytest

from gentle_plumb.core.fit import Case, Policy, fit, total
from gentle_plumb.core.fit.distance import distance_terms
from gentle_plumb.core.fit.frame import legs_terms
from gentle_plumb.core.fit.hand_rows import keys_terms
from gentle_plumb.core.fit.screen_rows import eye_height_terms
from gentle_plumb.core.posture import abduction_deg, gaze_deg, reach_to_keys
from strategies import mean_body

REFERENCE = json.loads(
    (Path(__file__).parents[1] / "reference" / "check_values.json").read_text(encoding="utf-8")
)
SEX = {"woman": "female", "man": "male"}


@pytest.fixture(params=["woman", "man"])
def who(request):
    return request.param


def case_of(who, **policy):
    return Case(body=mean_body(SEX[who]), shoe_seated=25, shoe_standing=25, policy=Policy(**policy))


def test_heights_by_the_body_chain(who):
    known, case = REFERENCE[who], case_of(who)
    seat = total(legs_terms(case.body, case))
    upright = replace(case, policy=Policy(recline=0))
    heights = {
        "seat_legs": seat,
        "home_row_upright_90": total(keys_terms(case.body, upright, "seated", seat, 90)),
        "home_row_recline_10_elbow_95": total(keys_terms(case.body, case, "seated", seat, 95)),
        "eye_recline_10": total(eye_height_terms(case.body, case, "seated", seat)),
        "standing_home_row_95": total(keys_terms(case.body, case, "standing", None, 95)),
        "eye_to_screen": total(distance_terms(case.body, case)),
    }
    assert heights == pytest.approx({key: known[key] for key in heights}, abs=0.05)


@pytest.mark.parametrize(("who", "offset"), [("woman", 345), ("woman", 450), ("man", 450)])
def test_upper_arm_for_a_mouse_far_out(who, offset):
    body = mean_body(SEX[who])
    angle = abduction_deg(
        offset=offset,
        biacromial=body.mm("shoulder_breadth_biacromial"),
        reach=reach_to_keys(
            elbow_fingertip_length=body.mm("elbow_fingertip_length"),
            hand_length=body.mm("hand_length"),
        ),
        shoulder_elbow_length=body.mm("shoulder_elbow_length"),
    )
    assert angle == pytest.approx(REFERENCE[who][f"mouse_{offset}_deg"], abs=0.05)


def test_gaze_to_top_centre_and_bottom():
    known = REFERENCE["gaze_woman_299_high_at_625_top_edge_deg"]
    below = {"top": 0.0, "centre": -299 / 2, "bottom": -299}
    seen = {name: gaze_deg(above_eye=down, distance=625) for name, down in below.items()}
    assert seen == pytest.approx(known, abs=0.06)


def test_slump_only_where_measured_erect():
    relaxed = case_of("woman")
    erect = replace(relaxed, body=replace(relaxed.body, posture="erect"))
    drop = {
        key: fit(relaxed).row("seated", key).target - fit(erect).row("seated", key).target
        for key in ("keys", "screen_top", "seat")
    }
    assert drop == pytest.approx({"keys": 15, "screen_top": 25, "seat": 0})
