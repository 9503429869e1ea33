"""The page with values missing: every step stands, whatever was left out."""

import os
from itertools import combinations
from random import Random
from uuid import uuid4

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import open_step, visit_id

pytestmark = pytest.mark.browser
PAIRS = int(os.environ.get("GENTLE_PLUMB_PAIRS", "8"))
"""Every value and every pair go through the core and the API; so many drawn pairs are looked at in the page."""


def test_every_step_stands_whatever_two_values_are_missing(desk: Page, program):
    """Values of a whole visit are left out two by two, in an order drawn anew each time."""
    visit = visit_id(desk, program, "Hugo")
    token = desk.request.get(f"{program.address}/api/session", max_retries=3).json()["csrf"]
    entries = desk.request.get(f"{program.address}/api/visits/{visit}", max_retries=3).json()[
        "entries"
    ]
    typed = {path: one["typed"] for path, one in entries.items()}
    version = {path: one["version"] for path, one in entries.items()}

    def write(path: str, text: str) -> None:
        answer = desk.request.put(
            f"{program.address}/api/visits/{visit}/changes/{uuid4()}",
            data={"path": path, "typed": text, "expected_version": version[path], "unit": "cm"},
            headers={"X-Plumb-Csrf": token},
        )
        assert answer.ok, answer.text()
        version[path] = answer.json()["entry"]["version"]

    dimensions = {path.split(".")[1] for path in entries if path.startswith("measure.")}
    names = sorted(dimensions) + [path for path in sorted(entries) if path.startswith("look.")]
    seed = uuid4().int % 10**6
    print(f"seed {seed}")
    pairs = list(combinations(names, 2))
    Random(seed).shuffle(pairs)
    for one, other in pairs[:PAIRS]:
        starts = tuple(f"measure.{name}." for name in (one, other))
        gone = [path for path in typed if path in (one, other) or path.startswith(starts)]
        for path in gone:
            write(path, "")
        open_step(desk, program, "Hugo", "work")
        for key in ("5", "6", "7", "2"):
            desk.keyboard.press(key)
            expect(desk.locator("#main :is(h2, h3)").first).to_be_visible()
        assert desk.get_by_role("heading", name="Something went wrong on this page").count() == 0, (
            gone
        )
        for path in gone:
            write(path, typed[path])
