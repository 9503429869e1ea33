"""The working day, the movements, the calendar and the target card over the API."""

from datetime import UTC, datetime, timedelta
from io import BytesIO

import pypdf
import pytest
import vobject

from api.conftest import fill

MM_TO_PT = 72 / 25.4


def test_a_day_is_laid_out_within_limits_that_are_lifted_one_by_one(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    day = owner.http.get(f"/api/visits/{visit}/day", params={"width": 800}).json()
    assert day["bar"]["width"] == 800
    assert sum(one["minutes"] for one in day["day"]["spells"]) == 8.25 * 60
    assert day["strain_after"] < day["strain_before"]
    owner.type(visit, "ask.care.dizziness", "yes")
    barred = owner.http.get(f"/api/visits/{visit}/day").json()
    assert barred["day"]["totals"]["stand"] == 0
    path = "ask.care.dizziness.no_standing"
    owner.type(visit, f"{path}.cleared_by", "Dr Quill")
    assert owner.http.get(f"/api/visits/{visit}/day").json()["day"]["totals"]["stand"] == 0
    ahead = (datetime.now(UTC) + timedelta(days=3)).date().isoformat()
    assert owner.type(visit, f"{path}.cleared_on", ahead).status_code == 200  # from that day on
    assert owner.http.get(f"/api/visits/{visit}/day").json()["day"]["totals"]["stand"] == 0
    owner.type(visit, f"{path}.cleared_on", "2026-11-02", version=1)
    free = owner.http.get(f"/api/visits/{visit}/day", params={"week": 1}).json()
    assert 0 < free["day"]["totals"]["stand"] <= 30
    moves = owner.http.get(f"/api/visits/{visit}/movements").json()
    chosen = moves["programme"]["chosen"]
    assert 3 <= len(chosen) <= 5
    assert all(moves["figures"][one["id"]] for one in chosen)
    assert any("head turned" in move["because"] for move in moves["programme"]["left_out"])


def test_no_hours_no_day(owner):
    visit = owner.new_visit()
    assert owner.http.get(f"/api/visits/{visit}/day").json()["day"] is None
    assert owner.http.get(f"/api/visits/{visit}/day.ics").status_code == 404
    assert owner.http.get(f"/api/visits/{visit}/day", params={"week": 9}).status_code == 422
    wrong = owner.type(visit, "pace.start", "noon").json()
    assert "0:00 to 24:00" in wrong["detail"]


def test_the_calendar_file_is_read_back(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    answer = owner.http.get(f"/api/visits/{visit}/day.ics")
    assert answer.headers["content-type"].startswith("text/calendar")
    titles = {event.summary.value for event in vobject.readOne(answer.text).vevent_list}
    assert titles >= {"Stand", "Move"}


def text_and_pages(pdf):
    pages = pypdf.PdfReader(BytesIO(pdf)).pages
    return [page.extract_text().replace("\xa0", " ") for page in pages], pages


def test_the_target_card_holds_the_numbers_and_nothing_of_health(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    owner.type(visit, "ask.care.veins", "yes")
    owner.type(visit, "set.seated.seat", "43.3")
    owner.type(visit, "set.preset.seated", "1")
    answer = owner.http.get(f"/api/visits/{visit}/card.pdf")
    assert answer.headers["content-type"] == "application/pdf"
    (text,), (page,) = text_and_pages(answer.content)
    size = [float(page.mediabox.width), float(page.mediabox.height)]
    assert size == pytest.approx([105 * MM_TO_PT, 148 * MM_TO_PT], abs=0.5)
    assert "43.3 cm" in text
    assert "Desk key" in text
    assert "not measured" in text  # the surface was aimed at only
    assert "vein" not in text.lower()


def test_a_shared_desk_has_a_page_for_each_who_uses_it(owner):
    visits = [owner.new_visit(name) for name in ("Elif Sandor", "Saskia Vell")]
    for visit in visits:
        fill(owner, visit, "Odile")
        owner.type(visit, "look.workstation", "a-desk")
    texts, _ = text_and_pages(owner.http.get(f"/api/visits/{visits[0]}/card.pdf").content)
    assert [text.split("\n")[0].split(" Desk")[0].strip() for text in texts] == [
        "Elif Sandor",
        "Saskia Vell",
    ]
    assert all("shared by 2" in text for text in texts)
