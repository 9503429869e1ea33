"""What the page draws by itself is what the server draws once it has kept what was typed."""

from __future__ import annotations

import json
from dataclasses import replace
from datetime import date
from typing import Any

import pytest

from generated_visits import visit_values
from gentle_plumb.core.drawing import SceneRequest
from gentle_plumb.core.fit import fit
from gentle_plumb.core.plans import OwnNumbers, choose
from gentle_plumb.core.plans.plans import what_a_choice_rests_on
from gentle_plumb.core.record import field_of, read_typed
from gentle_plumb.core.what_if import JsonWhatIfSession, VisitInput, analyse_visit, case_of
from gentle_plumb.core.what_if.serialization import to_jsonable, visit_input_to_json
from seeds import SEED

TYPED = (
    ("look.found.seat", "46.5"),
    ("look.found.surface", "71"),
    ("measure.popliteal_height.first", "41.2"),
    ("set.seated.seat", "47"),
    ("work.policy.elbow", "open"),
)
SCENE = {"width": 790, "height": 690, "mode": "both", "unit": "cm", "show": "target"}


def _request(changes: list[tuple[str, str]]) -> str:
    plain = [{"path": path, "typed": typed, "unit": "cm"} for path, typed in changes]
    return json.dumps({"changes": plain, "unit": "cm", "scene": SCENE})


def _visit(seed: int) -> VisitInput:
    return VisitInput(values=visit_values(seed), today=date(2026, 11, 25), sex="female")


def _with(visit: VisitInput, path: str, typed: str) -> VisitInput:
    value = read_typed(field_of(path), typed, unit="cm")
    return replace(visit, values={**visit.values, path: value})


def _drawn(scene: dict[str, Any]) -> list[dict[str, Any]]:
    """What is drawn, but for how sure a target is: that is carried over while somebody types."""
    return [
        mark if mark["role"] != "flag-value" else {**mark, "text": mark["text"].lstrip("~")}
        for mark in scene["marks"]
        if mark["role"] not in SURENESS
    ]


SURENESS = {"spread-wedge", "leader", "flag-estimated", "flag-off", "flag-on"}
"""Roles of marks that say how sure a height is; the height itself stands on its flag."""


@pytest.mark.parametrize("number", range(6))
def test_the_drawing_ahead_is_the_servers_drawing(number: int) -> None:
    visit = _visit(SEED + number)
    session = JsonWhatIfSession(json.dumps(visit_input_to_json(visit)))
    session.settle(_request([]))
    for path, typed in TYPED:
        ahead = json.loads(session.draw_ahead(_request([(path, typed)])))
        visit = _with(visit, path, typed)
        server = analyse_visit(visit, "cm")
        asked = SceneRequest(**SCENE)
        drawn = json.loads(json.dumps(to_jsonable(server.scene(asked))))
        assert _drawn(ahead) == _drawn(drawn), path
        session.keep(json.dumps({path: visit.values[path]}))
        session.settle(_request([]))
        kept = json.loads(session.draw_ahead(_request([])))
        assert kept["marks"] == drawn["marks"], path


def test_what_cannot_be_read_is_left_out_and_the_rest_is_drawn() -> None:
    visit = _visit(SEED)
    session = JsonWhatIfSession(json.dumps(visit_input_to_json(visit)))
    wrong = [("look.found.seat", "4500"), ("look.found.surface", "seven"), ("no.such.field", "1")]
    right = [("work.policy.elbow", "open")]
    assert session.draw_ahead(_request([*wrong, *right])) == session.draw_ahead(_request(right))


def test_settings_as_found_ask_for_no_other_additions() -> None:
    """A choice is the same whatever was found, so it is made once for all of it."""
    looked_at = 0
    for number in range(8):
        case = case_of(_visit(SEED + number))
        found = replace(
            case.found_seated,
            **{
                key: value + 15.0
                for key in ("surface", "screen_top", "lumbar", "mouse")
                if (value := case.found_seated.get(key)) is not None
            },
        )
        other = replace(case, found_seated=found)
        assert what_a_choice_rests_on(other) == what_a_choice_rests_on(case)
        for tier in ("room", "lasting"):
            first, second = choose(case, tier), choose(other, tier, OwnNumbers())
            assert second is first
        looked_at += fit(other) != fit(case)
    assert looked_at  # what is set does depend on it
