"""Consent, photographs, shelf and light meter, called as a browser calls them."""

from io import BytesIO
from uuid import uuid4

import pytest
from PIL import Image

from api.conftest import Page
from conftest import make_office, weeks_on
from gentle_plumb.core.units import format_length
from gentle_plumb.documents.image_processor import MOST_BYTES
from gentle_plumb.storage import SqlAccounts
from plumb_demo.people import NO_FLAGS
from plumb_demo.photographs import STAFF_MM, Angles, photograph_side

PHOTOGRAPHS = "ask.consent.photographs"


def send(page, visit, picture, photo=None):
    return page.http.put(f"/api/visits/{visit}/photos/{photo or uuid4()}", content=picture)


@pytest.fixture(scope="module")
def drawn():
    return photograph_side(Angles(neck=41, wrist=22))


@pytest.fixture
def agreed(owner):
    visit = owner.new_visit()
    owner.type(visit, PHOTOGRAPHS, "yes")
    return visit


def test_health_notes_are_refused_without_consent_and_name_it(owner):
    visit = owner.new_visit()
    refused = owner.type(visit, "ask.reason", "Neck")
    told = refused.json()
    assert (refused.status_code, told["type"]) == (422, "needs-consent")
    assert (told["field"], told["consent"]) == ("ask.reason", "ask.consent.notes")
    owner.type(visit, "ask.consent.notes", "yes")
    assert owner.type(visit, "ask.reason", "Neck").status_code == 200


def test_a_withdrawn_consent_has_effect_at_once(owner, agreed, drawn):
    owner.type(agreed, "ask.consent.notes", "yes")
    owner.type(agreed, "ask.discomfort.nape", "6")
    photo = send(owner, agreed, drawn.jpeg).json()["id"]
    owner.type(agreed, f"look.photo.{photo}.ear", "812 344")
    owner.type(agreed, "ask.consent.notes", "withdrawn", version=1)
    owner.type(agreed, PHOTOGRAPHS, "withdrawn", version=1)
    held = owner.http.get(f"/api/visits/{agreed}").json()
    assert held["photos"] == []
    assert held["entries"]["ask.discomfort.nape"]["typed"] == ""
    assert held["entries"][f"look.photo.{photo}.ear"]["typed"] == ""
    assert owner.http.get(f"/api/photos/{photo}.jpg").status_code == 404
    assert send(owner, agreed, drawn.jpeg).json()["type"] == "needs-consent"


def test_from_a_picture_to_angles_with_their_errors(owner, agreed, drawn):
    sent = send(owner, agreed, drawn.jpeg, photo := str(uuid4()))
    assert (sent.status_code, sent.json()["id"]) == (200, photo)
    assert send(owner, agreed, drawn.jpeg, photo).json() == sent.json()
    owner.type(agreed, f"look.photo.{photo}.known", format_length(STAFF_MM, "cm"))
    for name, typed in drawn.typed().items():
        assert owner.type(agreed, f"look.photo.{photo}.{name}", typed).status_code == 200
    owner.type(agreed, "ask.hours.typing", "4")
    worked = owner.worked(agreed)
    read = {one["id"]: one for one in worked["photos"][0]["readings"]}
    assert (read["neck"]["value"], read["wrist"]["value"]) == ("41°", "22°")
    assert float(read["wrist"]["error"].rstrip("°")) > 0
    found = {one["id"]: one for one in worked["findings"]}
    assert found["photo_wrist_seated"]["state"] == "off"
    assert worked["strain"][0]["minutes"] > 0


def test_pictures_are_seen_only_where_they_belong(owner, app, engine, office, agreed, drawn, guest):
    photo = send(owner, agreed, drawn.jpeg).json()["id"]
    reader, stranger = Page(app), Page(app)
    reader.sign_in(office.reader)
    stranger.sign_in(make_office(SqlAccounts(engine)).owner)
    assert (
        reader.http.get(f"/api/photos/{photo}.jpg").status_code == 403
    )  # a picture is health data
    owner.http.put(f"/api/members/{office.reader.id}/health", json={"sees_health": True})
    shown = reader.http.get(f"/api/photos/{photo}.jpg")
    assert (shown.status_code, shown.headers["content-type"]) == (200, "image/jpeg")
    assert shown.headers["cache-control"] == "no-store"
    assert Image.open(BytesIO(shown.content)).getexif() == {}
    assert Page(app).http.get(f"/api/photos/{photo}.jpg").status_code == 401
    for path in (f"/api/photos/{photo}.jpg",):
        assert stranger.http.get(path).status_code == 404
    assert stranger.http.delete(f"/api/photos/{photo}").status_code == 404
    assert send(stranger, agreed, drawn.jpeg).status_code == 404
    assert reader.http.delete(f"/api/photos/{photo}").status_code == 403
    assert send(reader, agreed, drawn.jpeg).status_code == 403
    assert owner.http.delete(f"/api/photos/{photo}").status_code == 204
    assert reader.http.get(f"/api/photos/{photo}.jpg").status_code == 404


def test_a_picture_over_the_limit_is_told_so(owner, agreed):
    heavy = send(owner, agreed, b"\xff" * (MOST_BYTES + 1))
    told = heavy.json()
    assert (heavy.status_code, told["type"]) == (422, "bad-picture")
    assert (told["high"], told["unit"], told["field"]) == (MOST_BYTES, "bytes", "picture")
    assert "the limit is 25.0 MB" in told["detail"]
    assert send(owner, agreed, b"not a picture").json()["type"] == "bad-picture"


def test_a_picture_is_not_read_before_visit_and_consent_are_looked_at(owner, agreed, reader, drawn):
    assert send(reader, agreed, drawn.jpeg).status_code == 403
    heavy = b"\xff" * (26 * 1024 * 1024)
    assert send(owner, uuid4(), heavy).status_code == 404
    without = owner.new_visit()
    refused = send(owner, without, heavy)
    assert (refused.status_code, refused.json()["type"]) == (422, "needs-consent")


def test_light_comes_from_the_meter_or_says_why_not(owner, meter):
    read = owner.http.post("/api/light-meter/readings")
    assert read.status_code == 200
    assert 200 < read.json()["lux"] < 450
    meter.trouble = "garbage"
    refused = owner.http.post("/api/light-meter/readings")
    assert (refused.status_code, refused.json()["type"]) == (503, "no-answer")
    assert owner.http.post("/api/light-meter/readings").status_code == 200


def test_the_shelf_holds_own_pieces_and_shows_both_versions(owner, app, office):
    body = {
        "piece": "chair",
        "name": "Bridge chair",
        "place": "Stores",
        "values": {"look.chair.seat_min": "43", "look.chair.kind": "task"},
    }
    kept = owner.add("shelf", **body).json()
    assert kept["values"]["look.chair.seat_min"] == "43 cm"
    assert owner.add("shelf", **body).status_code == 409
    other = Page(app)
    other.sign_in(office.practitioner)
    moved = other.http.put(
        f"/api/shelf/{kept['id']}", json={**body, "place": "Bridge", "version": 1}
    )
    assert moved.json()["version"] == 2
    stale = owner.http.put(
        f"/api/shelf/{kept['id']}", json={**body, "place": "Attic", "version": 1}
    )
    assert (stale.status_code, stale.json()["current"]["place"]) == (409, "Bridge")
    wrong = owner.add("shelf", **{**body, "name": "X", "values": {"look.chair.seat_min": "9"}})
    assert (wrong.status_code, wrong.json()["field"]) == (422, "look.chair.seat_min")
    none = owner.add("shelf", **{**body, "name": "X", "piece": "sofa", "values": {}})
    assert (none.status_code, none.json()["field"]) == (422, "piece")
    bare = owner.add("shelf", **{**body, "name": "X", "values": {"look.chair.kind": " "}})
    assert (bare.status_code, bare.json()["field"]) == (422, "look.chair.kind")
    reader = Page(app)
    reader.sign_in(office.reader)
    assert reader.http.delete(f"/api/shelf/{kept['id']}").status_code == 403
    assert owner.http.delete(f"/api/shelf/{kept['id']}").status_code == 204
    assert owner.http.get("/api/shelf").json() == []


def test_the_workplaces_copy_needs_its_consent_now(owner, clock):
    visit = owner.new_visit()
    for path, typed in (
        ("ask.consent.notes", "yes"),
        ("ask.reason", "Neck pain"),
        *NO_FLAGS.items(),
        ("look.found.seat", "46"),
        ("report.follow_up", weeks_on(clock)),
    ):
        owner.type(visit, path, typed)
    signed = owner.sign(visit).json()["id"]
    path = f"/api/reports/{signed}.pdf"
    assert owner.http.get(path, params={"copy": "workplace"}).json()["type"] == "withheld"
    owner.type(visit, "ask.consent.workplace", "yes")
    copy = owner.http.get(path, params={"copy": "workplace"})
    assert (copy.status_code, copy.content[:5]) == (200, b"%PDF-")
    assert copy.content != owner.http.get(path).content
    owner.type(visit, "ask.consent.workplace", "withdrawn", version=1)
    assert owner.http.get(path, params={"copy": "workplace"}).status_code == 403
    draft = owner.http.get(f"/api/visits/{visit}/report.pdf", params={"copy": "workplace"})
    assert draft.status_code == 403


def test_a_range_the_wrong_way_round_is_refused_in_a_visit_and_on_the_shelf(owner):
    visit = owner.new_visit("Odile Marrick")
    assert owner.type(visit, "look.chair.seat_max", "50").status_code == 200
    refused = owner.type(visit, "look.chair.seat_min", "60")
    assert refused.status_code == 422
    assert "60.0\xa0cm is above the highest, 50.0\xa0cm" in refused.json()["detail"]
    assert owner.type(visit, "look.chair.seat_min", "50").status_code == 200
    piece = {"piece": "chair", "name": "Task chair", "place": "", "unit": "cm"}
    ends = {"look.chair.seat_min": "60", "look.chair.seat_max": "50"}
    kept = owner.http.post("/api/shelf", json={**piece, "id": str(uuid4()), "values": ends})
    assert kept.status_code == 422
    assert "is below the lowest" in kept.json()["detail"]
