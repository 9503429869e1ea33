"""Measuring with the hands full: the figure, doubts, instruments, files and the drill."""

import re
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

from browser.conftest import at_rest, entry, kept, open_step, pick, sign_in, visit_id


def open_dimension(page: Page, program, client: str, label: str) -> None:
    open_step(page, program, client, "measure")
    page.get_by_role("button", name=re.compile(rf"^{re.escape(label)}")).first.click()
    expect(page.get_by_role("heading", name=label, exact=True)).to_be_visible()
    expect(page.get_by_label("First reading")).to_be_focused()


def arrow(page: Page) -> float:
    """Length of the arrow on the figure, px."""
    d = page.locator("[data-testid=elevation] .grows").evaluate("one => getComputedStyle(one).d")
    x1, y1, x2, y2 = (float(n) for n in re.findall(r"-?[\d.]+", d))
    return abs(x2 - x1) + abs(y2 - y1)


def test_the_figure_turns_and_the_arrow_grows_with_the_number(desk: Page, program):
    open_dimension(desk, program, "Saskia", "Lumbar height, seated")
    stage = desk.get_by_test_id("elevation")
    expect(stage.get_by_text("Seated, from behind")).to_be_visible()
    assert arrow(desk) == 0
    desk.keyboard.type("19")
    desk.keyboard.press("Tab")
    expect(desk.get_by_label("Second reading")).to_be_focused()
    expect(stage.get_by_text("19.0 cm")).to_be_visible()
    at_rest(desk)
    short = arrow(desk)
    desk.get_by_label("First reading").fill("22")
    expect(stage.get_by_text("22.0 cm")).to_be_visible()
    at_rest(desk)
    assert short > 30
    assert arrow(desk) > short
    desk.keyboard.press("ArrowDown")
    expect(stage.get_by_text("Seated, from the side")).to_be_visible()
    desk.get_by_role("radio", name="At the desk").click()
    expect(stage.get_by_text("From above")).to_be_visible()


def test_a_dimension_without_the_mouse_from_reading_to_reason(desk: Page, program):
    open_dimension(desk, program, "Saskia", "Thigh clearance")
    desk.keyboard.type("15")
    desk.keyboard.press("Enter")
    desk.keyboard.type("18")
    desk.keyboard.press("Enter")
    expect(desk.get_by_text("take a third")).to_be_visible()
    expect(desk.get_by_label("Third reading")).to_be_focused()
    desk.keyboard.type("15.4")
    desk.keyboard.press("Enter")
    expect(desk.get_by_role("heading", name="Elbow height, seated", exact=True)).to_be_visible()
    expect(desk.get_by_label("First reading")).to_be_focused()
    desk.keyboard.press("x")
    desk.get_by_role("button", name="Clothing is in the way").press("Enter")
    expect(desk.get_by_text("Left out: clothing is in the way.")).to_be_visible()
    kept(desk)
    assert (
        entry(desk, program, "measure.elbow_height_sitting.skip", "Saskia")["value"] == "clothing"
    )


def test_the_tape_answers_one_key_in_the_unit_it_is_set_to(desk: Page, program):
    open_dimension(desk, program, "Greta", "Popliteal height")
    pick(desk, "Unit of the tape", "mm")
    for _ in range(8):  # it fails now and then, as things do
        if desk.get_by_label("First reading").input_value():
            break
        with desk.expect_response("**/readings"):
            desk.get_by_label("First reading").press("r")
        expect(desk.get_by_role("button", name="Take reading")).to_be_enabled()
        at_rest(desk)
    expect(desk.get_by_label("First reading")).to_have_value(re.compile(r"^\d{3} mm$"))
    kept(desk)
    assert entry(desk, program, "measure.popliteal_height.with", "Greta")["value"] == "tape"
    expect(desk.get_by_text("one reading")).to_be_visible()
    pick(desk, "Unit of the tape", "cm")


def test_a_device_that_types_needs_no_field_and_a_digit_stays_a_step_key(desk: Page, program):
    open_dimension(desk, program, "Greta", "Thigh clearance")
    desk.get_by_role("heading", name="Measure", exact=True).click()
    desk.evaluate("document.activeElement.blur()")
    desk.keyboard.type("15.3 cm\n", delay=8)
    expect(desk.get_by_label("First reading")).to_have_value("15.3")
    desk.evaluate("document.activeElement.blur()")
    desk.keyboard.press("4")
    expect(desk).to_have_url(re.compile("/work$"))


def test_exchanged_fields_are_put_right_and_a_doubt_is_kept_with_a_reason(desk: Page, program):
    open_step(desk, program, "Hugo", "work")
    expect(
        desk.get_by_text(
            "Queried, which affects every target based on it: shoulder-elbow length, elbow-fingertip length."
        )
    ).to_be_visible()
    desk.get_by_role("button", name="Check in Measure").click()
    expect(
        desk.get_by_role("heading", name="Shoulder-elbow length", exact=True)
    ).to_be_visible()  # the first in doubt
    desk.get_by_role("button", name="query: Elbow-fingertip length").click()
    expect(desk.get_by_text("would fit much better the other way round")).to_be_visible()
    desk.get_by_label("First reading").press("o")
    expect(desk.get_by_text("would fit much better")).to_be_hidden()
    expect(desk.get_by_label("First reading")).to_have_value("46.8")
    for label in ("First reading", "Second reading"):
        desk.get_by_label(label).fill("52")
    expect(
        desk.get_by_text(re.compile(r"Elbow-fingertip length 52.0\scm is far from the 4"))
    ).to_be_visible()
    desk.get_by_label("Second reading").press("k")
    desk.get_by_role("button", name="Unusual build").click()
    expect(desk.get_by_text("Queried and kept: Unusual build.")).to_be_visible()
    desk.get_by_label("First reading").fill("54")
    desk.get_by_label("Second reading").fill("54")
    expect(desk.get_by_role("button", name="Keep value…")).to_be_visible()


def test_an_unclear_number_is_asked_about_in_place(desk: Page, program):
    open_dimension(desk, program, "Ruben", "Popliteal height")
    desk.keyboard.type("17")
    desk.keyboard.press("Enter")
    desk.get_by_role("button", name="17 in", exact=True).click()
    kept(desk)
    assert entry(desk, program, "measure.popliteal_height.first", "Ruben")[
        "value"
    ] == pytest.approx(431.8)
    desk.keyboard.press("Escape")
    desk.get_by_role("heading", name="Popliteal height").click()
    desk.get_by_label("First reading").blur()
    desk.keyboard.press("u")
    desk.keyboard.press("u")
    expect(desk.get_by_text("17.00 in")).to_have_count(2)  # panel and figure


def test_a_later_visit_carries_over_and_shows_where_from(desk: Page, program):
    open_dimension(desk, program, "Mirela", "Popliteal height")
    desk.get_by_label("First reading").press("b")
    expect(desk.get_by_text(re.compile("Carried over from .* months old"))).to_be_visible()
    expect(desk.get_by_role("figure", name=re.compile("Earlier visits"))).to_be_visible()
    row = desk.get_by_role("button", name=re.compile("^Popliteal height .*↶"))
    expect(row).to_be_visible()
    desk.get_by_label("Second reading").fill("42.2")  # taken today: the old one is no reading
    expect(desk.get_by_text("one reading")).to_be_visible()
    expect(desk.get_by_label("First reading")).to_have_value("")
    expect(desk.get_by_text(re.compile("Carried over from"))).to_be_hidden()


def test_own_lists_are_chosen_in_the_step(desk: Page, program):
    desk.goto(f"{program.address}/measuring")
    desk.get_by_role("button", name="New list").click()
    desk.get_by_label("Name").fill("Hands only")
    for label in ("Hand breadth", "Hand length"):
        desk.get_by_label(label).check()
    desk.get_by_role("button", name="Save: 2 dimensions").click()
    expect(desk.get_by_text("Hand length, Hand breadth")).to_be_visible()
    open_step(desk, program, "Ruben", "measure")
    pick(desk, "List", "Hands only")
    expect(desk.get_by_role("main").get_by_text("0 of 2")).to_be_visible()
    pick(desk, "List", "Full list")
    expect(desk.get_by_role("main").get_by_text(re.compile("of 24"))).to_be_visible()


def test_a_file_is_shown_before_it_is_written_and_a_broken_one_refused(
    desk: Page, program, tmp_path: Path
):
    desk.goto(f"{program.address}/measuring")
    desk.get_by_role("tab", name="Import and export").click()
    with desk.expect_download() as download:
        desk.get_by_role("button", name="CSV, one row per client").click()
    raw = Path(download.value.path()).read_text()
    assert "Odile Marrick" in raw
    file = tmp_path / "visit.csv"
    file.write_text("client,visit_on,stature_mm\nTove Lind,2026-10-02,1690\n")
    desk.get_by_label("File to import").set_input_files(file)
    expect(
        desk.get_by_role("row", name=re.compile("Tove Lind new 2026-10-02 new 1 1 1"))
    ).to_be_visible()
    desk.get_by_role("button", name="Import 1 reading").click()
    expect(desk.get_by_text("Imported: 1 reading,")).to_be_visible()
    assert visit_id(desk, program, "Tove")
    file = tmp_path / "broken.csv"
    file.write_text("client,visit_on,stature_mm\nTove Lind,2026-10-02,1590\nBo,yesterday,12\n")
    desk.get_by_label("File to import").set_input_files(file)
    alert = desk.get_by_role("alert")
    expect(alert).to_contain_text("Nothing has been imported")
    expect(alert).to_contain_text("“yesterday” can’t be read as a day")
    expect(desk.get_by_role("button", name=re.compile("Take in"))).to_be_hidden()


def test_a_table_is_checked_before_it_is_kept_and_then_a_visits_to_choose(
    desk: Page, program, tmp_path
):
    desk.goto(f"{program.address}/measuring")
    desk.get_by_role("tab", name="Reference data").click()
    desk.get_by_role("button", name="Add reference data").click()
    file = tmp_path / "table.csv"
    file.write_text("dimension,sex,mean_mm,sd_mm\nstature,female,1700,0.2\nnose,female,50,5\n")
    desk.get_by_label("Name").fill("Pilots")
    desk.get_by_label("Source").fill("Made up")
    desk.get_by_label("CSV file").set_input_files(file)
    desk.get_by_role("button", name="Check and save").click()
    alert = desk.get_by_role("alert")
    expect(alert).to_contain_text("0.2 mm is outside 1 to 850 mm")
    expect(alert).to_contain_text("“nose” is no dimension")
    good = tmp_path / "good.csv"
    good.write_text("dimension,sex,mean_mm,sd_mm\nstature,female,1700,60\n")
    desk.get_by_label("CSV file").set_input_files(good)
    desk.get_by_role("button", name="Check and save").click()
    expect(desk.get_by_text("Made up. 1 lines, 1 dimensions")).to_be_visible()
    open_dimension(desk, program, "Odile", "Stature")
    desk.get_by_text("Source and percentile").click()
    expect(desk.get_by_text(re.compile("80th percentile of the reference women"))).to_be_visible()
    pick(desk, "Compare with", "Pilots")
    expect(desk.get_by_text(re.compile("26th percentile"))).to_be_visible()
    expect(desk.get_by_text("Made up. For guidance only.")).to_be_visible()
    pick(desk, "Compare with", "British adults aged 19 to 65")


def test_a_reader_sees_the_figure_and_changes_nothing(page: Page, program, sees_health):
    sign_in(page, program, who=2)
    open_step(page, program, "Odile", "measure")
    expect(page.get_by_role("heading", name="Popliteal height", exact=True)).to_be_visible()
    expect(page.get_by_label("First reading")).not_to_be_editable()
    expect(page.get_by_label("List")).to_be_disabled()
    for name in ("Take reading", "Leave out…", "Keep value…"):
        expect(page.get_by_role("button", name=name)).to_be_hidden()
    page.goto(f"{program.address}/measuring")
    expect(page.get_by_role("heading", name="Front counter, first look")).to_be_visible()
    expect(page.get_by_role("button", name="New list")).to_be_hidden()
    page.get_by_role("tab", name="Import and export").click()
    expect(page.get_by_role("button", name="JSON")).to_be_visible()
    expect(page.get_by_label("File to import")).to_be_hidden()


def test_shoes_are_asked_for_their_heel_and_lose_it(desk: Page, program):
    open_dimension(desk, program, "Otis", "Popliteal height")
    barefoot = (
        desk.get_by_test_id("elevation").get_by_text(re.compile(r"^4\d\.\d\scm$")).text_content()
    )
    desk.get_by_role("radio", name="In shoes").click()
    expect(desk.get_by_text("Measured in shoes, but heel height not recorded")).to_be_visible()
    desk.get_by_label("Heel height of that shoe").fill("3")
    desk.get_by_label("Heel height of that shoe").press("Tab")
    expect(desk.get_by_text("Measured in shoes, but heel height not recorded")).to_be_hidden()
    expect(desk.get_by_text("heel of 3.0 subtracted")).to_be_visible()
    less = f"{float(barefoot.split()[0]) - 3:.1f} cm"
    expect(desk.get_by_test_id("elevation").get_by_text(less)).to_be_visible()


def test_an_estimate_where_nothing_is_measured_and_the_elbow_only_if_insisted(desk: Page, program):
    open_dimension(desk, program, "Pia", "Hand length")
    expect(desk.get_by_text(re.compile("estimated from "))).to_be_visible()
    open_dimension(desk, program, "Wilma", "Elbow height, seated")
    expect(desk.get_by_text("Can’t be estimated reliably: please measure.")).to_be_visible()
    desk.get_by_role("button", name="Stature open").click()
    desk.get_by_label("First reading").fill("165.5")
    desk.get_by_label("Second reading").fill("165.3")
    kept(desk)
    desk.get_by_role("button", name=re.compile("^Elbow height, seated")).click()
    desk.get_by_role("button", name="Use an estimate anyway").click()
    expect(desk.get_by_text(re.compile("± 5.7")).first).to_be_visible()
    expect(desk.get_by_role("button", name=re.compile("^Elbow height, seated ~2"))).to_be_visible()


def test_the_drill_is_played_with_keys_and_keeps_its_score_over_a_reload(desk: Page, program):
    desk.goto(f"{program.address}/measuring")
    desk.get_by_role("tab", name="Training").click()
    expect(desk.get_by_role("button", name="Query it")).to_be_enabled()
    desk.keyboard.press("q")
    expect(
        desk.get_by_text(re.compile(r"^(Right\.|Not quite\. Here you would .+)"))
    ).to_be_visible()
    expect(desk.get_by_text(re.compile(r"Score: (0|1) of 1"))).to_be_visible()
    desk.keyboard.press("n")
    expect(desk.get_by_role("button", name="Keep it")).to_be_enabled()
    desk.reload()
    desk.get_by_role("tab", name="Training").click()
    expect(desk.get_by_text(re.compile(r"Score: (0|1) of 1"))).to_be_visible()
    desk.get_by_role("button", name="Start again").click()
    expect(desk.get_by_text(re.compile("Score: 0 of 0"))).to_be_visible()


def test_u_switches_units_outside_a_visit(desk: Page):
    desk.keyboard.press("r")
    desk.get_by_role("tab", name="Repeatability").click()
    desk.get_by_role("heading", name="Measuring").click()
    expect(desk.get_by_text("Error, cm").first).to_be_visible()
    desk.evaluate("document.activeElement.blur()")
    desk.keyboard.press("u")
    expect(desk.get_by_text("Error, mm").first).to_be_visible()


def test_setting_up_is_drilled_by_keys(desk: Page, program):
    desk.goto(f"{program.address}/measuring?part=drill")
    desk.get_by_role("radio", name="Set-up and red flags").click()
    drill = desk.get_by_role("region", name="Set-up training")
    expect(drill.get_by_role("heading")).to_be_visible()
    desk.keyboard.press("1")
    expect(drill.get_by_text(re.compile("Right|The answer is"))).to_be_visible()
    expect(drill.get_by_label("right")).to_have_count(1)
    expect(drill).to_contain_text(re.compile(r"[01] of 1"))
    desk.keyboard.press("n")
    expect(drill.get_by_label("right")).to_have_count(0)
