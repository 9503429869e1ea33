"""A client's own page, from the practice's desk to a phone and back."""

import json
import re
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from browser.axe import violations

pytestmark = pytest.mark.browser
PHONE = {"width": 390, "height": 844}


@pytest.fixture
def client(desk: Page, program) -> str:
    """A client of this test's own, with an empty visit."""
    desk.get_by_role("link", name="Clients").click()
    desk.get_by_role("button", name="New client").click()
    desk.get_by_label("Name", exact=True).fill("Runa Oakes")
    desk.get_by_label("Email").fill("runa.oakes@saltmere.example")
    desk.get_by_role("button", name="Save and start visit").click()
    desk.wait_for_url("**/ask")
    desk.goto(f"{program.address}/clients")
    desk.get_by_role("link", name="Runa Oakes").last.click()
    expect(desk.get_by_role("heading", name="Client’s page")).to_be_visible()
    return desk.url


def new_link(desk: Page, language: str = "") -> tuple[str, str]:
    """A link for the client whose page is open: address and code."""
    desk.get_by_role("button", name="New link").click()
    if language:
        desk.get_by_role("radio", name=language).click()
    desk.get_by_role("button", name="Create link").click()
    code = desk.get_by_test_id("own-code").inner_text()
    return desk.get_by_test_id("own-url").inner_text(), code


@pytest.fixture
def phone(browser: Browser, program):
    context = browser.new_context(viewport=PHONE, has_touch=True, is_mobile=True)
    page = context.new_page()
    page.set_default_timeout(60_000)
    troubles = []
    page.on("pageerror", lambda error: troubles.append(str(error)))
    yield page
    context.close()
    assert troubles == []


def enter(phone: Page, url: str, code: str) -> None:
    phone.goto(url)
    phone.locator("#code").fill(code)
    phone.locator("form button").tap()
    phone.get_by_role("heading", level=2).first.wait_for()


def sound(phone: Page) -> None:
    """Nothing that axe finds, and nothing that runs sideways."""
    assert violations(phone) == []
    assert phone.evaluate("document.documentElement.scrollWidth - innerWidth") <= 0


def away_and_back(phone: Page) -> None:
    """Written and read again without network; the page says so, and what was written arrives afterwards."""
    phone.get_by_role("button", name="Back", exact=True).tap()
    phone.evaluate("navigator.serviceWorker.ready.then(() => undefined)")
    phone.wait_for_function("caches.open('own-page').then((one) => one.match('/own'))")
    phone.context.set_offline(True)
    phone.get_by_role("textbox").fill("My neck by noon, and my hands")
    phone.reload()
    expect(phone.get_by_role("alert")).to_contain_text("Your answers are still on this device.")
    sound(phone)
    phone.context.set_offline(False)
    phone.get_by_role("button", name="Try again").tap()
    expect(phone.get_by_text("Saved", exact=True)).to_be_visible()


def answer_all(phone: Page, url: str, code: str) -> None:
    """Through the whole self-check: each screen is looked at, one slip is made and mended."""
    phone.goto(url)
    phone.locator("#code").fill("nonsense")
    sound(phone)
    phone.get_by_role("button", name="Open").tap()
    expect(phone.get_by_role("alert")).to_contain_text("Wrong code")
    enter(phone, url, code)
    sound(phone)
    phone.get_by_role("button", name="Start").tap()
    sound(phone)
    phone.get_by_role("button", name="Yes, keep").tap()
    expect(phone.get_by_role("heading", name="First: do you have")).to_be_visible()
    for group in phone.get_by_role("radiogroup").all():
        group.get_by_role("radio", name="No").tap()
    sound(phone)
    onward = phone.get_by_role("button", name="Next")
    onward.tap()
    phone.get_by_role("textbox").fill("My neck by noon")
    onward.tap()
    phone.locator("[data-region=nape]").tap()
    phone.get_by_role("radio", name="8", exact=True).tap()
    phone.get_by_role("radio", name="Most days").tap()
    sound(phone)
    away_and_back(phone)  # to the first question without an answer
    phone.get_by_label("None of these").check()
    for heading in ("Your work", "Your workplace", "The room", "Measure yourself"):
        onward.tap()
        expect(phone.get_by_role("heading", name=heading, exact=True)).to_be_visible()
        sound(phone)
    leg = phone.get_by_role("region", name="Lower leg")
    leg.get_by_label("First reading").fill("4")
    leg.get_by_label("Second reading").fill("41")
    leg.get_by_label("First reading").focus()
    leg.get_by_label("Second reading").focus()
    expect(leg.get_by_role("alert")).to_have_text("Please enter a value from 19.0 cm to 65.0 cm.")
    leg.get_by_label("First reading").fill("44.5")
    onward.tap()
    expect(phone.get_by_role("heading", name="Two photos")).to_be_visible()
    sound(phone)
    phone.get_by_role("button", name="Back").tap()
    expect(leg.get_by_role("status")).to_contain_text("3.5\xa0cm apart")
    onward.tap()
    onward.tap()
    phone.get_by_role("button", name="Send", exact=True).tap()
    expect(phone.get_by_text("Sent. Thank you.")).to_be_visible()


def look_and_take_over(desk: Page, program) -> None:
    """From Today to the answers, a decision, and into the visit."""
    desk.goto(program.address)
    row = desk.get_by_role("region", name="Answers to review").get_by_role("listitem")
    row.filter(has_text="Runa Oakes").get_by_role("link").click()
    expect(desk.get_by_role("heading", name="Sorted as: Visit")).to_be_visible()
    expect(desk.get_by_text("Back of the neck: 8 of 10")).to_be_visible()
    assert violations(desk) == []
    desk.get_by_role("radio", name="Visit", exact=True).click()
    desk.get_by_role("button", name="Record decision: visit").click()
    expect(desk.get_by_text("decided by Ines Calloway")).to_be_visible()
    desk.get_by_role("button", name="Copy answers").click()
    expect(desk.get_by_text("entries copied")).to_be_visible()
    desk.get_by_role("button", name="Open the visit").click()
    desk.wait_for_url("**/ask")
    desk.goto(f"{desk.url}?part=reason")
    expect(desk.get_by_label("Reason for the visit")).to_have_value("My neck by noon, and my hands")
    desk.get_by_role("button", name="Confirm").click()
    expect(desk.get_by_text("Reported by the client")).to_have_count(0)


def test_a_client_answers_at_home_and_it_arrives_marked_as_theirs(
    desk: Page, phone: Page, program, client: str
):
    url, code = new_link(desk)
    desk.get_by_role("button", name="Send the link to").click()
    expect(desk.get_by_text("Sending to")).to_be_visible()
    desk.get_by_role("button", name="Close", exact=True).click()
    answer_all(phone, url, code)
    look_and_take_over(desk, program)
    desk.goto(client)
    expect(desk.get_by_text("Link emailed to runa.oakes@saltmere.example")).to_be_visible()
    assert violations(desk) == []
    desk.get_by_role("link", name="Simulated inbox").click()
    expect(desk.get_by_role("link", name=url)).to_be_visible()
    desk.goto(client)
    desk.get_by_role("button", name="Close link").click()
    desk.get_by_role("dialog").or_(desk.get_by_role("alertdialog")).get_by_role(
        "button", name="Close link"
    ).click()
    expect(desk.get_by_text(re.compile("closed on"))).to_be_visible()
    phone.goto(url)
    phone.reload()
    expect(phone.locator("#code")).to_be_visible()


def test_the_page_reads_from_right_to_left_in_a_language_the_practice_adds(
    desk: Page, phone: Page, program, client: str, tmp_path: Path
):
    desk.goto(f"{program.address}/people")
    english = desk.request.get(f"{program.address}/api/languages/en.json", max_retries=3).json()[
        "messages"
    ]
    mirrored = {  # every text turned round, its gaps kept: seen at once where one is missing
        name: re.sub(r"[^{}]+(?![^{]*\})", lambda part: part[0][::-1], text)
        for name, text in english.items()
    }
    held = {"language": "ar", "name": "hsilgnE", "direction": "rtl", "messages": mirrored}
    (tmp_path / "ar.json").write_text(json.dumps(held))
    desk.get_by_label("Language file").set_input_files(tmp_path / "ar.json")
    expect(desk.get_by_text("complete, right to left")).to_be_visible()
    desk.goto(client)
    url, code = new_link(desk, "hsilgnE")
    phone.goto(url)
    expect(phone.locator("main")).to_have_attribute("dir", "rtl")
    enter(phone, url, code)
    expect(phone.locator("#root > div")).to_have_attribute("dir", "rtl")
    assert phone.evaluate("document.documentElement.scrollWidth - innerWidth") <= 0
    words = phone.locator("#main").inner_text()
    assert not set(words.split()) & {"Start", "About", "minutes.", "the"}
    phone.get_by_role("button", name="tratS").tap()
    phone.get_by_role("button", name=mirrored["consent.yes"]).tap()
    phone.get_by_role("heading", name=mirrored["section.signs"]).wait_for()
    assert not set(phone.locator("#main").inner_text().split()) & {"pain", "the", "Yes", "Next"}


def test_after_a_visit_the_phone_holds_numbers_drawing_clock_and_movements(
    desk: Page, phone: Page, program
):
    desk.goto(f"{program.address}/clients")
    desk.get_by_role("link", name="Odile Marrick").click()
    desk.get_by_role("button", name="New code").first.click()
    url, code = (desk.get_by_test_id(f"own-{what}").inner_text() for what in ("url", "code"))
    enter(phone, url, code)
    for heading in ("Your settings", "Your day", "Your movements", "When to stop"):
        expect(phone.get_by_role("heading", name=heading)).to_be_visible()
    expect(phone.get_by_role("row", name=re.compile("Height of the seat"))).to_contain_text("cm")
    expect(phone.get_by_role("timer")).to_be_visible()
    assert phone.get_by_role("img").count() >= 4  # the moments of the movements
    sound(phone)
