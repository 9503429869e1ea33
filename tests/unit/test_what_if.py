"""The bench of "what if": what is tried counts, nothing else does, whatever was tried before."""

import json
from datetime import date
from random import Random

import pytest

from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.policy import POLICY_QUESTIONS
from gentle_plumb.core.what_if import (
    JsonWhatIfSession,
    VisitInput,
    WhatIfRequest,
    WhatIfSession,
    analyse_visit,
    visit_input_to_json,
)
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import full_visit
from seeds import SEED


def visit_input(name):
    values, _ = full_visit(name)
    sex = next(demo_client.sex for demo_client in DEMO_CLIENTS if demo_client.name == name)
    return VisitInput(values=values, today=date(2026, 11, 25), sex=sex)


@pytest.fixture(scope="module")
def bram():
    return visit_input("Bram Tolliver")


def some_tries(draw):
    """A hand that moves one thing and another, takes things back, and chooses otherwise."""
    every = {
        "work.seated.surface": lambda: f"{draw.randint(620, 780)} mm",
        "work.seated.seat": lambda: f"{draw.randint(400, 520)} mm",
        "work.standing.screen_top": lambda: f"{draw.randint(1500, 1700)} mm",
        "work.seated.distance": lambda: f"{draw.randint(450, 800)} mm",
        "work.number.recline": lambda: f"{draw.randint(0, 25)}",
        "work.policy.back": lambda: draw.choice(list(POLICY_QUESTIONS["back"].positions)).id,
        "look.desk.thickness": lambda: f"{draw.randint(20, 60)} mm",
        "work.plan": lambda: draw.choice(["room", "little", "lasting"]),
    }
    return {path: every[path]() for path in draw.sample(list(every), draw.randint(0, 4))}


@pytest.mark.parametrize("name", ["Bram Tolliver", "Yara Fenwick"])
def test_a_bench_answers_the_same_whatever_was_tried_before(name):
    draw = Random(SEED)
    given = json.dumps(visit_input_to_json(visit_input(name)))
    used = JsonWhatIfSession(given)
    for number in range(25):
        request = {
            "overrides": some_tries(draw),
            "unit": draw.choice(["cm", "mm", "in"]),
            "against": draw.choice([None, {"work.seated.seat": "45 cm"}]),
            "behind": draw.random() < 0.3,
            "plans": draw.random() < 0.1,
            "found": draw.random() < 0.2,
            "brief": draw.random() < 0.7,
            "scene": {
                "width": 700,
                "height": 600,
                "unit": "cm",
                "show": "target",
                "mode": draw.choice(["both", "seated", "overlay"]),
                "grips": draw.random() < 0.5,
            },
        }
        text = json.dumps(request)
        answer = used.try_out(text)
        assert json.loads(answer) == json.loads(JsonWhatIfSession(given).try_out(text)), (
            f"try {number} of seed {SEED}"
        )


def test_what_can_not_be_read_is_said_and_the_rest_counts(bram):
    tried = WhatIfSession(bram).try_out(
        WhatIfRequest(
            overrides={
                "work.seated.seat": "4 m",
                "work.seated.surface": "70",
                "work.number.recline": "steep",
            }
        )
    )
    assert [trouble.field for trouble in tried.troubles] == [
        "work.seated.seat",
        "work.number.recline",
    ]
    assert "25.0 to 90.0 cm" in tried.troubles[0].detail
    assert next(row for row in tried.rows if row.key == "surface").setting == "70.0"


def test_a_hand_that_tries_buys_nothing_on_its_way():
    bench = WhatIfSession(visit_input("Yara Fenwick"))

    def footrest(**tries):
        tried = bench.try_out(WhatIfRequest(overrides=tries))
        return next(row for row in tried.rows if row.key == "footrest")

    high = footrest(**{"work.seated.seat": "54"})
    assert high.setting == footrest().setting == "13.0"
    assert high.limits == ["foot support ends at 13.0 cm, 3.1 cm short"]


def test_the_visits_own_findings_go_come_or_stay(bram):
    bench = WhatIfSession(bram)
    best = bench.try_out(WhatIfRequest(overrides={}))
    off = {finding.id for finding in analyse_visit(bram, "cm").findings if finding.state == "off"}
    gone = {one.id for one in best.resolved}
    assert {"seated.seat", "seated.surface", "standing.screen_top"} <= gone <= off
    assert (best.new, best.unchanged) == ([], len(off) - len(gone))
    low = bench.try_out(
        WhatIfRequest(overrides={"work.seated.seat": "40", "work.seated.tilt": "40"})
    )
    assert "seated.seat" not in {one.id for one in low.resolved}
    assert "Screen tilt" in [one.text for one in low.new]
    brief = bench.try_out(WhatIfRequest(overrides={}, brief=True))
    assert (brief.resolved, brief.new, brief.unchanged) == ([], [], 0)


def test_what_a_number_of_ones_own_moves_is_told_to_the_millimetre(bram):
    def moved(seat, against):
        request = WhatIfRequest(
            overrides={"work.seated.seat": seat}, against={"work.seated.seat": against}
        )
        changes = WhatIfSession(bram).try_out(request).setting_changes
        return [(one.before, one.after) for one in changes if one.id == "seat"]

    assert moved("45", "44.8") == [("44.8", "45.0")]
    assert moved("45", "46") == [("46.0", "45.0")]
    assert moved("45", "45") == []


def test_brief_answers_say_the_same_settings_bands_and_movements(bram):
    bench, tries = WhatIfSession(bram), {"work.seated.surface": "72", "work.number.recline": "15"}
    brief = bench.try_out(WhatIfRequest(overrides=tries, brief=True))
    whole = bench.try_out(WhatIfRequest(overrides=tries))
    assert (brief.setting_changes, brief.findings, brief.excess_deg) == (
        whole.setting_changes,
        whole.findings,
        whole.excess_deg,
    )
    for one, other in zip(brief.rows, whole.rows, strict=True):
        assert (one.setting, one.band, one.status, one.limits) == (
            other.setting,
            other.band,
            other.status,
            other.limits,
        )
    assert brief.scene.px_per_mm == whole.scene.px_per_mm


def test_the_drawing_behind_is_what_it_is_compared_with(bram):
    bench = WhatIfSession(bram)
    low = WhatIfRequest(overrides={"work.seated.seat": "42"}, scene=SceneRequest(mode="seated"))
    behind = bench.try_out(
        WhatIfRequest(overrides={}, against=low.overrides, behind=True, scene=low.scene)
    ).scene
    ghost = next(mark for mark in behind.marks if mark.role == "ghost-line")
    alone = bench.try_out(low).scene.marks
    figure = next(mark for mark in alone if (mark.role, mark.posture) == ("figure-line", "seated"))
    assert ghost.d == figure.d
