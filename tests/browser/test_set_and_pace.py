"""Set listens and Pace is a day: answers, nudges, the settle-in clock, limits, the bar, movements."""

import re

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import at_rest, entry, kept, open_step, tab

pytestmark = pytest.mark.browser


def choose(page: Page, question: str, answer: str) -> None:
    page.get_by_role("radiogroup", name=question).get_by_role("radio", name=answer).click()


def test_a_step_listens_to_the_person(desk: Page, program):
    open_step(desk, program, "Hugo", "set")
    desk.get_by_role("button", name="Armrests", exact=True).click()
    card = desk.get_by_role("region", name=re.compile("^Armrests"))
    expect(card.get_by_text(re.compile(r"Near enough: ± 0\.5"))).to_be_visible()
    aim = card.get_by_role("heading").inner_text()
    choose(desk, "Test", "Nearly")
    card.get_by_role("button", name=re.compile("Shoulders rise")).click()
    expect(card.get_by_role("heading")).not_to_have_text(aim)
    kept(desk)
    why = entry(desk, program, "work.seated.armrest.why", "Hugo")
    assert why["typed"] == "Shoulders rise"
    choose(desk, "The client says", "Hurts")
    expect(desk.get_by_text("Stop here. Pain overrides the number")).to_be_visible()
    expect(desk.get_by_role("row", name=re.compile("^Armrests"))).to_contain_text("stopped")
    choose(desk, "The client says", "Good")
    expect(desk.get_by_role("row", name=re.compile("^Armrests"))).not_to_contain_text("stopped")
    desk.get_by_text("Not today…").click()
    choose(desk, "Not today because", "It is locked or broken")
    choose(desk, "Responsible", "Workplace")
    expect(desk.get_by_role("row", name=re.compile("^Armrests"))).to_contain_text("not today")
    kept(desk)


def test_an_aim_that_moves_under_what_was_set_asks(desk: Page, program):
    open_step(desk, program, "Hugo", "set")
    desk.get_by_role("button", name="Surface", exact=True).first.click()
    desk.get_by_role("button", name="Set to target", exact=True).click()
    expect(desk.get_by_text("not measured. The report")).to_be_visible()
    kept(desk)
    desk.get_by_role("button", name="Seat", exact=True).click()
    choose(desk, "Test", "Fails")
    for _ in range(3):
        desk.get_by_role("button", name=re.compile("Knees above hips")).click()
        kept(desk)
        choose(desk, "Test", "Fails")
    expect(desk.get_by_role("row", name=re.compile("^Surface")).first).to_contain_text("aim moved")
    desk.get_by_role("button", name="Surface", exact=True).first.click()
    desk.get_by_role("button", name=re.compile("^Keep ")).click()
    expect(desk.get_by_role("row", name=re.compile("^Surface")).first).not_to_contain_text("aim")


def test_the_settle_in_clock_is_seen_on_every_step_and_survives_a_reload(desk: Page, program):
    desk.clock.install()
    open_step(desk, program, "Yara", "set")
    desk.get_by_role("button", name=re.compile("^Start: 15 min")).click()
    clock = desk.get_by_role("banner").get_by_role("button", name=re.compile("Settling in"))
    expect(clock).to_be_visible()
    kept(desk)
    desk.reload()
    desk.clock.fast_forward("05:00")
    desk.get_by_role("button", name=re.compile("^1 Ask")).click()
    expect(clock).to_contain_text(re.compile("9:|10:0"))
    desk.get_by_role("link", name="Today").click()
    row = desk.get_by_role("listitem").filter(has_text="Yara")
    expect(row).to_contain_text("Settling in 9:")
    desk.clock.fast_forward("11:00")
    expect(row).to_contain_text("Settle-in time is over: check again")
    desk.go_back()
    desk.get_by_role("button", name="Settle-in time is over: check again").click()
    desk.get_by_role("button", name=re.compile("Comes forward. Bring the screen")).click()
    kept(desk)
    assert entry(desk, program, "work.settle_by", "Yara")["value"] == -40
    expect(clock).to_be_hidden()


def test_a_limit_binds_the_day_until_it_is_cleared(desk: Page, program):
    open_step(desk, program, "Wilma", "pace")
    limits = desk.get_by_role("list", name="Limits for the day")
    expect(limits).to_contain_text("Standing only for short periods")
    forty = desk.get_by_role("radio", name=re.compile("^40 sit · 20 stand"))
    expect(forty).to_be_disabled()
    limits.get_by_text("Cleared or changed…").first.click()
    limits.get_by_label("Said by").first.fill("Dr Quill")
    limits.get_by_label("From", exact=True).first.fill("20 Nov 2026")
    limits.get_by_label("From", exact=True).first.press("Tab")
    kept(desk)
    expect(limits).to_contain_text("it no longer applies")
    expect(forty).to_be_enabled()


def test_the_day_is_drawn_along_by_keys_and_its_tasks_are_chosen(desk: Page, program):
    open_step(desk, program, "Bram", "pace")
    edge = desk.get_by_role("slider", name="Start of work")
    edge.focus()
    edge.press("ArrowLeft")
    kept(desk)
    expect(edge).to_have_attribute("aria-valuetext", "8:55")
    lunch = desk.get_by_role("slider", name="Lunch ends")
    box = lunch.bounding_box()
    desk.mouse.move(box["x"] + box["width"] / 2, box["y"] + 60)
    desk.mouse.down()
    desk.mouse.move(box["x"] + box["width"] / 2 + 40, box["y"] + 60, steps=4)
    desk.mouse.up()
    kept(desk)
    assert entry(desk, program, "pace.lunch", "Bram")["value"] > 30
    tab(desk, "Tasks")
    choose(desk, "Using the mouse", "Standing")
    kept(desk)
    tab(desk, "Hour by hour")
    expect(desk.get_by_role("row", name=re.compile("^8:55 "))).to_be_visible()
    tab(desk, "Movements")
    leave = desk.get_by_role("button", name="Leave out")
    expect(leave.first).to_be_visible()
    many = leave.count()
    first = desk.get_by_role("heading", level=3).first.inner_text()
    leave.first.click()
    expect(desk.get_by_role("heading", level=3, name=first)).to_be_hidden()
    assert 1 <= many <= 5
    kept(desk)


def test_the_desk_moves_while_a_button_is_held_and_its_key_is_saved(desk: Page, program):
    open_step(desk, program, "Odile", "set")
    desk.get_by_role("button", name="Surface", exact=True).first.click()
    keys = desk.get_by_role("region", name="Electric desk")
    reads = keys.locator("b").first
    before = float(reads.inner_text().split()[0])
    button = keys.get_by_role("button", name=re.compile("^(Hold to move|Moving)"))
    box = button.bounding_box()
    desk.mouse.move(box["x"] + 40, box["y"] + 20)
    desk.mouse.down()
    expect(reads).not_to_have_text(re.compile(rf"^{before}"), timeout=10_000)
    desk.mouse.up()
    expect(button).to_contain_text("Hold to move")

    def at() -> float:
        return desk.request.get(f"{program.address}/api/desk", max_retries=3).json()["at"]

    last = at()
    desk.wait_for_timeout(600)  # longer than one step of the desk, so two equal readings mean rest
    while (stood := at()) != last:
        last = stood
        desk.wait_for_timeout(600)
    at_rest(desk)
    assert at() == stood
    assert stood < before * 10  # towards the seated height
    expect(keys.get_by_role("button", name="Save on key 1")).to_be_disabled()  # not there yet


def test_a_spell_of_the_day_is_taken_in_hand_and_given_back(desk: Page, program):
    open_step(desk, program, "Hugo", "pace")
    tab(desk, "Hour by hour")
    desk.get_by_role("button", name="Sit", exact=True).nth(1).click()
    spell = desk.get_by_role("region", name="One period of the day")
    spell.get_by_role("button", name="Change times").click()
    minutes = spell.get_by_label("Minutes")
    minutes.fill("35")
    minutes.press("Tab")
    row = desk.get_by_role("row", name=re.compile("Sit by hand"))
    expect(row).to_contain_text("35")
    end = desk.get_by_role("slider", name="Sit of your own ends")
    end.focus()
    end.press("ArrowRight")
    expect(row).to_contain_text("40")
    choose(desk, "Posture", "Move")
    expect(desk.get_by_role("row", name=re.compile("Move by hand"))).to_be_visible()
    kept(desk)
    spell.get_by_role("button", name="Back to the pattern").click()
    expect(desk.get_by_role("row", name=re.compile("by hand"))).to_be_hidden()
    kept(desk)


def test_the_pair_is_read_from_the_tape_by_name(desk: Page, program):
    open_step(desk, program, "Bram", "set")
    walk = desk.get_by_role("region", name="Sitting and standing")
    pair = walk.get_by_role("table", name="Sitting and standing")
    line = pair.get_by_role("row", name=re.compile("^Screen top"))
    expect(line).to_contain_text("not yet")
    expect(walk).to_contain_text(re.compile("Measure again standing: .*screen top"))
    path = "set.standing.screen_top"
    # what is measured standing is asked for once: as the step of its own
    desk.get_by_role("button", name=re.compile("^Screen top standing")).click()
    desk.get_by_role("button", name="Read from tape").click()
    expect(line).to_contain_text("read from the tape")
    kept(desk)
    assert entry(desk, program, f"{path}.by", "Bram")["value"] == "tape"
