"""What is asked of a workplace: on its paper, as a form to fill in, on its own page; and what comes back."""

import io

import pypdf
import pytest

from api.conftest import fill
from api.phones import Client
from conftest import weeks_on
from gentle_plumb.documents.pdf_pages import filled_in
from plumb_demo.people import NO_FLAGS

HEALTH = ("dizziness", "twins", "sciatica", "Neck aches", "migraine")
PLANTED = {
    "ask.care.dizziness": "yes",
    "ask.care.dizziness.note": "twins, sciatica, migraine",
    "set.action.set-seated-screen_top.because": "locked",
    "set.action.set-seated-screen_top.owner": "workplace",
    "set.action.set-seated-mouse.word": "hurts",
    "work.plan": "lasting",
}


@pytest.fixture
def visit(owner, clock):
    visit = owner.new_visit()
    said = {**NO_FLAGS, **PLANTED, "ask.consent.workplace": "yes"}
    fill(owner, visit, "Yara Fenwick", **said, **{"report.follow_up": weeks_on(clock)})
    return visit


@pytest.fixture
def report(owner, visit):
    signed = owner.sign(visit)
    assert signed.status_code == 200, signed.text
    return signed.json()["id"]


def link(owner, visit):
    return owner.http.post("/api/links", json={"visit_id": visit, "kind": "workplace"})


def test_all_that_is_the_workplaces_to_do_is_asked_for_and_nothing_of_health(owner, visit):
    paper = owner.http.get(f"/api/visits/{visit}/report").json()["content"]["workplace"]
    asked = {one["title"]: one for one in paper["requests"]}
    assert asked["Screen top"]["who"] == "Workplace"
    assert "Set it to" in asked["Screen top"]["do"]
    bought = [one for one in paper["requests"] if one["price"]]
    assert bought
    assert all(one["count"] and one["by"] for one in bought)
    assert asked["Footrest"]["covers"].startswith("must cover")
    text = str(paper)
    assert not [word for word in HEALTH if word in text]
    assert not any(one["title"] == "Mouse" for one in paper["requests"])


def test_the_request_is_a_form_that_can_be_filled_in(owner, visit, report):
    answer = owner.http.get(f"/api/reports/{report}/request.pdf")
    fields = filled_in(answer.content)
    boxes = [name for name in fields if name.startswith("done_")]
    paper = owner.http.get(f"/api/visits/{visit}/report").json()["content"]["workplace"]
    assert len(boxes) == len(paper["requests"])
    form = pypdf.PdfWriter(clone_from=io.BytesIO(answer.content))
    first, second, *_ = paper["requests"]
    typed = {f"done_{first['id']}": "/Yes", f"note_{second['id']}": "On order", "by": "Facilities"}
    for page in form.pages:
        form.update_page_form_field_values(page, typed)
    held = io.BytesIO()
    form.write(held)
    back = owner.http.post(f"/api/reports/{report}/request-answers", content=held.getvalue())
    assert back.json() == {
        f"report.request.{first['id']}.done": "yes",
        f"report.request.{second['id']}.note": "On order",
        "report.requests_by": "Facilities",
    }
    signed = owner.http.get(f"/api/reports/{report}.pdf", params={"copy": "workplace"}).content
    for raw, words in ((b"no PDF", "not a PDF"), (signed, "none of the boxes")):
        refused = owner.http.post(f"/api/reports/{report}/request-answers", content=raw)
        assert refused.status_code == 422, refused.text
        assert words in refused.text


def test_the_workplace_ticks_what_is_done_on_a_page_of_its_own(app, owner, visit, report):
    made = link(owner, visit).json()
    phone = Client(app)
    assert phone.open(made).status_code == 204
    page = phone.http.get("/api/own/page").json()
    assert (page["kind"], page["own_numbers"], page["photos"]) == ("workplace", None, [])
    shown = [one["id"] for one in page["request"]["asked"]]
    assert "set-seated-screen_top" in shown
    del page["messages"]  # the catalogue of the page, the same for everybody
    assert not [word for word in HEALTH if word in str(page)]
    asked = phone.http.get("/api/own/rounds/request").json()["questions"]
    assert {one["section"] for one in asked} == {"requests"}
    assert phone.agree().status_code == 403
    for id in shown:
        assert phone.answer(f"request.{id}", "yes" if id != shown[-1] else "no", "request")
    phone.answer("request_by", "Facilities", "request")
    assert phone.send("request").status_code == 204
    [waiting] = owner.http.get("/api/checks").json()
    assert (waiting["level"], waiting["round"]) == ("advice", "request")
    taken = owner.http.post(f"/api/checks/{waiting['id']}/take-over", json={"visit_id": visit})
    assert taken.status_code == 200, taken.text
    entries = owner.http.get(f"/api/visits/{visit}").json()["entries"]
    assert entries[f"report.request.{shown[0]}.done"]["value"] == "yes"
    assert not entries[f"report.request.{shown[0]}.done"]["self_reported"]


def test_without_consent_there_is_no_form_no_link_and_an_open_page_shuts(app, owner, visit, report):
    made = link(owner, visit).json()
    phone = Client(app)
    phone.open(made)
    assert phone.http.get("/api/own/page").status_code == 200
    version = owner.http.get(f"/api/visits/{visit}").json()["entries"]["ask.consent.workplace"]
    owner.type(visit, "ask.consent.workplace", "withdrawn", version=version["version"])
    assert phone.http.get("/api/own/page").status_code == 401
    assert phone.open(made).status_code == 401
    assert link(owner, visit).status_code == 403
    assert owner.http.get(f"/api/reports/{report}/request.pdf").status_code == 403
