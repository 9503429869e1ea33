"""Nothing typed is lost: bad input, reload, restart, no network, two people at once."""

import re

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import kept, open_step, sign_in

pytestmark = pytest.mark.browser


def found_tab(page: Page) -> None:
    page.get_by_role("tab", name=re.compile("^As found ?,")).click()


def entry(page: Page, program, path: str, name="Jonas") -> dict:
    lines = page.request.get(f"{program.address}/api/visits").json()
    visit = next(line["id"] for line in lines if line["client"].startswith(name))
    return page.request.get(f"{program.address}/api/visits/{visit}").json()["entries"].get(path, {})


def test_bad_input_is_answered_in_place_and_the_rest_stays(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    found_tab(desk)
    desk.get_by_label("Surface", exact=True).fill("76")
    seat = desk.get_by_label("Seat, loaded")
    seat.fill("4")
    seat.press("Tab")
    expect(desk.get_by_role("alert")).to_have_text(
        "Seat, loaded: 4.0 cm is outside 25.0 to 90.0 cm. Not kept yet."
    )
    expect(seat).to_have_value("4")
    expect(desk.get_by_label("Surface", exact=True)).to_have_value("76")
    desk.reload()
    found_tab(desk)
    expect(desk.get_by_label("Seat, loaded")).to_have_value("4")
    desk.get_by_label("Seat, loaded").fill("45,5")
    kept(desk)
    expect(desk.get_by_role("alert")).to_be_hidden()
    assert entry(desk, program, "look.found.seat")["value"] == 455


def test_typed_without_network_waits_on_the_device_and_arrives(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    found_tab(desk)
    desk.context.set_offline(True)
    distance = desk.get_by_label("Eye to screen")
    distance.fill("52")
    distance.press("Tab")
    expect(desk.get_by_role("status").first).to_contain_text("1 on this device")
    desk.context.set_offline(False)
    kept(desk)
    assert entry(desk, program, "look.found.distance")["typed"] == "52 cm"


def test_a_restart_of_the_server_loses_nothing(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    found_tab(desk)
    desk.get_by_label("Mouse from the midline").fill("31")
    kept(desk)
    program.stop()
    top = desk.get_by_label("Screen top, picture not frame")
    top.fill("98")
    top.press("Tab")
    expect(desk.get_by_role("status").first).to_contain_text("on this device")
    program.start()
    kept(desk)
    desk.reload()
    found_tab(desk)
    expect(desk.get_by_label("Mouse from the midline")).to_have_value("31")
    expect(desk.get_by_label("Screen top, picture not frame")).to_have_value("98")


def test_two_people_see_both_versions_and_choose(
    desk: Page, program, browser, browser_context_args
):
    other = sign_in(browser.new_context(**browser_context_args).new_page(), program, who=1)
    for page in (desk, other):
        open_step(page, program, "Mirela", "ask")
    desk.get_by_label("Reason for the visit").fill("Back aches")
    desk.get_by_label("Reason for the visit").press("Tab")
    kept(desk)
    other.get_by_label("Reason for the visit").fill("Wrists ache")
    other.get_by_label("Reason for the visit").press("Tab")
    alert = other.get_by_role("alert")
    expect(alert).to_contain_text("Ines Calloway has put Back aches here")
    expect(alert).to_contain_text("you typed Wrists ache")
    other.get_by_role("button", name="Mine").click()
    kept(other)
    assert entry(desk, program, "ask.reason", "Mirela")["typed"] == "Wrists ache"
    other.context.close()


def test_undo_puts_the_old_text_back(desk: Page, program):
    open_step(desk, program, "Yara", "look")
    found_tab(desk)
    before = entry(desk, program, "look.found.seat", "Yara")["typed"]
    desk.get_by_label("Seat, loaded").fill("60")
    desk.get_by_label("Seat, loaded").press("Tab")
    kept(desk)
    desk.get_by_role("button", name="Take the last change back (z)").click()
    kept(desk)
    expect(desk.get_by_label("Seat, loaded")).to_have_value(before.removesuffix(" cm"))
    assert entry(desk, program, "look.found.seat", "Yara")["typed"] == before


def test_a_reader_looks_and_can_type_nothing(page: Page, program):
    sign_in(page, program, who=2)
    open_step(page, program, "Odile", "look")
    found_tab(page)
    expect(page.get_by_label("Seat, loaded")).not_to_be_editable()
    page.keyboard.press("4")
    expect(page.get_by_role("heading", name=re.compile("things to set"))).to_be_visible()
