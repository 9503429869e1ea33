"""Watching, photographs, the body, signs and findings, as hands and keys do them."""

import re

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import entry, kept, open_step, sign_in, tab, unheard

pytestmark = pytest.mark.browser
PARTS = {
    "ask": ("Consent", "Red flags", "Hours", "Conditions", "Discomfort"),
    "look": ("As found", "Equipment", "Habits", "Room", "Photos"),
    "work": ("Targets", "Findings", "Strain"),
}


def test_discomfort_is_marked_by_keys_alone(desk: Page, program):
    open_step(desk, program, "Hugo", "ask")
    tab(desk, "Discomfort")
    body = desk.get_by_test_id("body-map")
    nape = body.get_by_role("button", name=re.compile("^Back of the neck"))
    nape.focus()
    nape.press("7")
    expect(nape).to_have_accessible_name("Back of the neck, 7 of 10")
    nape.press("ArrowRight")
    shoulder = body.get_by_role("button", name=re.compile("^Right top of the shoulder"))
    expect(shoulder).to_be_focused()
    shoulder.press("9")
    shoulder.press("+")
    expect(shoulder).to_have_accessible_name("Right top of the shoulder, 10 of 10")
    desk.get_by_role("radiogroup", name="How often").get_by_role("radio", name="Every day").click()
    shoulder.press("Delete")
    kept(desk)
    assert entry(desk, program, "ask.discomfort.nape", "Hugo")["value"] == 7
    assert entry(desk, program, "ask.discomfort.shoulder_top_right", "Hugo")["typed"] == ""
    assert "/ask" in desk.url  # digits go to the map, not to the steps


def test_a_tap_near_a_region_finds_it(desk: Page, program):
    open_step(desk, program, "Hugo", "ask")
    tab(desk, "Discomfort")
    narrow = desk.locator('[data-region="between_blades"]').bounding_box()
    desk.mouse.click(narrow["x"] + narrow["width"] / 2 + 4, narrow["y"] + narrow["height"] / 2)
    expect(desk.get_by_role("heading", name="Between the shoulder blades")).to_be_visible()
    desk.get_by_role("radiogroup", name="Intensity").get_by_role("radio", name="4").click()
    kept(desk)
    assert entry(desk, program, "ask.discomfort.between_blades", "Hugo")["value"] == 4


def test_habits_are_one_tap_on_the_figure(desk: Page, program):
    desk.set_viewport_size({"width": 1024, "height": 768})
    open_step(desk, program, "Greta", "look")
    tab(desk, "Habits")
    drawing = desk.get_by_test_id("elevation")
    slumping = drawing.get_by_role("button", name="Slumping")
    slumping.click()
    expect(slumping).to_have_attribute("aria-pressed", "true")
    desk.get_by_role("radio", name="Nearly always").click()
    note = desk.get_by_label("Note", exact=True)
    note.fill("After lunch")
    note.press("Tab")
    tab(desk, "Room")
    tab(desk, "Habits")
    expect(slumping).to_have_attribute("aria-pressed", "true")
    desk.get_by_role("radio", name="Standing").click()
    leg = drawing.get_by_role("button", name="Weight on one leg")
    leg.press("Enter")
    expect(leg).to_have_attribute("aria-pressed", "true")
    leg.press("Enter")
    expect(leg).to_have_attribute("aria-pressed", "false")
    kept(desk)
    assert entry(desk, program, "look.habit.slumping", "Greta")["value"] == "seen"
    assert entry(desk, program, "look.habit.slumping.often", "Greta")["value"] == "nearly_always"
    assert entry(desk, program, "look.habit.slumping.note", "Greta")["typed"] == "After lunch"


def test_a_note_is_made_from_any_step(desk: Page, program):
    open_step(desk, program, "Pia", "pace")
    desk.locator("h1").click()
    desk.keyboard.press("m")
    note = desk.get_by_label("Visit notes")
    note.fill("Kettle beside the laptop.")
    desk.keyboard.press("Escape")
    kept(desk)
    assert entry(desk, program, "look.note", "Pia")["typed"] == "Kettle beside the laptop."
    assert desk.url.endswith("/pace")


def test_what_is_no_picture_is_said_in_its_place(desk: Page, program, tmp_path):
    file, heavy = tmp_path / "side.jpg", tmp_path / "heavy.jpg"
    file.write_bytes(b"not a picture at all")
    heavy.write_bytes(b"\xff" * (26 * 1024 * 1024))
    open_step(desk, program, "Jonas", "look")
    tab(desk, "Photos")
    desk.get_by_label("Photo from a file").set_input_files(file)
    expect(desk.get_by_role("alert")).to_contain_text("This file isn’t a JPEG, PNG or WebP photo.")
    desk.get_by_label("Photo from a file").set_input_files(heavy)
    expect(desk.get_by_role("alert")).to_contain_text("The photo is 26.0 MB; the limit is 25.0 MB")
    told = desk.evaluate(
        """async () => {
             const me = await (await fetch('/api/me')).json();
             const visit = location.pathname.split('/')[2];
             const answer = await fetch(`/api/visits/${visit}/photos/${crypto.randomUUID()}`, {
               method: 'PUT', headers: {'X-Plumb-Csrf': me.csrf, 'Content-Type': 'image/jpeg'},
               body: new Blob([new Uint8Array(27 * 1024 * 1024)]) });
             return [answer.status, (await answer.json()).detail];
           }"""
    )
    assert told[0] == 422
    assert "The photo is 27.0 MB" in told[1]


def test_a_sign_stays_in_sight_and_stops_the_signature(desk: Page, program):
    open_step(desk, program, "Casper", "ask")
    tab(desk, "Red flags")
    calf = desk.get_by_role("radiogroup", name="Hot, swollen or painful calf")
    calf.get_by_role("radio", name="Yes").click()
    for step in ("look", "report"):
        open_step(desk, program, "Casper", step)
        banner = desk.get_by_role("alert").filter(has_text="same day")
        expect(banner).to_contain_text("Hot, swollen or painful calf")
    desk.get_by_role("button", name=re.compile("^Before signing")).click()
    waiting = desk.get_by_role("dialog", name="Not ready to sign")
    expect(waiting.get_by_text(re.compile("hot, swollen or painful calf"))).to_be_visible()
    desk.keyboard.press("Escape")
    desk.get_by_role("link", name="Today").click()
    casper = desk.get_by_role("listitem").filter(has_text="Casper Roe")
    expect(casper).to_contain_text("the same day")
    desk.go_back()
    banner.get_by_role("button").click()
    to = desk.get_by_label("Referred to").first
    to.fill("His own doctor")
    to.press("Tab")
    done = desk.get_by_label("Done, and told to the client").first
    done.fill("ok")
    done.press("Tab")
    kept(desk)
    expect(banner).to_be_visible()  # a shrug is no answer
    done.fill("Rang his doctor; seen today.")
    done.press("Tab")
    expect(banner).to_be_visible()  # nor one nobody stands for
    desk.get_by_role("button", name="By me, today: Ines Calloway").click()
    expect(desk.get_by_role("alert").filter(has_text="same day")).to_have_count(0)
    kept(desk)
    open_step(desk, program, "Casper", "report")
    expect(desk.get_by_text(re.compile("Rang his doctor; seen today"))).to_be_visible()
    expect(desk.get_by_role("button", name="Sign version 2…")).to_be_enabled()


def test_what_waits_for_consent_is_kept_once_it_is_given_and_gone_when_withdrawn(
    desk: Page, program
):
    desk.get_by_role("link", name="Clients").click()
    row = desk.get_by_role("listitem").filter(has_text="Mirela Dunne")
    row.get_by_role("button", name="New visit").click()
    desk.wait_for_url("**/ask")
    visit = desk.url.split("/")[-2]
    tab(desk, "Reason")
    reason = desk.get_by_label("Reason for the visit")
    reason.fill("Belly meets the desk.")
    reason.press("Tab")
    desk.get_by_role("button", name="Record consent").click()
    desk.get_by_role("button", name="Given: To keep health notes", exact=True).click()
    kept(desk)

    def held():
        return desk.request.get(f"{program.address}/api/visits/{visit}", max_retries=3).json()[
            "entries"
        ]["ask.reason"]

    assert held()["typed"] == "Belly meets the desk."
    desk.get_by_role("button", name="Withdraw: To keep health notes", exact=True).click()
    expect(
        desk.get_by_text("All health notes and free text in this visit are deleted")
    ).to_be_visible()
    desk.get_by_role("button", name="Withdraw consent").click()
    expect(desk.get_by_text("Withdrawn")).to_be_visible()
    kept(desk)
    tab(desk, "Reason")
    expect(reason).to_have_value("")
    assert held()["typed"] == ""


def test_what_is_not_kept_says_so_where_it_was_tapped(
    desk: Page, program, browser, browser_context_args
):
    """A refused strength and a habit two people tapped: no field of text stands beside them."""
    desk.get_by_role("link", name="Clients").click()
    row = desk.get_by_role("listitem").filter(has_text="Mirela Dunne")
    row.get_by_role("button", name="New visit").click()
    desk.wait_for_url("**/ask")
    tab(desk, "Discomfort")
    nape = desk.get_by_test_id("body-map").get_by_role(
        "button", name=re.compile("^Back of the neck")
    )
    nape.focus()
    nape.press("4")
    refused = desk.get_by_role("alert").filter(has_text="consent to health notes")
    expect(refused).to_contain_text("Not saved yet")

    other = sign_in(browser.new_context(**browser_context_args).new_page(), program, who=1)
    unheard(desk, other)
    for page in (desk, other):
        open_step(page, program, "Wilma", "look")
        tab(page, "Habits")
    perching = re.compile("^Perching")
    desk.get_by_test_id("elevation").get_by_role("button", name=perching).click()
    kept(desk)
    other.get_by_test_id("elevation").get_by_role("button", name=perching).click()
    both = other.get_by_role("alert")
    expect(both).to_contain_text("Ines Calloway entered seen here")
    other.get_by_role("button", name="Theirs").click()
    expect(both).to_be_hidden()
    other.context.close()


def test_a_piece_goes_on_the_shelf_and_into_another_visit(desk: Page, program):
    open_step(desk, program, "Bram", "look")
    tab(desk, "Equipment")
    desk.get_by_role("button", name="Save to equipment list").click()
    desk.get_by_label("Name", exact=True).fill("Cleaning room chair")
    desk.get_by_role("button", name="Save").click()
    open_step(desk, program, "Jonas", "look")
    tab(desk, "Equipment")
    desk.get_by_role("button", name="Choose from equipment list").click()
    desk.get_by_role("button", name="Cleaning room chair").click()
    expect(desk.get_by_label("Seat, highest", exact=True)).to_have_value("52")
    kept(desk)
    desk.get_by_role("link", name="Today").click()
    desk.keyboard.press("e")
    card = desk.get_by_role("listitem").filter(has_text="Cleaning room chair")
    desk.get_by_role("button", name="Change Cleaning room chair").click()
    desk.get_by_label("Seat, highest", exact=True).fill("999")
    desk.get_by_role("button", name="Save", exact=True).click()
    expect(desk.get_by_role("alert").first).to_contain_text("999.0 cm is outside")
    desk.get_by_label("Seat, highest", exact=True).fill("51")
    desk.get_by_role("button", name="Save", exact=True).click()
    expect(card).to_contain_text("to 51 cm")
    desk.get_by_role("button", name="Change Cleaning room chair").click()
    desk.get_by_role("button", name="Delete").click()
    expect(card).to_have_count(0)


def test_findings_are_gone_through_by_keys_and_the_rest_accepted_at_once(desk: Page, program):
    open_step(desk, program, "Bram", "work")
    tab(desk, "Findings")
    rest = desk.get_by_role("button", name=re.compile("^Accept (all|the other) "))
    many = int(rest.inner_text().split()[-1])
    findings = desk.locator("[data-finding]")
    first, second = (findings.nth(at).get_attribute("data-finding") for at in (0, 1))
    findings.first.focus()
    desk.keyboard.press("d")
    expect(rest).to_have_text(f"Accept the other {many - 1}")
    kept(desk)
    assert entry(desk, program, f"work.finding.{first}.verdict", "Bram")["value"] == "dismissed"
    expect(desk.locator(f"[data-finding='{second}']")).to_be_focused()
    rest.click()
    expect(rest).to_be_hidden()
    kept(desk)
    assert entry(desk, program, f"work.finding.{second}.verdict", "Bram")["value"] == "accepted"


def test_findings_are_dismissed_with_a_reason_and_strain_follows(desk: Page, program):
    open_step(desk, program, "Anselm", "work")
    tab(desk, "Strain")
    wrists = desk.get_by_role("listitem").filter(has_text="Wrists and hands").first
    expect(wrists).to_contain_text("6 h × 60 × 0.85 of the time × 20° ÷ 30° = 204 min")
    tab(desk, "Findings")
    desk.get_by_role("button", name=re.compile("Wrist extended")).click()
    desk.get_by_role("button", name="Dismiss").click()
    reason = desk.get_by_label("Reason for dismissing")
    reason.fill("Splint worn that day.")
    reason.press("Tab")
    kept(desk)
    tab(desk, "Strain")
    expect(desk.get_by_text("= 204 min")).to_have_count(0)


def test_before_and_after_are_shown_to_one_scale(desk: Page, program):
    open_step(desk, program, "Odile", "look")
    tab(desk, "Photos")
    desk.get_by_role("button", name="Compare before and after").click()
    expect(desk.get_by_text("Same scale: 10 cm is")).to_be_visible()
    scales = []
    for name in ("Before", "After"):
        picture = desk.get_by_role("img", name=name)
        width = picture.bounding_box()["width"]
        scales.append(width / float(picture.get_attribute("viewBox").split()[2]))
    assert scales[0] == pytest.approx(scales[1], rel=0.01)  # both from 3 m, by one camera
    row = desk.get_by_role("row", name=re.compile("^Neck angle"))
    expect(row).to_contain_text("47° ±")
    expect(row).to_contain_text("26° ±")


def test_a_reader_sees_it_all_and_can_change_none_of_it(page: Page, program, sees_health):
    sign_in(page, program, who=2)
    for step, parts in PARTS.items():
        open_step(page, program, "Bram", step)
        for part in parts:
            tab(page, part)
            for name in (
                "Given",
                "Withdraw",
                "Camera",
                "Choose from equipment list",
                "Save to equipment list",
                "Read light meter",
                "Erase",
                "Accept",
                "Dismiss",
                "Add a finding",
            ):
                expect(page.get_by_role("button", name=re.compile(f"^{name}"))).to_have_count(0)
            free = page.locator(
                "main [role=radio]:not([disabled]), main [role=checkbox]:not([disabled])"
            )
            expect(free).to_have_count(0)
            writable = page.locator(
                "main input:not([readonly]):not([type=file]), main textarea:not([readonly])"
            )
            assert [one.get_attribute("type") for one in writable.all() if one.is_visible()] == []
    open_step(page, program, "Bram", "look")
    tab(page, "Habits")
    slumping = page.get_by_test_id("elevation").get_by_role("button", name="Slumping")
    slumping.click()
    expect(slumping).to_have_attribute("aria-pressed", "false")


def test_light_is_read_from_the_meter(desk: Page, program):
    open_step(desk, program, "Wilma", "look")
    tab(desk, "Room")
    lux = desk.get_by_label("Light level on the desk")
    expect(lux).to_have_value("")
    desk.get_by_role("button", name="Read light meter").click()
    expect(lux).to_have_value(re.compile(r"^[234]\d\d$"))
    kept(desk)
