"""How much handling a plain visit costs, from signing in to the signed report, counted by events."""

import re

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import kept
from plumb_demo.people import DEMO_MEMBERS

pytestmark = pytest.mark.browser
MOST_CLICKS, MOST_KEYS = 90, 300
COUNT = """
  for (const kind of ['click', 'keydown'])
    addEventListener(kind, (event) => {
      if (!event.isTrusted || event.repeat) return;
      if (kind === 'click' && event.detail === 0) return;  // a key pressed a button
      sessionStorage[kind] = Number(sessionStorage[kind] || 0) + 1;
    }, true);
"""
READINGS = {
    "Popliteal height": ("41", "41.2"),
    "Thigh clearance": ("15", "15.2"),
    "Elbow height, seated": ("23", "23.4"),
    "Lumbar height, seated": ("19",),
    "Shoulder height, seated": ("57",),
    "Eye height, seated": ("75", "75.4"),
    "Buttock-popliteal length": ("48",),
    "Abdominal depth": ("24",),
    "Shoulder-elbow length": ("34",),
    "Elbow-fingertip length": ("43.5",),
    "Arm length": ("71",),
    "Hand length": ("18",),
    "Biacromial breadth": ("37",),
    "Bideltoid breadth": ("43",),
    "Stature": ("165",),
    "Eye height, standing": ("154", "154.4"),
    "Shoulder height, standing": ("136",),
    "Elbow height, standing": ("104", "104.2"),
    "Hip breadth": ("37",),
    "Hand breadth": ("8",),
    "Foot length": ("24.5",),
}


def press(page: Page, name: str, role: str = "button", **more) -> None:
    page.get_by_role(role, name=name, **more).first.click()


def next_part(page: Page) -> None:
    page.locator("[data-next]").click()


def sign_in_and_begin(page: Page) -> None:
    page.get_by_label("Address").click()
    page.keyboard.type(DEMO_MEMBERS[0].email)
    page.keyboard.press("Tab")
    page.keyboard.type(DEMO_MEMBERS[0].password)
    page.keyboard.press("Enter")
    press(page, "New visit", "link")
    press(page, "New client")
    page.keyboard.type("Runa Holt")
    press(page, "Woman", "radio")
    press(page, "Save and start visit")


def ask(page: Page) -> None:
    press(page, "All three given")
    page.get_by_label("Reason for the visit").click()
    page.keyboard.type("Stiff neck")
    next_part(page)
    press(page, "All asked about: none of them is there")
    page.get_by_label("Typing", exact=True).click()
    page.keyboard.type("4")
    page.keyboard.press("Tab")
    page.keyboard.type("2")
    next_part(page)
    for question in ("Writing hand", "Mouse hand"):
        group = page.get_by_role("radiogroup", name=question, exact=True)
        group.get_by_role("radio", name="Right", exact=True).click()
    press(page, "None", "radio", exact=True)
    next_part(page)
    press(page, "None of these")
    page.locator("[data-region=between_blades]").first.click()
    press(page, "5", "radio", exact=True)
    next_part(page)
    page.get_by_label("Heel, seated").click()
    page.keyboard.type("2")
    page.keyboard.press("Tab")
    page.keyboard.type("2")
    next_part(page)


def look(page: Page) -> None:
    for number in ("46", "73", "42", "110", "60"):
        expect(page.locator("[data-field] input").first).to_be_focused()
        here = page.locator("[data-field]").first.get_attribute("data-field")
        page.keyboard.type(number)
        page.keyboard.press("Enter")
        expect(page.locator(f"[data-field='{here}']")).to_have_count(0)
    press(page, "Load shared workstation")
    page.get_by_role("dialog").get_by_role("listitem").first.get_by_role("button").click()
    for _ in ("pieces", "habits"):
        next_part(page)
    press(page, "Looked at it all: in order")
    next_part(page)
    next_part(page)


def measure(page: Page) -> None:
    while page.url.endswith("/measure"):
        label = page.locator("[data-dimension] h3").inner_text()
        for number in READINGS[label]:
            page.keyboard.type(number)
            page.keyboard.press("Enter")
        expect(
            page.locator("[data-dimension] h3", has_text=re.compile(f"^{re.escape(label)}$"))
        ).to_have_count(0)


def finish(page: Page) -> None:
    next_part(page)
    page.get_by_role("button", name=re.compile(r"The other \d+: set to target")).click()
    press(page, "6 Pace")
    page.get_by_role("radio", name=re.compile("suggested")).click()
    next_part(page)
    press(page, "In 4 weeks")
    press(page, "Sign version 1 …")
    press(page, "Sign version 1", exact=True)
    expect(page.get_by_role("link", name=re.compile("Version 1, signed"))).to_be_visible()


def test_a_plain_visit_takes_few_clicks_and_keys(page: Page, program):
    page.set_default_timeout(20_000)
    page.add_init_script(COUNT)
    page.goto(program.address)
    sign_in_and_begin(page)
    ask(page)
    look(page)
    measure(page)
    finish(page)
    kept(page)
    clicks, keys = (int(page.evaluate(f"sessionStorage.{kind}")) for kind in ("click", "keydown"))
    print(f"\na plain visit: {clicks} clicks, {keys} keys")
    assert clicks <= MOST_CLICKS
    assert keys <= MOST_KEYS
