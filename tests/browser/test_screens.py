"""Every screen: accessible by day and night, by key alone, and on a small tablet."""

import re

import pytest
from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Page, expect

from browser.conftest import open_step

pytestmark = pytest.mark.browser
STEPS = ("ask", "look", "measure", "work", "set", "pace", "report")


def violations(page: Page) -> list[str]:
    """What axe finds, with where."""
    return [
        f"{rule['id']}: {node['target']} {node['failureSummary']}"
        for rule in Axe().run(page).response["violations"]
        for node in rule["nodes"]
    ]


def test_axe_finds_nothing_outside_a_visit(page: Page, desk: Page, program):
    assert violations(desk) == []
    desk.get_by_role("link", name="Clients").click()
    expect(desk.get_by_role("heading", name="Clients")).to_be_visible()
    assert violations(desk) == []
    desk.get_by_role("button", name="New client").click()
    assert violations(desk) == []
    desk.keyboard.press("Escape")
    desk.keyboard.press("p")
    expect(desk.get_by_role("heading", name="Practice", exact=True)).to_be_visible()
    assert violations(desk) == []
    desk.keyboard.press("?")
    expect(desk.get_by_role("heading", name="Keys and marks")).to_be_visible()
    assert violations(desk) == []
    desk.keyboard.press("Escape")
    desk.get_by_role("button", name="Sign out").click()
    expect(desk.get_by_role("button", name="Sign in")).to_be_visible()
    assert violations(desk) == []


@pytest.mark.parametrize("night", [False, True], ids=["day", "night"])
def test_axe_finds_nothing_on_any_step(desk: Page, program, night):
    if night:
        desk.get_by_role("button", name="Night").click()
    for name in ("Bram",) if night else ("Bram", "Jonas"):
        for step in STEPS:
            open_step(desk, program, name, step)
            if step == "work":
                desk.get_by_role("button", name="Screen top").first.click()
            assert violations(desk) == [], (name, step)


PARTS = {
    "ask": ("consent", "red-flags", "hours", "conditions", "discomfort"),
    "look": ("pieces", "habits", "room", "photos"),
    "work": ("findings", "plans", "try", "choices"),
    "pace": ("rhythm", "tasks", "hours", "eyes", "movements", "spells"),
}


@pytest.mark.parametrize("size", [(1280, 800), (390, 844)], ids=["desk", "phone"])
def test_axe_finds_nothing_in_any_part_and_nothing_runs_sideways(desk: Page, program, size):
    desk.set_viewport_size({"width": size[0], "height": size[1]})
    for step, parts in PARTS.items():
        for part in parts:
            open_step(desk, program, "Bram", f"{step}?part={part}")
            expect(desk.get_by_role("tabpanel")).to_be_visible()
            assert violations(desk) == [], (step, part)
            for room in ("document.documentElement", "document.querySelector('#main')"):
                wide = desk.evaluate(f"{room}.scrollWidth - {room}.clientWidth")
                assert wide == 0, (step, part)


def test_zoomed_in_nothing_runs_sideways(desk: Page, program):
    desk.set_viewport_size({"width": 320, "height": 256})  # 1280 at 400 per cent
    for path in (
        "",
        "clients",
        "equipment",
        "equipment?part=workstations",
        "rules",
        "people",
        "measuring?part=drill",
        "account",
    ):
        desk.goto(f"{program.address}/{path}")
        expect(desk.get_by_role("heading", level=1)).to_be_visible()
        assert desk.evaluate("document.documentElement.scrollWidth") == 320, path
    for step in STEPS:
        open_step(desk, program, "Bram", step)
        assert desk.evaluate("document.documentElement.scrollWidth") == 320, step


def test_every_place_has_a_title_a_heading_in_focus_and_an_address(desk: Page, program):
    expect(desk.get_by_role("heading", name="Today", exact=True)).to_be_focused()
    desk.keyboard.press("c")
    expect(desk).to_have_title("Clients · Gentle Plumb")
    expect(desk.get_by_role("heading", name="Clients", exact=True)).to_be_focused()
    open_step(desk, program, "Bram", "work")
    desk.get_by_role("tab", name="Plans").click()
    expect(desk).to_have_url(re.compile(r"part=plans"))
    desk.keyboard.press("1")
    expect(desk).to_have_title("Ask · Gentle Plumb")
    desk.go_back()
    expect(desk.get_by_role("tab", name="Plans")).to_have_attribute("aria-selected", "true")
    desk.reload()
    expect(desk.get_by_role("tab", name="Plans")).to_have_attribute("aria-selected", "true")
    desk.get_by_role("button", name="Keys and marks (?)").click()
    desk.keyboard.press("Escape")
    expect(desk.get_by_role("button", name="Keys and marks (?)")).to_be_focused()


def test_single_keys_can_be_switched_off(desk: Page, program):
    open_step(desk, program, "Bram", "work")
    desk.get_by_role("button", name="Keys and marks (?)").click()
    desk.get_by_role("tab", name="Keys").click()
    desk.get_by_role("checkbox", name=re.compile("^Single keys")).click()
    desk.keyboard.press("Escape")
    desk.keyboard.press("1")
    desk.wait_for_timeout(200)
    expect(desk).to_have_url(re.compile("/work"))
    desk.keyboard.press("Control+z")  # which is no single key


@pytest.mark.parametrize("palette", ["light", "dark"])
def test_a_palette_of_ones_own_is_kept_to_everywhere(desk: Page, program, palette):
    desk.emulate_media(forced_colors="active", color_scheme=palette)
    open_step(desk, program, "Bram", "work")
    drawing = desk.get_by_test_id("elevation")
    expect(drawing).to_be_visible()
    hers = desk.evaluate("""() => {
        const one = document.body.appendChild(document.createElement('i'));
        const read = colour => { one.style.color = colour; return getComputedStyle(one).color };
        return [read('CanvasText'), read('Canvas')];
    }""")
    expect(drawing.get_by_role("button").first).to_have_css("stroke", hers[0])
    expect(desk.get_by_role("radio", name="Target")).to_have_css("background-color", hers[0])
    expect(desk.get_by_role("radio", name="As found")).not_to_have_css("background-color", hers[0])
    expect(desk.locator("body")).to_have_css("background-color", hers[1])
    assert violations(desk) == []


def test_nothing_moves_for_whom_it_should_not(desk: Page, program):
    open_step(desk, program, "Bram", "work")
    for motion in ("no-preference", "reduce"):
        desk.emulate_media(reduced_motion=motion)
        desk.evaluate(
            """() => { window.moved = 0;
              for (const kind of ['transitionrun', 'animationstart'])
                document.addEventListener(kind, () => { window.moved += 1 }) }"""
        )
        desk.get_by_role("radio", name="As found").click()
        expect(desk.get_by_role("radio", name="As found")).to_be_checked()
        desk.get_by_role("radio", name="Target").click()
        expect(desk.get_by_role("radio", name="Target")).to_be_checked()
        moved = desk.evaluate("() => new Promise(requestAnimationFrame).then(() => window.moved)")
        assert (moved > 0) == (motion == "no-preference"), motion


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
