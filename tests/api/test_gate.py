"""Nobody gets in where they don't belong."""

import re
from uuid import uuid4

import pytest

from api.conftest import Page
from conftest import PASSWORD, make_office
from gentle_plumb.api.gate import COOKIE
from gentle_plumb.storage import SqlAccounts

OPEN = {"/api/health", "/api/welcome", "/api/session"}


def routes(app):
    for path, methods in app.openapi()["paths"].items():
        for method in methods:
            yield method.upper(), re.sub(r"\{\w+\}", str(uuid4()), path), path


def test_every_route_but_the_open_ones_asks_who(app, guest):
    asked = [(method, guest.http.request(method, url, json={}).status_code)
             for method, url, path in routes(app)
             if path not in OPEN or method == "DELETE"]  # fmt: skip
    assert len(asked) > 12
    assert {status for _, status in asked} == {401}


def test_the_cookie_is_out_of_reach_of_scripts_and_other_sites(guest, office):
    cookie = guest.sign_in(office.owner).headers["set-cookie"]
    assert {"HttpOnly", "Secure", "SameSite=strict"} <= {part.strip() for part in cookie.split(";")}


def test_a_change_needs_the_token_of_its_session_and_the_own_origin(owner):
    body = {"name": "Odile"}
    token = owner.http.headers.pop("X-Plumb-Csrf")
    missing = owner.http.post("/api/clients", json=body)
    wrong = owner.http.post("/api/clients", json=body, headers={"X-Plumb-Csrf": "guess"})
    odd = owner.http.post("/api/clients", json=body, headers={"X-Plumb-Csrf": "é".encode()})
    foreign = owner.http.post(
        "/api/clients", json=body, headers={"X-Plumb-Csrf": token, "Origin": "https://evil.example"}
    )
    assert [answer.status_code for answer in (missing, wrong, odd, foreign)] == [403] * 4
    assert owner.http.get("/api/clients").json() == []


def test_signing_in_from_another_page_is_refused(guest, office):
    guest.http.headers["Origin"] = "https://evil.example"
    assert guest.sign_in(office.owner).status_code == 403


def test_wrong_passwords_lock_for_a_while_and_say_how_long(guest, office, clock):
    for _ in range(5):
        assert guest.sign_in(office.owner, "wrong").status_code == 401
    locked = guest.sign_in(office.owner)
    assert locked.status_code == 429
    assert 0 < int(locked.headers["retry-after"]) <= 31
    clock.pass_by(seconds=31)
    assert guest.sign_in(office.owner).status_code == 200


def test_unknown_address_and_wrong_password_look_alike(guest, office):
    unknown = guest.http.post(
        "/api/session", json={"email": "nobody@saltmere.example", "password": PASSWORD}
    )
    assert unknown.json() == guest.sign_in(office.owner, "wrong").json()


def test_a_session_ends_by_time_and_by_signing_out(owner, office, clock):
    token = owner.http.cookies.get(COOKIE)
    assert owner.http.delete("/api/session").status_code == 204
    owner.http.cookies.set(COOKIE, token)
    assert owner.http.get("/api/me").status_code == 401
    owner.sign_in(office.owner)
    clock.pass_by(hours=13)
    assert owner.http.get("/api/me").status_code == 401


def test_a_reader_reads_and_changes_nothing(owner, app, office):
    visit = owner.new_visit()
    reader = Page(app)
    reader.sign_in(office.reader)
    assert reader.worked(visit)["revision"] == 0
    refused = [
        reader.http.post("/api/clients", json={"name": "X"}),
        reader.type(visit, "look.found.seat", "46"),
        reader.http.post(f"/api/visits/{visit}/reports"),
        reader.http.post("/api/members", json={"email": "a@b.example", "name": "A", "role": "owner",
                                               "password": PASSWORD}),
    ]  # fmt: skip
    assert [answer.status_code for answer in refused] == [403] * 4


def test_only_an_owner_lets_people_in_and_they_can_sign_in(owner, app, office):
    email = f"new-{uuid4().hex[:6]}@saltmere.example"
    body = {
        "email": email,
        "name": "New",
        "role": "practitioner",
        "password": "ten-letters-at-least",
    }
    other = Page(app)
    other.sign_in(office.practitioner)
    assert other.http.post("/api/members", json=body).status_code == 403
    assert owner.http.post("/api/members", json=body).status_code == 201
    assert owner.http.post("/api/members", json=body).status_code == 409
    assert other.http.post(
        "/api/session", json={"email": email, "password": body["password"]}
    ).is_success
    assert "password" not in owner.http.get("/api/members").text


@pytest.mark.parametrize("way", ["", "/worked", "/report", "/report.pdf"])
def test_visits_of_another_practice_are_not_there(owner, app, engine, clock, way):
    visit = owner.new_visit()
    stranger = Page(app)
    stranger.sign_in(make_office(SqlAccounts(engine)).owner)
    assert stranger.http.get(f"/api/visits/{visit}{way}").status_code == 404
    assert stranger.type(visit, "look.found.seat", "46").status_code == 404


def test_answers_carry_the_headers_that_keep_pages_apart(guest):
    headers = guest.http.get("/api/welcome").headers
    assert "frame-ancestors 'none'" in headers["content-security-policy"]
    assert (headers["x-content-type-options"], headers["cache-control"]) == ("nosniff", "no-store")


def test_credentials_are_shown_in_the_demo_only(guest):
    assert guest.http.get("/api/welcome").json()["demo"] == []
