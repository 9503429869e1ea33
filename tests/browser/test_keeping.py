"""Nothing typed is lost: bad input, reload, restart, no network, two people at once."""

import re
from datetime import UTC, datetime

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import (
    entry,
    kept,
    open_step,
    remember,
    sign_in,
    tab,
    unheard,
    visit_id,
    walk_to,
)
from plumb_demo.people import DEMO_MEMBERS

pytestmark = pytest.mark.browser


def test_bad_input_is_answered_in_place_and_the_rest_stays(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    walk_to(desk, "Surface").fill("76")
    seat = walk_to(desk, "Seat height, client seated")
    seat.fill("4")
    seat.press("Tab")
    expect(desk.get_by_role("alert")).to_have_text(
        "Seat height, client seated: 4.0 cm is outside 25.0 to 90.0 cm. Not saved yet."
    )
    expect(seat).to_have_value("4")
    expect(desk.get_by_role("button", name="Surface 76 cm")).to_be_visible()
    desk.reload()
    expect(walk_to(desk, "Seat height, client seated")).to_have_value("4")
    again = walk_to(desk, "Seat height, client seated")
    again.fill("45,5")
    again.press("Tab")
    kept(desk)
    expect(desk.get_by_role("alert")).to_be_hidden()
    assert entry(desk, program, "look.found.seat", "Jonas")["value"] == 455


def test_typed_without_network_waits_on_the_device_and_arrives(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    desk.wait_for_function(
        """() => performance.getEntriesByType('resource')
                   .some((one) => one.name.includes('today-page') && one.responseEnd > 0)"""
    )  # the other places come after the first
    desk.context.set_offline(True)
    distance = walk_to(desk, "Eye to screen")
    distance.fill("52")
    distance.press("Tab")
    expect(desk.get_by_role("status").first).to_contain_text("1 on this device")
    desk.get_by_role("link", name="Today").click()
    expect(desk.get_by_role("heading", name="Today", exact=True)).to_be_visible()
    expect(desk.get_by_role("region", name="On this device")).to_be_visible()
    desk.context.set_offline(False)
    desk.get_by_role("link", name=re.compile("^(Jonas|A visit)")).first.click()
    kept(desk)
    assert entry(desk, program, "look.found.distance", "Jonas")["typed"] == "52 cm"


def test_a_restart_of_the_server_loses_nothing(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    walk_to(desk, "Mouse distance from midline").fill("31")
    kept(desk)
    program.stop()
    top = walk_to(desk, "Top of screen")
    top.fill("98")
    top.press("Tab")
    expect(desk.get_by_role("status").first).to_contain_text("on this device")
    program.start()
    kept(desk)
    desk.reload()
    expect(walk_to(desk, "Mouse distance from midline")).to_have_value("31")
    expect(walk_to(desk, "Top of screen")).to_have_value("98")


def test_two_people_see_both_versions_and_choose(
    desk: Page, program, browser, browser_context_args
):
    other = sign_in(browser.new_context(**browser_context_args).new_page(), program, who=1)
    unheard(desk, other)
    for page in (desk, other):
        open_step(page, program, "Mirela", "ask")
        if page is desk:
            given = page.get_by_role("button", name="Given: To keep health notes", exact=True)
            given.click()
            expect(given).to_be_disabled()
            kept(page)
        tab(page, "Reason")
    mine, theirs = (page.get_by_label("Reason for the visit") for page in (other, desk))
    theirs.fill("Back aches")
    theirs.press("Tab")
    kept(desk)
    mine.fill("Wrists ache")
    mine.press("Tab")
    alert = other.get_by_role("alert")
    expect(alert).to_contain_text("Ines Calloway entered Back aches here")
    expect(alert).to_contain_text("while you typed Wrists ache")
    other.get_by_role("button", name="Keep both").click()
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
    seat = walk_to(desk, "Seat height, client seated")
    seat.fill("60")
    seat.press("Tab")
    kept(desk)
    desk.get_by_role("button", name="Undo (z)").click()
    kept(desk)
    expect(seat).to_have_value(before.removesuffix(" cm"))
    assert entry(desk, program, "look.found.seat", "Yara")["typed"] == before


def test_a_reader_opens_a_visit_only_where_the_owner_lets_them(page: Page, program, request):
    sign_in(page, program, who=2)
    page.get_by_role("button", name=re.compile("^Signed")).click()
    signed = page.get_by_role("region", name="Signed")
    odile = signed.get_by_role("listitem").filter(has_text="Odile")
    expect(odile).to_be_visible()
    expect(odile.get_by_role("link", name=re.compile("Odile"))).to_have_count(0)
    page.goto(f"{program.address}/visits/{visit_id(page, program, 'Odile')}/ask")
    expect(page.get_by_role("alert")).to_contain_text("health")
    request.getfixturevalue("sees_health")
    page.goto(program.address)
    open_step(page, program, "Odile", "look")
    expect(walk_to(page, "Seat height, client seated")).not_to_be_editable()
    page.locator("h1").click()
    page.keyboard.press("4")
    expect(page.get_by_role("heading", name=re.compile("things to set"))).to_be_visible()


def test_a_session_that_ends_leads_to_sign_in_and_words_go_on_from_there(desk: Page, program):
    open_step(desk, program, "Jonas", "look")
    seat = walk_to(desk, "Footrest")
    desk.context.clear_cookies(name="plumb_session")
    seat.fill("7")
    expect(desk.get_by_text("Your session has ended. Sign in again")).to_be_visible()
    desk.get_by_label("Email").fill(DEMO_MEMBERS[0].email)
    desk.get_by_label("Password").fill(DEMO_MEMBERS[0].password)
    desk.get_by_role("button", name="Sign in").click()
    kept(desk)
    expect(walk_to(desk, "Footrest")).to_have_value("7")
    assert entry(desk, program, "look.found.footrest", "Jonas")["typed"] == "7 cm"
    remember(desk, program)


def test_two_people_in_one_visit_see_each_other_and_each_others_changes(
    desk: Page, program, browser, browser_context_args
):
    other = sign_in(browser.new_context(**browser_context_args).new_page(), program, who=1)
    for page in (desk, other):
        open_step(page, program, "Wilma", "look")
    expect(desk.get_by_text("Also here: Tomas Wendel")).to_be_visible()
    expect(other.get_by_text("Also here: Ines Calloway")).to_be_visible()
    theirs, mine = (walk_to(page, "Footrest") for page in (desk, other))
    theirs.fill("9")
    theirs.press("Tab")
    kept(desk)
    expect(mine).to_have_value("9")
    other.context.close()
    expect(desk.get_by_text("Also here")).to_have_count(0)


def test_a_conflict_and_a_refused_value_outlive_a_reload(
    desk: Page, program, browser, browser_context_args
):
    other = sign_in(browser.new_context(**browser_context_args).new_page(), program, who=1)
    unheard(desk, other)
    for page in (desk, other):
        open_step(page, program, "Yara", "look")
    theirs, mine = (walk_to(page, "Eye to screen") for page in (desk, other))
    theirs.fill("61")
    theirs.press("Tab")
    kept(desk)
    mine.fill("67")
    mine.press("Tab")
    show = other.get_by_role("button", name="1 to resolve: show")
    expect(show).to_be_visible()
    refused = walk_to(other, "Seat height, client seated")
    refused.fill("4")
    refused.press("Enter")
    expect(refused).to_be_visible()  # one stays where the value was refused
    expect(other.get_by_role("button", name="1 not saved, 1 to resolve: show")).to_be_visible()
    other.once("dialog", lambda dialog: dialog.accept())  # the browser warns before it goes
    other.reload()
    other.get_by_role("button", name="1 not saved, 1 to resolve: show").click()
    alert = other.get_by_role("alert")
    expect(alert).to_contain_text("Ines Calloway entered 61 cm here")
    expect(alert).to_contain_text("you typed 67")
    other.get_by_role("button", name="Mine").click()
    other.get_by_role("button", name="1 not saved: show").click()
    expect(walk_to(other, "Seat height, client seated")).to_have_value("4")
    expect(other.get_by_role("alert")).to_contain_text("outside 25.0 to 90.0 cm")
    walk_to(other, "Seat height, client seated").fill("47")
    kept(other)
    assert entry(desk, program, "look.found.distance", "Yara")["typed"] == "67 cm"
    other.context.close()


def test_what_is_deleted_comes_back_by_undo(desk: Page, program):
    desk.get_by_role("link", name="Clients").click()
    row = desk.get_by_role("listitem").filter(has_text="Nadia")
    row.get_by_role("button", name="New visit").click()
    desk.wait_for_url("**/ask")
    address = desk.url
    desk.get_by_role("link", name="Today").click()
    gone = desk.get_by_role("button", name=re.compile("Delete the empty visit of Nadia"))
    gone.click()
    expect(gone).to_have_count(0)
    desk.get_by_role("button", name="Undo").click()
    expect(gone).to_be_visible()
    desk.goto(address)
    expect(desk.get_by_role("heading", name=re.compile("Nadia"))).to_be_visible()
    desk.get_by_role("link", name="Today").click()
    gone.click()
    expect(gone).to_have_count(0)


def test_a_date_is_kept_once_it_is_whole(desk: Page, program):
    open_step(desk, program, "Bram", "report")
    field = desk.get_by_label("Follow-up date")
    year = datetime.now(UTC).year + 1
    sent = []
    desk.on(
        "request",
        lambda one: (
            sent.append(one.post_data_json["typed"])
            if one.method == "PUT" and "/changes/" in one.url
            else None
        ),
    )
    field.press_sequentially(f"15 Dec {year}", delay=470)  # slower than a pause in typing
    field.press("Tab")
    expect(desk.get_by_role("button", name="Sign version 1…")).to_be_visible()
    assert sent == [f"{year}-12-15"]
    assert entry(desk, program, "report.follow_up", "Bram")["typed"] == f"{year}-12-15"


def test_a_page_that_fails_says_so_and_leads_on(page: Page, program):
    sign_in(page, program)
    page.route("**/api/fields", lambda route: route.fulfill(json={}))
    page.goto(f"{program.address}/visits/{visit_id(page, program, 'Jonas')}/ask")
    expect(page.get_by_role("heading", name="Something went wrong on this page")).to_be_visible()
    expect(page.get_by_text("Your entries are safe")).to_be_visible()
    page.unroute("**/api/fields")
    page.get_by_role("button", name="Back to Today").click()
    expect(page.get_by_role("heading", name="Today", exact=True)).to_be_visible()


def test_words_leave_while_they_are_typed_and_the_rest_when_the_page_goes(desk: Page, program):
    open_step(desk, program, "Jonas", "ask")
    tab(desk, "Reason")
    reason = desk.get_by_label("Reason for the visit")
    before = reason.input_value()
    reason.focus()
    desk.keyboard.press("Control+End")
    sent = []
    desk.on("request", lambda one: sent.append(one.method) if "/changes/" in one.url else None)
    words = " and then some more of it"
    reason.press_sequentially(words, delay=120)  # never a pause
    assert sent.count("PUT") >= 2
    desk.on("dialog", lambda dialog: dialog.accept())
    desk.reload()
    tab(desk, "Reason")
    expect(reason).to_have_value(before + words)
    kept(desk)


def test_left_alone_the_page_is_kept_behind_a_lock_in_its_place(desk: Page, program):
    desk.clock.install()
    open_step(desk, program, "Yara", "look")
    top = walk_to(desk, "Top of screen")
    top.fill("101,5")
    desk.clock.fast_forward("16:00")
    lock = desk.get_by_role("dialog", name="Locked")
    expect(lock).to_be_visible()
    expect(top).to_be_hidden()
    desk.keyboard.press("Escape")
    lock.get_by_label("Password").fill("not this one")
    lock.get_by_role("button", name="Unlock").click()
    expect(lock.get_by_role("alert")).to_contain_text("Wrong password")
    lock.get_by_label("Password").fill(DEMO_MEMBERS[0].password)
    lock.get_by_role("button", name="Unlock").click()
    expect(top).to_have_value("101,5")
    with desk.expect_response(re.compile("/api/session/lock$")):
        desk.clock.fast_forward("16:00")
    expect(lock).to_be_visible()
    around = [
        desk.request.get(f"{program.address}/api/visits", max_retries=3),
        desk.request.get(f"{program.address}/api/me", max_retries=3),
    ]
    assert [(one.status, one.json()["type"]) for one in around] == [(401, "locked")] * 2
    desk.evaluate("localStorage.clear()")
    desk.reload()  # no way around it
    expect(lock).to_be_visible()
    expect(desk.locator("#main")).to_have_count(0)
    lock.get_by_label("Password").fill(DEMO_MEMBERS[0].password)
    lock.get_by_role("button", name="Unlock").click()
    expect(desk.locator("#main")).to_be_visible()
