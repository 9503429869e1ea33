"""Each reads their own language: the member, the client, the workplace; what was signed keeps its words."""

from io import BytesIO

import pypdf
import pytest

from api.conftest import fill
from conftest import weeks_on
from gentle_plumb.core.language import language_of
from gentle_plumb.documents.template_words import TEMPLATE_WORDS
from plumb_demo.people import NO_FLAGS

READ = {"report.client_language": "es", "report.workplace_language": "de"}
SIGNS = {
    "ask.sign.chest": "yes",
    "ask.sign.chest.done": "Sent home by taxi.",
    "ask.sign.chest.to": "His own doctor",
    "ask.sign.chest.by": "Ines",
    "ask.consent.workplace": "yes",
}


def text_of(answer):
    assert answer.status_code == 200, answer.text
    pages = pypdf.PdfReader(BytesIO(answer.content)).pages
    return " ".join(" ".join(page.extract_text() for page in pages).split())


@pytest.fixture
def visit(owner, clock):
    visit = owner.new_visit("Yara Fenwick")
    more = {**NO_FLAGS, **SIGNS, **READ, "report.follow_up": weeks_on(clock)}
    fill(owner, visit, "Yara Fenwick", **more)
    return visit


def test_every_copy_is_in_the_language_of_who_reads_it(owner, visit):
    said = {
        copy: text_of(owner.http.get(f"/api/visits/{visit}/report.pdf", params={"copy": copy}))
        for copy in ("client", "workplace", "record")
    }
    assert "Su puesto de trabajo" in said["client"]
    assert "Draft." not in said["client"]
    assert "Entwurf. Nicht unterschrieben." in said["workplace"]
    assert "Draft. Not signed." in said["record"]
    card = text_of(owner.http.get(f"/api/visits/{visit}/card.pdf"))
    assert "el dolor sobre la comodidad" in card
    titles = owner.http.get(f"/api/visits/{visit}/day.ics").text
    assert "SUMMARY:Moverse" in titles


def test_a_letter_and_a_request_leave_nothing_of_their_form_in_english(owner, visit):
    assert owner.http.put("/api/me/language", json={"language": "de"}).status_code == 200
    letter = text_of(owner.http.get(f"/api/visits/{visit}/letters/chest.pdf"))
    for words in ("no_diagnosis", "seen_on", "how_soon", "sign"):
        assert language_of("de").say(TEMPLATE_WORDS[words]) in letter
        assert TEMPLATE_WORDS[words] not in letter
    report = owner.sign(visit).json()["id"]
    request = text_of(owner.http.get(f"/api/reports/{report}/request.pdf"))
    for words in ("request", "done_by", "tick"):
        assert language_of("de").say(TEMPLATE_WORDS[words]) in request
        assert TEMPLATE_WORDS[words] not in request


def test_what_was_signed_keeps_its_words(owner, visit):
    report = owner.sign(visit).json()["id"]
    before = owner.http.get(f"/api/reports/{report}.pdf").content
    assert owner.http.put("/api/me/language", json={"language": "es"}).status_code == 200
    owner.type(visit, "report.client_language", "de", version=1)
    assert owner.http.get(f"/api/reports/{report}.pdf").content == before


def test_errors_and_fields_are_said_as_the_browser_asks(owner, visit):
    in_german = {"Accept-Language": "de-CH, en;q=0.5"}
    wrong = owner.http.put(
        f"/api/visits/{visit}/changes/00000000-0000-4000-8000-000000000001",
        json={"path": "look.found.seat", "typed": "4600", "expected_version": 1, "unit": "cm"},
        headers=in_german,
    )
    assert wrong.status_code == 422
    assert "Sitz" in wrong.json()["detail"]
    assert "außerhalb" in wrong.json()["detail"]
    labels = {
        field["id"]: field["label"]
        for field in owner.http.get("/api/fields", headers=in_german).json()["fields"]
    }
    assert labels["look.found.seat"] == "Sitzhöhe, besetzt"
