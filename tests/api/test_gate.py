"""Nobody gets in where they don't belong."""

import json
import logging
import re
from uuid import uuid4

import pytest
from fastapi.testclient import TestClient
from uvicorn.middleware.proxy_headers import ProxyHeadersMiddleware

from api.conftest import Page
from conftest import PASSWORD, make_office
from gentle_plumb.api import make_app
from gentle_plumb.api.auth import cookie_name
from gentle_plumb.logs import Quiet
from gentle_plumb.routes.accounts import SESSION_COOKIE
from gentle_plumb.routes.every import EVERY_ROUTE
from gentle_plumb.routes.route import Needs, Routes
from gentle_plumb.storage import SqlAccounts
from gentle_plumb.storage import engine as engine_module


@pytest.fixture
def app_with_page(app, tmp_path):
    (tmp_path / "index.html").write_text("<p>page</p>")
    made = make_app(app.state.services, tmp_path)
    return TestClient(made, base_url="https://saltmere.example", raise_server_exceptions=False)


OPEN = {
    "/api/health",
    "/api/ready",
    "/api/welcome",
    "/api/device/left",
    "/api/session",
    "/api/entrance",
    "/api/forgotten",
    "/api/own/session",
    "/api/own/door",
    "/api/calendars/{token}.ics",  # its address is the secret
}


def routes(app):
    for path, methods in app.openapi()["paths"].items():
        for method in methods:
            yield method.upper(), re.sub(r"\{\w+\}", str(uuid4()), path), path


def test_every_route_but_the_open_ones_asks_who(app, guest):
    asked = [
        (method, guest.http.request(method, url, json={}).status_code)
        for method, url, path in routes(app)
        if path not in OPEN or method == "DELETE"
    ]
    assert len(asked) > 12
    assert {status for _, status in asked} == {401}


REACH = {
    "owner": set(Needs),
    "practitioner": set(Needs) - {Needs.OWNER},
    "assistant": {Needs.MEMBER, Needs.OFFICE},
    "reader": {Needs.MEMBER},
}


@pytest.mark.parametrize("role", REACH)
def test_each_role_reaches_as_far_as_the_routes_declare(app, office, role):
    page = Page(app)
    page.sign_in(getattr(office, role))
    for route in EVERY_ROUTE:
        if not route.needs.of_members or route.path == "/session/lock":
            continue
        url = re.sub(r"\{\w+\}", str(uuid4()), f"/api{route.path}")
        answer = page.http.request(
            route.method, url, json={"no": "body"}, params={"copy": "workplace"}
        )
        let_in = answer.status_code != 403
        assert let_in == (route.needs in REACH[role]), (route.method, route.path, answer.text)


def test_a_route_says_what_it_audits_and_works_offline_only_where_a_device_has_its_list():
    routes = Routes("clients")
    for more, words in (
        ({}, "audit log"),
        ({"audit": ("read", "client"), "offline": True}, "device"),
    ):
        with pytest.raises(ValueError, match=words):
            routes.get("/clients/{client_id}/name", Needs.OFFICE, **more)(lambda client_id: [])


def test_the_cookie_is_out_of_reach_of_scripts_and_other_sites(guest, office):
    cookie = guest.sign_in(office.owner).headers["set-cookie"]
    parts = {part.strip() for part in cookie.split(";")}
    assert {"HttpOnly", "Secure", "SameSite=strict", f"Max-Age={12 * 3600}"} <= parts


@pytest.mark.parametrize(
    ("address", "forwarded", "secure"),
    [
        ("http://127.0.0.1:8750", None, False),
        ("http://localhost:8750", None, False),
        ("https://127.0.0.1", None, True),
        ("http://saltmere.example", None, True),
        ("http://127.0.0.1:8750", "https", True),
    ],
)
def test_a_cookie_is_marked_secure_where_it_can_come_back(app, office, address, forwarded, secure):
    page = Page(ProxyHeadersMiddleware(app, "*"))
    page.http.base_url = address
    if forwarded:  # as a proxy in front says it, which the server believes on loopback
        page.http.headers["X-Forwarded-Proto"] = forwarded
    cookies = page.sign_in(office.owner).headers.get_list("set-cookie")
    assert len(cookies) == 2
    assert all(("Secure" in cookie) == secure for cookie in cookies)
    assert all(cookie.startswith("__Host-plumb_") == secure for cookie in cookies)


@pytest.mark.parametrize(("trusted", "last"), [("10.0.0.0/8", 401), ("127.0.0.1", 429)])
def test_only_a_trusted_proxy_says_where_somebody_comes_from(app, trusted, last):
    """Whoever could name any sender would have as many tries as they liked."""
    proxied = ProxyHeadersMiddleware(app, trusted)
    with TestClient(
        proxied, base_url="https://saltmere.example", client=("10.0.0.9", 50000)
    ) as http:
        tried = [
            http.post(
                "/api/own/session",
                json={"token": f"guess-{number}", "code": "000000"},
                headers={"X-Forwarded-For": f"192.0.2.{number}"},
            ).status_code
            for number in range(32)
        ]
    assert tried[:30] == [401] * 30
    assert tried[-1] == last


def test_a_change_needs_the_token_of_its_session_and_the_own_origin(owner):
    body = {"id": str(uuid4()), "name": "Odile"}
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


@pytest.mark.parametrize("known", [True, False])
def test_wrong_passwords_wait_alike_whether_anybody_has_the_address(guest, office, clock, known):
    email = office.owner.email if known else f"{uuid4()}@saltmere.example"
    give = {"email": email, "password": "wrong"}
    answers = [guest.http.post("/api/session", json=give) for _ in range(6)]
    assert [answer.status_code for answer in answers] == [401] * 5 + [429]
    assert len({answer.text for answer in answers[:5]}) == 1
    assert 0 < int(answers[-1].headers["retry-after"]) <= 31
    clock.pass_by(seconds=31)
    assert guest.http.post("/api/session", json=give).status_code == 401


def test_by_https_a_neighbours_cookie_opens_nothing_and_the_browser_stays_with_https(owner):
    token = owner.http.cookies.get(cookie_name(SESSION_COOKIE, secure=True))
    owner.http.cookies.clear()
    owner.http.cookies.set(SESSION_COOKIE, token)  # as another host of the same domain could set it
    answer = owner.http.get("/api/me")
    assert answer.status_code == 401
    assert answer.headers["strict-transport-security"] == "max-age=31536000"


def test_a_server_is_ready_only_at_the_schema_it_works_with(guest, monkeypatch):
    assert guest.http.get("/api/ready").json()["status"] == "ready"
    monkeypatch.setattr(engine_module, "newest_schema", lambda: "9999")
    assert guest.http.get("/api/ready").status_code == 503


def test_a_session_ends_by_time_and_by_signing_out(owner, office, clock):
    token = owner.http.cookies.get(cookie_name(SESSION_COOKIE, secure=True))
    assert owner.http.delete("/api/session").status_code == 204
    owner.http.cookies.set(cookie_name(SESSION_COOKIE, secure=True), token)
    assert owner.http.get("/api/me").status_code == 401
    owner.sign_in(office.owner)
    clock.pass_by(hours=13)
    assert owner.http.get("/api/me").status_code == 401


def test_a_reader_changes_nothing_and_sees_no_health_data_unless_granted(owner, reader, office):
    visit = owner.new_visit()
    ways = ["", "/results", "/input", "/report", "/report.pdf", "/card.pdf"]
    ways += ["/day", "/day.ics", "/movements"]
    seen = [reader.http.get(f"/api/visits/{visit}{way}").status_code for way in ways]
    assert seen == [403] * len(ways)
    tried = reader.http.post(f"/api/visits/{visit}/what-if", json={"overrides": {}})
    assert tried.status_code == 403
    grant = f"/api/members/{office.reader.id}/health"
    assert reader.http.put(grant, json={"sees_health": True}).status_code == 403
    assert owner.http.put(grant, json={"sees_health": True}).json()["sees_health"] is True
    assert reader.worked(visit)["revision"] == 0
    refused = [
        reader.add("clients", name="X"),
        reader.type(visit, "look.found.seat", "46"),
        reader.sign(visit),
        reader.http.delete(f"/api/visits/{visit}"),
        reader.add("members", email="a@b.example", name="A", role="owner", password=PASSWORD),
    ]
    assert [answer.status_code for answer in refused] == [403] * 5
    owner.http.put(grant, json={"sees_health": False})
    assert reader.http.get(f"/api/visits/{visit}").status_code == 403


def test_ones_own_password_and_sessions(owner, app, office):
    other = Page(app)
    other.sign_in(office.owner)
    listed = owner.http.get("/api/sessions").json()
    assert [one["here"] for one in listed].count(True) == 1
    there = next(one["id"] for one in listed if not one["here"])
    assert owner.http.delete(f"/api/sessions/{there}").status_code == 204
    assert other.http.get("/api/me").status_code == 401
    assert owner.http.delete(f"/api/sessions/{uuid4()}").status_code == 404
    change = {"current": "wrong", "password": "another-tide-table"}
    assert owner.http.put("/api/password", json=change).json()["type"] == "wrong-password"
    change["current"] = PASSWORD
    assert owner.http.put("/api/password", json=change).status_code == 204
    assert owner.http.get("/api/me").status_code == 200
    assert other.sign_in(office.owner).status_code == 401
    assert other.sign_in(office.owner, change["password"]).status_code == 200


def test_who_left_is_out_at_once(owner, app, office):
    other = Page(app)
    other.sign_in(office.practitioner)
    path = f"/api/members/{office.practitioner.id}"
    assert other.http.delete(f"/api/members/{office.reader.id}").status_code == 403
    assert owner.http.delete(path).status_code == 204
    assert other.http.get("/api/me").status_code == 401
    assert other.sign_in(office.practitioner).status_code == 401
    assert owner.http.delete(path).status_code == 404


def test_a_client_is_corrected_and_erased_an_empty_visit_deleted(owner, app, office):
    client = owner.add("clients", name="Odile Marick", work="charts").json()
    fixed = {"name": "Odile Marrick", "sex": "female", "work": "charts", "version": 1}
    path = f"/api/clients/{client['id']}"
    assert owner.http.put(path, json=fixed).json()["version"] == 2
    stale = owner.http.put(path, json=fixed)
    assert (stale.status_code, stale.json()["current"]["name"]) == (409, "Odile Marrick")
    visit = {"id": str(uuid4()), "client_id": client["id"]}
    first, again = (owner.http.post("/api/visits", json=visit) for _ in range(2))
    assert (first.json(), len(owner.http.get("/api/visits").json())) == (again.json(), 1)
    owner.type(visit["id"], "look.found.seat", "46")
    assert owner.http.delete(f"/api/visits/{visit['id']}").json()["type"] == "holds-something"
    owner.type(visit["id"], "look.found.seat", "", version=1)
    assert owner.http.delete(f"/api/visits/{visit['id']}").status_code == 204
    assert owner.http.delete(path).json()["counts"] == ["nothing beside the name"]
    assert owner.http.get("/api/clients").json() == []


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
    assert other.add("members", **body).status_code == 403
    assert owner.add("members", **body).status_code == 201
    assert owner.add("members", **body).status_code == 409
    listed = owner.http.get("/api/members").json()
    mine = next(one["id"] for one in listed if one["email"] == email)
    assert owner.add("members", id=mine, **body).status_code == 201  # sent again: no second one
    assert len(owner.http.get("/api/members").json()) == len(listed)
    assert other.http.post(
        "/api/session", json={"email": email, "password": body["password"]}
    ).is_success
    assert "password" not in owner.http.get("/api/members").text


@pytest.mark.parametrize(
    "way", ["", "/results", "/report", "/report.pdf", "/card.pdf", "/day", "/day.ics", "/movements"]
)
def test_visits_of_another_practice_are_not_there(owner, app, engine, clock, way):
    visit = owner.new_visit()
    stranger = Page(app)
    stranger.sign_in(make_office(SqlAccounts(engine)).owner)
    assert stranger.http.get(f"/api/visits/{visit}{way}").status_code == 404
    assert stranger.type(visit, "look.found.seat", "46").status_code == 404


BAD_TEXTS = ("half \ud83d", "nul \x00 inside")


@pytest.mark.parametrize("text", BAD_TEXTS)
def test_text_that_is_not_whole_is_refused_by_field_in_every_route(owner, app, text):
    visit, spec = owner.new_visit(), app.openapi()
    change = json.dumps({"path": "ask.day_hours", "typed": text, "expected_version": 0})
    refused = owner.http.put(
        f"/api/visits/{visit}/changes/{uuid4()}",
        content=change,
        headers={"Content-Type": "application/json"},
    )
    assert (refused.status_code, refused.json()["field"]) == (422, "typed")
    tried = 0
    for path, methods in spec["paths"].items():
        for method, route in methods.items():
            body = route.get("requestBody", {}).get("content", {}).get("application/json")
            if body is None or path.startswith("/api/own/"):
                continue  # a client's own page has a session of its own
            shape = body["schema"]["$ref"].rsplit("/", 1)[-1]
            for name, field in spec["components"]["schemas"][shape]["properties"].items():
                if field.get("type") != "string" or field.get("format"):
                    continue
                url = re.sub(r"\{\w+\}", str(uuid4()), path)
                raw = json.dumps({name: text})
                answer = owner.http.request(
                    method.upper(), url, content=raw, headers={"Content-Type": "application/json"}
                )
                assert answer.status_code in (404, 422), (path, name, answer.text)
                if answer.status_code == 422:
                    assert answer.json()["field"], (path, name)
                tried += 1
    assert tried > 20


def test_a_body_too_long_is_refused_before_it_is_read(guest):
    heavy = {"email": "a@b.example", "password": "x" * 1_200_000}
    refused = guest.http.post("/api/session", json=heavy)
    assert (refused.status_code, refused.json()["type"]) == (413, "too-long")
    read = 0

    def endless():
        nonlocal read
        while read < 50_000_000:
            read += 100_000
            yield b"x" * 100_000

    refused = guest.http.post("/api/clients", content=endless())
    assert refused.status_code == 413


def test_a_failure_is_a_problem_with_headers_and_tells_nothing_that_was_typed(
    owner, app, monkeypatch, capsys
):
    def fails(*_, **__):
        raise RuntimeError("Neck pain since Monday")

    monkeypatch.setattr(app.state.services.visits, "add_client", fails)
    answer = owner.add("clients", name="Tingling Tess")
    assert (answer.status_code, answer.json()["type"]) == (500, "failed")
    assert answer.headers["content-type"] == "application/problem+json"
    assert "frame-ancestors 'none'" in answer.headers["content-security-policy"]
    assert answer.headers["cache-control"] == "no-store"
    logged = capsys.readouterr()
    said = logged.out + logged.err
    assert "RuntimeError" in said
    assert "Neck" not in said + answer.text
    assert "Tess" not in said


def test_noise_that_strangers_make_is_said_once_a_minute():
    quiet = Quiet()
    lines = [logging.makeLogRecord({"msg": "Invalid HTTP request received."}) for _ in range(50)]
    assert [quiet.filter(line) for line in lines].count(True) == 1
    assert quiet.filter(logging.makeLogRecord({"msg": "Something else"}))


@pytest.mark.parametrize("path", ["/%00", "/" + "a" * 400, "/assets/gone.js", "/%ff"])
def test_no_address_makes_the_page_fail(app_with_page, path):
    assert app_with_page.get(path).status_code in (200, 404)


def test_the_door_keeps_pages_apart_and_shows_credentials_in_the_demo_only(guest):
    answer = guest.http.get("/api/welcome")
    assert "frame-ancestors 'none'" in answer.headers["content-security-policy"]
    kept = (answer.headers["x-content-type-options"], answer.headers["cache-control"])
    assert kept == ("nosniff", "no-store")
    assert answer.json()["demo"] == []
