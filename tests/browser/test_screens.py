"""Every screen: accessible by day and night, by key alone, and on a small tablet."""

import re

import pytest
from playwright.sync_api import Page, expect

from browser.axe import violations
from browser.conftest import at_rest, open_step, visit_id

pytestmark = pytest.mark.browser
STEPS = ("ask", "look", "measure", "work", "set", "pace", "report")


SMALL = """() => [...document.querySelectorAll('main button, main input, section button')]
    .filter((one) => one.offsetParent && !one.closest('label, .sr-only')
        && !one.classList.contains('sr-only') && one.getBoundingClientRect().height < 43.5)
    .map((one) => one.textContent || one.outerHTML)"""
"""What is too small for a finger."""


def sound(page: Page, *where: str) -> None:
    """Nothing that axe finds, and nothing that runs sideways, neither the page nor what scrolls in it."""
    assert violations(page) == [], where
    for room in ("document.documentElement", "document.querySelector('main')"):
        assert page.evaluate(f"{room}.scrollWidth - {room}.clientWidth") == 0, where


def each_tab(page: Page):
    """Open each tab of a place, one after the other; its name."""
    tabs = page.get_by_role("tablist").first.get_by_role("tab")
    for at in range(tabs.count()):
        tabs.nth(at).click()
        expect(page.get_by_role("tabpanel")).to_be_visible()
        at_rest(page)
        yield tabs.nth(at).inner_text()


def test_every_place_outside_a_visit_is_sound(desk: Page, program):
    sound(desk, "Today")
    for path in ("clients", "people", "account", "trail", "keeping", "running", "nowhere/at/all"):
        desk.goto(f"{program.address}/{path}")
        expect(desk.get_by_role("heading", level=1)).to_be_visible()
        sound(desk, path)
    for path in ("equipment", "measuring", "rules"):
        desk.goto(f"{program.address}/{path}")
        expect(desk.get_by_role("heading", level=1)).to_be_visible()
        for name in each_tab(desk) if path != "rules" else [""]:
            sound(desk, path, name)
    desk.goto(f"{program.address}/clients")
    desk.get_by_role("link", name="Odile Marrick").click()
    expect(desk.get_by_role("heading", name="Odile Marrick")).to_be_visible()
    sound(desk, "client")
    desk.keyboard.press("?")
    expect(desk.get_by_role("heading", name="Shortcuts and symbols")).to_be_visible()
    sound(desk, "keys")
    desk.keyboard.press("Escape")
    desk.keyboard.press("c")
    desk.get_by_role("button", name="New client").click()
    sound(desk, "new client")


def test_the_doors_are_sound(page: Page, program):
    page.goto(program.address)
    expect(page.get_by_role("button", name="Sign in")).to_be_visible()
    sound(page, "sign in")
    page.goto(f"{program.address}/enter#no-such-link")
    expect(page.get_by_role("heading").first).to_be_visible()
    sound(page, "enter")


def hold_back(page: Page, pattern: str) -> None:
    """Have the server's answers wait without end."""
    page.route(pattern, lambda route: None)


def test_what_is_still_being_fetched_is_sound_and_tells_no_counts(desk: Page, program):
    visit = visit_id(desk, program, "Bram")
    for path, asked in (
        ("rules", "**/api/policies"),
        ("clients", "**/api/clients*"),
        (f"visits/{visit}/look", f"**/api/visits/{visit}"),
        (f"visits/{visit}/look", f"**/api/visits/{visit}/results*"),
    ):
        hold_back(desk, asked)
        desk.goto(f"{program.address}/{path}")
        expect(desk.get_by_role("heading", level=1)).to_have_count(1)
        if "results" in asked:
            expect(desk.get_by_role("button", name="4 Work out", exact=True)).to_be_visible()
        sound(desk, path, asked)
        desk.unroute(asked)


def test_every_step_and_part_is_sound_and_big_enough_for_a_finger(desk: Page, program):
    for step in STEPS:
        open_step(desk, program, "Bram", step)
        if step == "work":
            desk.get_by_role("button", name="Screen top").first.click()
            sound(desk, step, "chosen")
        tabs = desk.get_by_role("tablist").count()
        for name in each_tab(desk) if tabs else [""]:
            sound(desk, step, name)
            if step in ("look", "measure"):
                assert desk.evaluate(SMALL) == [], (step, name)


def test_every_step_is_sound_on_a_phone_and_by_night(desk: Page, program):
    desk.get_by_role("button", name="Dark mode").click()
    desk.set_viewport_size({"width": 390, "height": 844})
    for step in STEPS:
        open_step(desk, program, "Jonas", step)
        tabs = desk.get_by_role("tablist").count()
        for name in each_tab(desk) if tabs else [""]:
            sound(desk, step, name)


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
    desk.get_by_role("button", name="Shortcuts and symbols (?)").click()
    desk.keyboard.press("Escape")
    expect(desk.get_by_role("button", name="Shortcuts and symbols (?)")).to_be_focused()


def test_single_keys_can_be_switched_off(desk: Page, program):
    open_step(desk, program, "Bram", "work")
    desk.get_by_role("button", name="Shortcuts and symbols (?)").click()
    desk.get_by_role("tab", name="Shortcuts").click()
    desk.get_by_role("checkbox", name=re.compile("^Single-key")).click()
    desk.keyboard.press("Escape")
    desk.keyboard.press("1")
    at_rest(desk)
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
    expect(desk.get_by_role("radio", name="Setting")).to_have_css("background-color", hers[0])
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
        desk.get_by_role("radio", name="Setting").click()
        expect(desk.get_by_role("radio", name="Setting")).to_be_checked()
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
    twin = desk.get_by_role("table", name="Heights and distances in the drawing")
    row = twin.get_by_role("row", name="seated Seat 43.0 cm 46.0 cm up 3.0")
    expect(row).to_have_count(1)
    flag = desk.get_by_role("button", name=re.compile(r"^Seat, seated: 46.0\scm .*, up 3.0\scm"))
    expect(flag).to_be_visible()
