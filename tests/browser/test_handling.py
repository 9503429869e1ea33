"""How much handling a plain visit costs, from signing in to the signed report, counted by events."""

import re

import pytest
from playwright.sync_api import Locator, Page, expect

from browser.conftest import kept
from browser.hands import Hand, KeyHand
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
SIDEWAYS = "document.documentElement.scrollWidth - document.documentElement.clientWidth"
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


def button(hand: Hand, name: str | re.Pattern[str], role: str = "button", **more) -> Locator:
    return hand.page.get_by_role(role, name=name, **more).first


def next_part(hand: Hand) -> None:
    hand.press(hand.page.locator("[data-next]"))


def at(hand: Hand, address: str) -> None:
    """The next screen is there."""
    expect(hand.page).to_have_url(re.compile(address))


def sign_in_and_begin(hand: Hand) -> None:
    hand.into(hand.page.get_by_label("Email"))
    hand.type(DEMO_MEMBERS[0].email)
    hand.into(hand.page.get_by_label("Password", exact=True))
    hand.type(DEMO_MEMBERS[0].password)
    hand.enter()
    hand.press(button(hand, "New visit", "link"))
    hand.press(button(hand, "New client"))
    hand.into(hand.page.get_by_label("Name", exact=True))
    hand.type("Runa Holt")
    hand.choose(button(hand, "Women", "radio"))
    hand.press(button(hand, "Save and start visit"))


def ask(hand: Hand) -> None:
    page = hand.page
    hand.press(button(hand, "All three given"))
    hand.into(page.get_by_label("Reason for the visit"))
    hand.type("Stiff neck")
    next_part(hand)
    hand.press(button(hand, "All asked: none present"))
    for task, hours in (("Typing", "4"), ("Using the mouse", "2")):
        hand.into(page.get_by_label(task, exact=True))
        hand.type(hours)
    next_part(hand)
    for question in ("Writing hand", "Mouse hand"):
        group = page.get_by_role("radiogroup", name=question, exact=True)
        hand.choose(group.get_by_role("radio", name="Right", exact=True))
    hand.choose(button(hand, "None", "radio", exact=True))
    next_part(hand)
    hand.press(button(hand, "None of these"))
    hand.ache("between_blades", "5")
    next_part(hand)
    for shoe in ("Heel, seated", "Heel height, standing"):
        hand.into(page.get_by_label(shoe))
        hand.type("2")
    next_part(hand)


def look(hand: Hand) -> None:
    page = hand.page
    at(hand, "/look")
    for number in ("46", "73", "42", "110", "60"):
        here = page.locator("[data-field]").first.get_attribute("data-field")
        hand.into(page.locator(f"[data-field='{here}'] input"))
        hand.type(number)
        hand.enter()
        expect(page.locator(f"[data-field='{here}']")).to_have_count(0)
    hand.press(button(hand, "Load shared workstation"))
    listed = page.get_by_role("dialog").get_by_role("listitem")
    hand.press(listed.first.get_by_role("button"))
    expect(page.get_by_role("dialog")).to_have_count(0)
    for part in ("habits", "room"):
        next_part(hand)
        at(hand, f"part={part}")
    hand.press(button(hand, "All checked: in order"))
    next_part(hand)
    at(hand, "part=photos")
    next_part(hand)


def measure(hand: Hand) -> None:
    page = hand.page
    at(hand, "/measure")
    expect(page.locator("[data-dimension] h3")).to_be_visible()
    while page.url.endswith("/measure"):
        label = page.locator("[data-dimension] h3").inner_text()
        hand.into(page.get_by_label("First reading"))
        first, *second = READINGS[label]
        hand.type(first)
        hand.enter()
        for number in second:
            expect(page.get_by_label("Second reading")).to_be_focused()
            hand.type(number)
            hand.enter()
        gone = re.compile(f"^{re.escape(label)}$")
        expect(page.locator("[data-dimension] h3", has_text=gone)).to_have_count(0)


def finish(hand: Hand) -> None:
    page = hand.page
    at(hand, "/work")
    next_part(hand)
    at(hand, "/set")
    hand.press(button(hand, re.compile(r"The other \d+: set to target")))
    hand.press(button(hand, re.compile("^6 Pace")))
    hand.choose(button(hand, re.compile("suggested"), "radio"))
    next_part(hand)
    hand.press(button(hand, "In 4 weeks"))
    hand.press(button(hand, "Sign version 1…"))
    hand.press(page.get_by_role("dialog").get_by_role("button", name="Sign version 1"))
    expect(button(hand, re.compile("Client.s report, version 1"), "link")).to_be_visible()


def whole_visit(hand: Hand, program) -> None:
    hand.page.set_default_timeout(60_000)
    hand.page.goto(program.address)
    for part in (sign_in_and_begin, ask, look, measure, finish):
        part(hand)
    kept(hand.page)


def test_a_whole_visit_by_keys_alone(page: Page, program):
    whole_visit(KeyHand(page), program)


def test_a_plain_visit_by_a_finger_takes_few_taps_and_keys(browser, program):
    phone = browser.new_context(
        viewport={"width": 390, "height": 844}, has_touch=True, is_mobile=True
    )
    page = phone.new_page()
    page.add_init_script(COUNT)
    whole_visit(Hand(page), program)
    taps, keys = (int(page.evaluate(f"sessionStorage.{kind}")) for kind in ("click", "keydown"))
    print(f"\na plain visit: {taps} taps, {keys} keys")
    assert taps <= MOST_CLICKS
    assert keys <= MOST_KEYS
    assert page.evaluate(SIDEWAYS) == 0
    phone.close()
