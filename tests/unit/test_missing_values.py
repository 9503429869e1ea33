"""Any value may be missing, and any two: there is a result, and it names what it waits for."""

import json
from itertools import combinations
from pathlib import Path

import pytest

from generated_visits import visit_values
from gentle_plumb.core.body import DIMENSIONS
from gentle_plumb.core.what_if import VisitInput, analyse_visit
from gentle_plumb.documents.fit_files import brief, read_case
from plain_visit import PLAIN, worked
from seeds import SEED

EXAMPLES = Path(__file__).parents[2] / "docs" / "formats" / "examples"
WHOLE = visit_values(SEED + 1)
MEASURED = sorted(name for name in DIMENSIONS if f"measure.{name}.first" in WHOLE)


def without(*names):
    left_out = {f"measure.{name}.{which}" for name in names for which in ("first", "second")}
    return {path: value for path, value in WHOLE.items() if path not in left_out | set(names)}


def reasons(values):
    """Every reason a row gives for having no target; a row without one must give a reason."""
    visit = analyse_visit(VisitInput(values=values, today=None, sex="female"), "cm")
    assert visit.findings
    rows = [row for fit in (visit.result.seated, visit.result.standing) for row in fit.rows]
    assert [row.key for row in rows if row.target is None and not row.reason] == []
    return " ".join(row.reason for row in rows if row.target is None)


@pytest.mark.parametrize(
    "path",
    [
        "ask.shoe_seated",
        "look.keyboard.thickness",
        "look.found.seat",
        "look.found.screen_top",
        "measure.elbow_height_sitting.first",
    ],
)
def test_the_value_that_would_tell_most_is_named(path):
    assert worked(PLAIN).decider is None
    left_out = worked({name: one for name, one in PLAIN.items() if name != path})
    assert left_out.decider.field == path
    assert left_out.decider.label != "First reading"


def test_where_nothing_of_the_body_is_known_its_height_is_asked_for_first():
    nobody = {path: one for path, one in PLAIN.items() if not path.startswith("measure.")}
    assert worked(nobody).decider.field == "measure.stature.first"


def test_a_belly_measured_before_anything_else_is_worked_with():
    only = {name for name in MEASURED if name not in ("stature", "abdominal_depth_sitting")}
    said = reasons(without(*only))
    assert "Elbow height, seated can’t be estimated" in said


def test_any_one_value_of_a_visit_may_be_missing():
    for path in sorted(WHOLE):
        reasons(without(path.split(".")[1] if path.startswith("measure.") else path))


def test_any_two_dimensions_may_be_missing_and_any_two_may_be_all_there_is():
    for pair in combinations(MEASURED, 2):
        reasons(without(*pair))
        reasons(without(*(set(MEASURED) - set(pair))))


def _parts(value, path=()):
    """Every path into a case at which something can be left out."""
    if isinstance(value, dict):
        for key, inner in value.items():
            yield (*path, key)
            yield from _parts(inner, (*path, key))


def _cut(case, *paths):
    result = json.loads(json.dumps(case))
    for path in paths:
        inner = result
        for key in path[:-1]:
            inner = inner.get(key, {}) if isinstance(inner, dict) else {}
        if isinstance(inner, dict):
            inner.pop(path[-1], None)
    return result


def _answered(case, *paths):
    """The case is worked out, or refused by name while it is read."""
    try:
        document = read_case(json.dumps(_cut(case, *paths)))
    except ValueError:
        return  # what it says is held in test_case_files
    assert brief(document, 1)["plans"]


@pytest.mark.parametrize("name", sorted(path.name for path in EXAMPLES.glob("*.case.json")))
def test_any_part_of_a_case_may_be_missing(name):
    case = json.loads((EXAMPLES / name).read_text("utf-8"))
    values = case["body"]["values"]
    values.setdefault("abdominal_depth_sitting", {"readings": [230, 230]})
    for path in _parts(case):
        _answered(case, path)
    body = [("body", "values", dimension) for dimension in values]
    if name.startswith("fixed-desk"):
        for pair in combinations(body, 2):
            _answered(case, *pair)
