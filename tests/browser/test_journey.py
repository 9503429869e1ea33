"""A new client through all seven steps, to a signed PDF whose text is read."""

import re
from datetime import UTC, date, datetime, timedelta
from io import BytesIO

import pypdf
import pytest
from playwright.sync_api import Locator, Page, expect

from browser.conftest import all_the_same, at_rest, kept, tab, walk_to
from browser.hands import Tally

pytestmark = pytest.mark.browser

READINGS = {
    "Popliteal height": ("41.2", "41.4"),
    "Thigh clearance": ("15.0", "15.2"),
    "Elbow height, seated": ("23.5", "23.7"),
    "Lumbar height, seated": ("19", "19.4"),
    "Shoulder height, seated": ("56.5", "56.1"),
    "Eye height, seated": ("75.0", "75.4"),
    "Buttock-popliteal length": ("49.0", "48.8"),
    "Shoulder-elbow length": ("33.4", "33.6"),
    "Elbow-fingertip length": ("43.6", "17 1/8 in"),
    "Arm length": ("71.5", "71.9"),
    "Biacromial breadth": ("35.8", "36.0"),
    "Stature": ("163.5", "5'4 3/8\""),
    "Eye height, standing": ("152.8", "153"),
    "Elbow height, standing": ("102", "101.6"),
}


def choose(page: Page, question: str, answer: str) -> None:
    page.get_by_role("radiogroup", name=question).get_by_role(
        "radio", name=answer, exact=True
    ).click()


MOST_CLICKS, MOST_KEYS = 90, 250
"""A whole visit, thirteen settings measured again, tested and answered, takes no more of a hand than this."""


def write(field: Locator, typed: str) -> None:
    """Type into a field by keys, with a press on it first where one is not in it already."""
    if not field.evaluate("one => one === document.activeElement"):
        field.click()
    field.press_sequentially(typed)


def fill(page: Page, **fields: str) -> None:
    for label, typed in fields.items():
        write(page.get_by_label(label.replace("_", " "), exact=True), typed)


def take(page: Page, label: str, typed: str) -> None:
    """One large field on the way round the desk; Enter goes on."""
    write(walk_to(page, label), typed)
    page.keyboard.press("Enter")


def piece(page: Page, name: str) -> None:
    page.get_by_role("region", name=name, exact=True).get_by_role("button").first.click()


def ask(page: Page) -> None:
    page.get_by_role("button", name="Given: To keep health notes", exact=True).click()
    expect(page.get_by_text("noted by Ines Calloway")).to_be_visible()
    tab(page, "Reason")
    reason = page.get_by_label("Reason for the visit")
    write(reason, ";neck ")
    expect(reason).to_have_value("Neck stiff after a morning at the screen. ")
    tab(page, "Red flags")
    page.get_by_role("button", name="All asked: none present").click()
    tab(page, "Hours")
    fill(page, Typing="3", Using_the_mouse="2.5")
    tab(page, "Eyes, hands")
    for question, answer in (
        ("Writing hand", "Left"),
        ("Mouse hand", "Right"),
        ("Eyewear at the desk", "Reading glasses"),
    ):
        choose(page, question, answer)
    tab(page, "Shoes")
    write(page.get_by_label("Heel, seated"), "1 in")
    write(page.get_by_label("Heel height, standing"), "25 mm")


def look(page: Page) -> None:
    for label, typed in (
        ("Seat height, client seated", "46"),
        ("Surface", "72"),
        ("Mouse distance from midline", "44"),
        ("Top of screen", "106"),
        ("Eye to screen", "55"),
    ):
        take(page, label, typed)
    tab(page, "Equipment")
    fill(page, **{"Seat, lowest": "40", "Seat, highest": "51"})
    choose(page, "Armrests", "Adjustable")
    fill(
        page,
        **{
            "Armrest height above the seat, lowest": "18",
            "Armrest height above the seat, highest": "28",
        },
    )
    piece(page, "Desk")
    choose(page, "Desk type", "Sit-stand")
    fill(
        page,
        **{
            "Surface, lowest": "60",
            "Surface, highest": "125",
            "Depth, front to back": "80",
            "Desk surface to lowest point above the thighs": "2.5",
        },
    )
    piece(page, "Keyboard and mouse")
    page.get_by_role("button", name="Choose from equipment list").click()
    page.get_by_role("button", name="Full keyboard and mouse").click()
    expect(page.get_by_label("Keyboard height at the home row")).to_have_value("20 mm")
    piece(page, "Screen")
    choose(page, "Kind of screen", "Screen")
    write(page.get_by_label("Screen diagonal"), "24")
    choose(page, "Aspect ratio", "16:9")
    fill(
        page,
        **{
            "Top of picture above the desk, lowest": "38",
            "Top of picture above the desk, highest": "55",
        },
    )


def measure(page: Page) -> None:
    for label, (first, second) in READINGS.items():
        expect(page.get_by_role("heading", name=label, exact=True)).to_be_visible()
        write(page.get_by_label("First reading"), first)
        once = page.get_by_text("if in doubt").is_visible()  # a second reading narrows no height
        page.keyboard.press("Enter")
        if once:
            continue
        expect(page.get_by_label("Second reading")).to_be_focused()
        write(page.get_by_label("Second reading"), second)
        page.keyboard.press("Enter")


def signed_stays_signed(page: Page) -> None:
    """A change to what is signed asks first, and nothing before the signature is taken back."""
    page.remove_locator_handler(all_the_same(page))
    page.get_by_role("button", name="Undo (z)").click()
    page.get_by_role("button", name="6 Pace").click()
    page.get_by_role("radio", name=re.compile("Two-hour|30 sit|45 sit|Seated")).first.click()
    dialog = page.get_by_role("dialog", name="Version 1 is signed")
    dialog.get_by_role("button", name="Cancel").click()
    expect(page.get_by_role("radio", name=re.compile("20 sit · 8 stand"))).to_be_checked()
    page.get_by_role("button", name="7 Report").click()
    expect(page.get_by_text("Version 1 is signed and locked.")).to_be_visible()


def not_ready_yet(desk: Page) -> None:
    """What waits before a signature is said on one page, and leads to its place."""
    desk.get_by_role("button", name="Before signing: 1 thing open…").click()
    waiting = desk.get_by_role("dialog", name="Not ready to sign")
    expect(waiting.get_by_role("region", name="Findings not reviewed")).to_be_visible()
    expect(waiting.get_by_role("button", name=re.compile("^Sign version"))).to_be_hidden()
    waiting.get_by_role("button", name="enter a follow-up date").click()
    expect(desk.get_by_label("Follow-up date")).to_be_focused()


def printed(desk: Page, link: Locator, due: date) -> None:
    """What stands on the signed page, read from its PDF."""
    pdf = desk.request.get(link.evaluate("link => link.href"), max_retries=3).body()
    said = " ".join(page.extract_text() for page in pypdf.PdfReader(BytesIO(pdf)).pages)
    said = said.replace("\u00a0", " ")
    for words in (
        "Thea Lindholm",
        "Ines Calloway",
        "42.3 cm",
        "46.0 cm",
        f"{due.day} {due:%B %Y}",
        "20 sit · 8 stand · 2 move",
        "version 1, frozen",
        "the neck bends down to it",
    ):
        assert words in said


def set_and_answered(page: Page) -> int:
    """Every setting measured again at what it was set to, tested and answered; how many there were."""
    measured = 0
    card = page.locator("#main section", has=page.get_by_role("heading", level=3)).first
    onward = page.locator("[data-next]")
    while True:
        at_rest(page)
        heading = card.get_by_role("heading", level=3).inner_text()
        left = page.get_by_label("Left at")
        good = card.get_by_role("button", name="Passes, and comfortable")
        last = onward.inner_text() == "Continue to Pace"
        if left.is_visible():
            write(left, re.findall(r"[\d.]+", heading)[-1])
            measured += 1
        if left.is_visible() and good.is_visible():
            good.click()
        elif left.is_visible():
            page.keyboard.press("Enter")
        else:
            onward.click()
        if last:
            return measured
        expect(card.get_by_role("heading", level=3)).not_to_have_text(heading)


def test_from_the_tape_to_the_signed_page(desk: Page, record_property):
    tally = Tally(desk)
    desk.get_by_role("link", name="New visit").click()
    desk.get_by_role("button", name="New client").click()
    write(desk.get_by_label("Name", exact=True), "Thea Lindholm")
    write(desk.get_by_label("Job and workplace"), "Chart compiler")
    choose(desk, "Reference group for estimates", "Women")
    desk.get_by_role("button", name="Save and start visit").click()

    expect(desk.get_by_role("heading", name="Thea Lindholm")).to_be_visible()
    ask(desk)
    kept(desk)
    desk.get_by_role("button", name="Continue to Look").click()
    look(desk)
    kept(desk)
    desk.keyboard.press("Escape")
    desk.get_by_role("button", name="3 Measure").click()
    measure(desk)
    kept(desk)
    expect(desk.get_by_role("button", name="3 Measure, 14 of 14")).to_be_visible()

    expect(desk.get_by_role("heading", name=re.compile("things to set"))).to_be_visible()
    seat = desk.get_by_role("button", name=re.compile("^next Seat"))
    expect(seat).to_contain_text("42.3")
    seat.click()
    expect(desk.get_by_text("42.3 = 41.3 popliteal height + 2.5 shoe − 1.5 relief")).to_be_visible()

    desk.get_by_role("button", name="Continue to Set").click()
    measured = set_and_answered(desk)
    kept(desk)
    desk.get_by_role("radio", name=re.compile("20 sit · 8 stand")).click()
    chosen = desk.get_by_role("radiogroup", name="Rhythm").get_by_role("radio", checked=True)
    expect(chosen).to_contain_text(re.compile(r"stand \d\d"))
    desk.get_by_role("button", name="Continue to Report").click()

    not_ready_yet(desk)
    sign = desk.get_by_role("button", name="Sign version 1…")
    due = datetime.now(UTC).date() + timedelta(days=28)
    desk.get_by_role("button", name="In 4 weeks").click()
    expect(desk.get_by_label("Follow-up date")).to_have_value(re.compile(str(due.year)))
    sign.click()
    summary = desk.get_by_role("list", name="What you are signing")
    expect(summary).to_contain_text(f"{measured} of {measured} settings set")
    desk.get_by_role("button", name="Sign version 1", exact=True).click()
    link = desk.get_by_role("link", name=re.compile("Record for colleagues, version 1"))
    expect(link).to_be_visible()
    clicks, keys = tally.clicks_and_keys()
    record_property("by hand", f"{measured} settings measured again: {clicks} clicks, {keys} keys")
    assert measured >= 13
    assert clicks <= MOST_CLICKS
    assert keys <= MOST_KEYS
    printed(desk, link, due)
    signed_stays_signed(desk)
