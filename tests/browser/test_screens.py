"""Every screen: accessible by day and night, by key alone, and on a small tablet."""

import re

import pytest
from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Page, expect

from browser.conftest import open_step

pytestmark = pytest.mark.browser
STEPS = ("ask", "look", "measure", "work", "set", "pace", "report")


def serious(page: Page) -> list[str]:
    """What axe finds serious or worse, with where."""
    found = Axe().run(page).response["violations"]
    return [
        f"{rule['id']}: {node['target']} {node['failureSummary']}"
        for rule in found
        if rule["impact"] in ("serious", "critical")
        for node in rule["nodes"]
    ]


def test_nothing_serious_outside_a_visit(page: Page, desk: Page, program):
    assert serious(desk) == []
    desk.get_by_role("link", name="Clients").click()
    expect(desk.get_by_role("heading", name="Clients")).to_be_visible()
    assert serious(desk) == []
    desk.get_by_role("button", name="New client").click()
    assert serious(desk) == []
    desk.keyboard.press("Escape")
    desk.keyboard.press("p")
    expect(desk.get_by_role("heading", name="People")).to_be_visible()
    assert serious(desk) == []
    desk.keyboard.press("?")
    expect(desk.get_by_role("heading", name="Keys and marks")).to_be_visible()
    assert serious(desk) == []
    desk.keyboard.press("Escape")
    desk.get_by_role("button", name="Sign out").click()
    expect(desk.get_by_role("button", name="Sign in")).to_be_visible()
    assert serious(desk) == []


@pytest.mark.parametrize("night", [False, True], ids=["day", "night"])
def test_nothing_serious_on_any_step(desk: Page, program, night):
    if night:
        desk.get_by_role("button", name="Night").click()
    for name in ("Bram",) if night else ("Bram", "Jonas"):
        for step in STEPS:
            open_step(desk, program, name, step)
            if step == "work":
                desk.get_by_role("button", name="Screen top").first.click()
            assert serious(desk) == [], (name, step)


def test_by_key_alone(desk: Page, program):
    open_step(desk, program, "Bram", "ask")
    for index, step in enumerate(STEPS, start=1):
        desk.keyboard.press(str(index))
        desk.wait_for_url(f"**/{step}")
        desk.locator("h2").first.wait_for()
        desk.evaluate("() => document.activeElement.blur()")
    desk.keyboard.press("1")
    desk.get_by_role("tab", name="Consent").focus()
    desk.keyboard.press("ArrowDown")
    expect(desk.get_by_role("tab", name="Reason")).to_be_focused()
    expect(desk.get_by_label("Reason for the visit")).to_be_visible()
    desk.keyboard.press("ArrowUp")
    desk.keyboard.press("2")
    seat = desk.get_by_role("textbox", name="Seat height, client seated")
    expect(seat).to_be_focused()
    seat.press("Enter")
    expect(desk.get_by_role("textbox", name="Surface", exact=True)).to_be_focused()
    desk.evaluate("() => document.activeElement.blur()")
    desk.keyboard.press("4")
    expect(desk.get_by_role("button", name=re.compile(r"Seat .*46.0\scm"))).to_be_visible()
    desk.keyboard.press("u")
    desk.keyboard.press("u")
    expect(desk.get_by_role("button", name=re.compile("Seat .*18.1. in"))).to_be_visible()
    desk.keyboard.press("u")
    desk.keyboard.press("o")
    expect(desk.get_by_role("radio", name="Overlay")).to_be_checked()


def test_a_press_in_the_drawing_leads_to_the_field_and_back(desk: Page, program):
    open_step(desk, program, "Bram", "look")
    desk.get_by_role("button", name=re.compile("^Surface, seated")).press("Enter")
    surface = desk.get_by_role("textbox", name="Surface", exact=True)
    expect(surface).to_be_focused()
    lit = desk.get_by_role("button", name=re.compile("^Surface, seated"))
    expect(lit).to_have_css("stroke-width", "2.6px")


def test_a_doubtful_value_is_questioned_with_a_correction(desk: Page, program):
    open_step(desk, program, "Yara", "measure")
    desk.get_by_role("button", name="Arm length").click()
    for label in ("First reading", "Second reading"):
        desk.get_by_label(label).fill("26")
        desk.get_by_label(label).press("Tab")
    expect(desk.get_by_role("alert")).to_have_count(2)  # 26 cm is no arm
    for label in ("First reading", "Second reading"):
        desk.get_by_label(label).fill("48")
        desk.get_by_label(label).press("Tab")
    expect(desk.get_by_text("is far from")).to_be_visible()
    desk.get_by_label("First reading").fill("66")
    desk.get_by_label("Second reading").fill("69")
    expect(desk.get_by_text("take a third")).to_be_visible()
    desk.get_by_label("Third reading").fill("66.4")
    expect(desk.get_by_text("66.4 cm").last).to_be_visible()


def test_one_posture_at_a_time_on_a_small_tablet(desk: Page, program):
    desk.set_viewport_size({"width": 1024, "height": 768})
    open_step(desk, program, "Bram", "work")
    expect(desk.get_by_role("radio", name="Seated")).to_be_checked()
    expect(desk.get_by_role("radio", name="Both")).to_be_hidden()
    desk.get_by_role("radio", name="Standing").click()
    expect(desk.get_by_role("button", name=re.compile("^Surface, standing"))).to_be_visible()
    wide = desk.evaluate("() => document.documentElement.scrollWidth")
    assert wide == 1024
    small = desk.evaluate(
        """() => [...document.querySelectorAll('main button, header button, nav button')]
             .filter((one) => one.offsetParent && one.getBoundingClientRect().height < 43.5)
             .map((one) => one.textContent)"""
    )
    assert small == []


def test_the_table_twin_says_what_the_drawing_shows(desk: Page, program):
    open_step(desk, program, "Bram", "work")
    twin = desk.get_by_role("table", name="Heights and distances of the drawing")
    row = twin.get_by_role("row", name="seated Seat 43.0 cm 46.0 cm up 3.0")
    expect(row).to_have_count(1)
    flag = desk.get_by_role("button", name=re.compile(r"^Seat, seated: 46.0\scm .*, up 3.0\scm"))
    expect(flag).to_be_visible()
