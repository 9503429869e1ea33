"""What the bench prints beside a figure: how many times the last release's it is."""

from __future__ import annotations

import json

import pytest
from rich.console import Console

from plumb_bench import rows
from plumb_bench.rows import Figure, Rows


@pytest.fixture
def machine(monkeypatch):
    """A machine whose speed can be set: ms that the yardstick takes."""
    speed = {"ms": 20.0}
    monkeypatch.setattr(rows, "yardstick_ms", lambda: speed["ms"])
    return speed


def printed(path, figures, *, record=False):
    console = Console(record=True, width=160)
    Rows(console, record, path).add_row("a fit", figures, "under 20 ms")
    return console.export_text()


def test_figures_are_held_against_the_last_release_at_the_same_speed(tmp_path, machine):
    path = tmp_path / "bench.json"
    printed(
        path, [Figure("median", 10.0), Figure("held", 200.0, "MB"), "same optimum"], record=True
    )
    machine["ms"] = 40.0  # half as fast
    now = printed(path, [Figure("median", 30.0), Figure("held", 100.0, "MB"), Figure("new", 1.0)])
    assert "1.50 0.50 times" in now


def test_a_row_of_its_own_time_leaves_the_others_of_the_release(tmp_path, machine):
    path = tmp_path / "bench.json"
    path.write_text(
        json.dumps(
            {"version": "0.1.0", "rows": {"old": {"figures": {"a": 1.0}, "yardstick_ms": 20}}}
        )
    )
    printed(path, [Figure("many", 40.0, "a second")], record=True)
    held = json.loads(path.read_text())
    assert set(held["rows"]) == {"old", "a fit"}
    assert held["version"] != "0.1.0"
    assert "many" in held["rows"]["a fit"]["figures"]
    machine["ms"] = 10.0  # twice as fast: twice as many are expected
    assert "0.50 times" in printed(path, [Figure("many", 40.0, "a second")])
