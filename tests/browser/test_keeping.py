"""Nothing typed is lost: bad input, reload, restart, no network, two people at once."""

import re

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import entry, kept, open_step, sign_in, tab, walk_to

pytestmark = pytest.mark.browser


def test_bad_input_is_answered_in_place_and_the_rest_stays(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    walk_to(desk, "Surface").fill("76")
    seat = walk_to(desk, "Seat, loaded")
    seat.fill("4")
    seat.press("Tab")
    expect(desk.get_by_role("alert")).to_have_text(
        "Seat, loaded: 4.0 cm is outside 25.0 to 90.0 cm. Not kept yet."
    )
    expect(seat).to_have_value("4")
    expect(desk.get_by_role("button", name="Surface 76 cm")).to_be_visible()
    desk.reload()
    expect(walk_to(desk, "Seat, loaded")).to_have_value("4")
    walk_to(desk, "Seat, loaded").fill("45,5")
    kept(desk)
    expect(desk.get_by_role("alert")).to_be_hidden()
    assert entry(desk, program, "look.found.seat", "Jonas")["value"] == 455


def test_typed_without_network_waits_on_the_device_and_arrives(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    desk.context.set_offline(True)
    distance = walk_to(desk, "Eye to screen")
    distance.fill("52")
    distance.press("Tab")
    expect(desk.get_by_role("status").first).to_contain_text("1 on this device")
    desk.context.set_offline(False)
    kept(desk)
    assert entry(desk, program, "look.found.distance", "Jonas")["typed"] == "52 cm"


def test_a_restart_of_the_server_loses_nothing(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    walk_to(desk, "Mouse from the midline").fill("31")
    kept(desk)
    program.stop()
    top = walk_to(desk, "Screen top, picture not frame")
    top.fill("98")
    top.press("Tab")
    expect(desk.get_by_role("status").first).to_contain_text("on this device")
    program.start()
    kept(desk)
    desk.reload()
    expect(walk_to(desk, "Mouse from the midline")).to_have_value("31")
    expect(walk_to(desk, "Screen top, picture not frame")).to_have_value("98")


def test_two_people_see_both_versions_and_choose(
    desk: Page, program, browser, browser_context_args
):
    other = sign_in(browser.new_context(**browser_context_args).new_page(), program, who=1)
    for page in (desk, other):
        open_step(page, program, "Mirela", "ask")
        if page is desk:
            page.get_by_role("button", name="To keep health notes: given", exact=True).click()
            kept(page)
        tab(page, "Reason")
    mine, theirs = (page.get_by_label("Reason for the visit") for page in (other, desk))
    theirs.fill("Back aches")
    theirs.press("Tab")
    kept(desk)
    mine.fill("Wrists ache")
    mine.press("Tab")
    alert = other.get_by_role("alert")
    expect(alert).to_contain_text("Ines Calloway has put Back aches here")
    expect(alert).to_contain_text("you typed Wrists ache")
    other.get_by_role("button", name="Both, one after the other").click()
    kept(other)
    held = entry(desk, program, "ask.reason", "Mirela")
    assert held["typed"] == "Back aches\nWrists ache"
    theirs.fill("Back aches, left")
    theirs.press("Tab")
    expect(desk.get_by_role("alert")).to_contain_text("Wrists ache")
    desk.get_by_role("button", name="Theirs").click()
    expect(theirs).to_have_value("Back aches\nWrists ache")
    other.context.close()


def test_undo_puts_the_old_text_back(desk: Page, program):
    open_step(desk, program, "Yara", "look")
    before = entry(desk, program, "look.found.seat", "Yara")["typed"]
    seat = walk_to(desk, "Seat, loaded")
    seat.fill("60")
    seat.press("Tab")
    kept(desk)
    desk.get_by_role("button", name="Take the last change back (z)").click()
    kept(desk)
    expect(seat).to_have_value(before.removesuffix(" cm"))
    assert entry(desk, program, "look.found.seat", "Yara")["typed"] == before


def test_a_reader_looks_and_can_type_nothing(page: Page, program):
    sign_in(page, program, who=2)
    open_step(page, program, "Odile", "look")
    expect(walk_to(page, "Seat, loaded")).not_to_be_editable()
    page.locator("h1").click()
    page.keyboard.press("4")
    expect(page.get_by_role("heading", name=re.compile("things to set"))).to_be_visible()
