"""Coming in by a one-time link, an assistant's work, and clients that are open to some only."""

import re
from dataclasses import replace
from uuid import uuid4

import pytest
from sqlalchemy import text

from api.conftest import Page, fill
from api.test_gate import routes
from conftest import PASSWORD
from gentle_plumb.core.record import fields
from gentle_plumb.devices import FolderInbox

SITE = "https://saltmere.example"
CHOSEN = "four quiet harbour lamps"
LINK = re.compile(r"https://saltmere\.example/enter#([\w-]{40,})")


def invitation(**more):
    email = f"new-{uuid4().hex[:8]}@saltmere.example"
    return {"email": email, "name": "Wim Aldous", "role": "practitioner", **more}


def token_in(mail_folder):
    letter = FolderInbox(mail_folder).letters()[0]
    return LINK.search(letter.text)[1], letter


def choose(page, token, password=CHOSEN):
    return page.http.put("/api/entrance", json={"token": token, "password": password})


def test_who_is_invited_chooses_a_password_by_a_link_that_opens_once(
    owner, app, colleague, deliver, mail_folder
):
    body = invitation(title="Physiotherapist")
    assert colleague.http.post("/api/invitations", json=body).status_code == 403
    made = owner.http.post("/api/invitations", json=body).json()
    assert (made["mailed"], made["url"]) == (True, "")
    [waiting] = owner.http.get("/api/invitations").json()
    assert (waiting["letter"], waiting["role"]) == ("waiting", "practitioner")
    deliver()
    token, letter = token_in(mail_folder)
    assert letter.to == body["email"]
    assert owner.http.get("/api/invitations").json()[0]["letter"] == "sent"
    new = Page(app)
    door = new.http.post("/api/entrance", json={"token": token}).json()
    assert door == {
        "kind": "invitation",
        "practice": "Saltmere",
        "name": "Wim Aldous",
        "email": body["email"],
    }
    assert choose(new, token, "password1234").json()["field"] == "password"  # not used up by that
    assert choose(new, token).status_code == 204
    assert choose(new, token, "another choice entirely").status_code == 404
    assert new.http.post("/api/entrance", json={"token": token}).status_code == 404
    answer = new.http.post("/api/session", json={"email": body["email"], "password": CHOSEN})
    assert (answer.json()["name"], answer.json()["role"]) == ("Wim Aldous", "practitioner")
    assert owner.http.get("/api/invitations").json() == []
    assert owner.http.post("/api/invitations", json=body).status_code == 409
    said = [line["what"] for line in owner.http.get("/api/audit-log").json()]
    assert "password chosen by a one-time link" in said


def test_a_link_ends_by_time_by_another_one_and_by_being_withdrawn(
    owner, deliver, mail_folder, clock
):
    body = invitation()
    owner.http.post("/api/invitations", json=body)
    deliver()
    first, _ = token_in(mail_folder)
    [waiting] = owner.http.get("/api/invitations").json()
    assert owner.http.post(f"/api/invitations/{waiting['id']}/again").status_code == 201
    assert choose(owner, first).status_code == 404
    clock.pass_by(minutes=1)
    deliver()
    letters = [letter.text for letter in FolderInbox(mail_folder).letters()]
    [second] = {LINK.search(text)[1] for text in letters} - {first}
    clock.pass_by(days=7)
    assert choose(owner, second).status_code == 404
    owner.http.post("/api/session", json={"email": "nobody", "password": "x"})


def test_a_withdrawn_link_opens_nothing_and_its_mail_is_not_sent(
    owner, stranger, deliver, mail_folder
):
    owner.http.post("/api/invitations", json=invitation())
    [waiting] = owner.http.get("/api/invitations").json()
    path = f"/api/invitations/{waiting['id']}"
    assert stranger.http.delete(path).status_code == 404
    assert owner.http.delete(path).status_code == 204
    deliver()
    assert FolderInbox(mail_folder).letters() == []


def test_a_forgotten_password_is_set_anew_by_mail_and_nobody_is_told_who_is_here(
    owner, app, office, deliver, mail_folder, monkeypatch
):
    page, there = Page(app), Page(app)
    asked = {"email": office.practitioner.email}
    assert page.http.get("/api/welcome").json()["mails"] is False
    assert page.http.post("/api/forgotten", json=asked).status_code == 403  # whose address is it?
    monkeypatch.setattr(app.state, "services", replace(app.state.services, public_url=SITE))
    assert page.http.get("/api/welcome").json()["mails"] is True
    page.http.headers["Host"] = "evil.example"
    there.sign_in(office.practitioner)
    answers = [
        page.http.post("/api/forgotten", json={"email": email})
        for email in (office.practitioner.email, f"{uuid4()}@saltmere.example")
    ]
    assert [(answer.status_code, answer.text) for answer in answers] == [(202, "null")] * 2
    deliver()
    [letter] = FolderInbox(mail_folder).letters()
    assert letter.to == office.practitioner.email
    del page.http.headers["Host"]
    assert choose(page, LINK.search(letter.text)[1]).status_code == 204
    assert there.http.get("/api/me").status_code == 401  # signed out everywhere
    assert page.sign_in(office.practitioner).status_code == 401
    assert page.sign_in(office.practitioner, CHOSEN).status_code == 200
    many = [page.http.post("/api/forgotten", json={"email": "a@b.example"}) for _ in range(8)]
    assert many[-1].status_code == 429


def test_a_letter_in_hand_when_its_worker_died_is_sent_after_all(
    owner, deliver, engine, database_url, mail_folder
):
    owner.http.post("/api/invitations", json=invitation(email="late@saltmere.example"))
    with engine.begin() as db:
        db.execute(text("update staff_letter set state = 'sending', tries = 1"))
        db.execute(text("update procrastinate_jobs set status = 'doing', worker_id = null"))
    deliver()
    assert FolderInbox(mail_folder).letters() == []
    deliver(give_back=True)
    deliver()
    assert [letter.to for letter in FolderInbox(mail_folder).letters()] == ["late@saltmere.example"]


def test_a_mail_that_nobody_takes_is_seen_by_the_owner_and_let_go(owner, colleague, deliver):
    owner.http.post("/api/invitations", json=invitation(email="nobody@saltmere.example"))
    deliver()
    assert colleague.http.get("/api/system-status").status_code == 403
    [failed] = owner.http.get("/api/system-status").json()["failed"]
    assert (failed["to"], failed["what"]) == ("nobody@saltmere.example", "invitation")
    assert "Nobody has this address" in failed["trouble"]
    path = f"/api/system-status/failed/{failed['id']}"
    assert [owner.http.delete(path).status_code for _ in range(2)] == [204, 404]


def test_an_assistant_keeps_names_and_the_shelf_and_sees_no_health_data(app, office, owner):
    page = Page(app)
    page.sign_in(office.assistant)
    visit = owner.new_visit()
    client = page.add("clients", name="Petra Sollis", work="Chart room").json()
    fixed = {"name": "Petra Sollis", "sex": None, "work": "Archive", "version": 1}
    assert page.http.put(f"/api/clients/{client['id']}", json=fixed).json()["work"] == "Archive"
    refused = [
        page.http.get(f"/api/visits/{visit}"),
        page.http.get(f"/api/visits/{visit}/results"),
        page.http.get(f"/api/clients/{client['id']}/archive.zip"),
        page.http.get("/api/exchange", params={"format": "json"}),
        page.add("visits", client_id=client["id"]),
        page.type(visit, "look.found.seat", "46"),
        page.http.delete(f"/api/clients/{client['id']}"),
        page.http.get("/api/retention"),
        owner.http.put(f"/api/members/{office.assistant.id}/health", json={"sees_health": True}),
    ]
    assert [one.status_code for one in refused] == [403] * len(refused)
    [line] = [one for one in page.http.get("/api/visits").json() if one["id"] == visit]
    assert line["sign"] is None


@pytest.fixture
def hidden(owner, office):
    """A client whom the owner alone sees, with a visit."""
    visit = owner.new_visit("Odile Marrick")
    fill(owner, visit, "Odile")
    client = owner.http.get(f"/api/visits/{visit}").json()["client"]["id"]
    body = {"restricted": True, "members": [str(office.owner.id)]}
    answer = owner.http.put(f"/api/restricted/{client}", json=body)
    assert answer.json()["restricted"] is True
    return client, visit


def test_who_is_not_named_does_not_find_a_client_by_any_way(owner, colleague, hidden, office):
    client, visit = hidden
    for path in ("/api/clients", "/api/visits", "/api/checks"):
        assert client not in colleague.http.get(path).text
        assert visit not in colleague.http.get(path).text
    assert colleague.http.get("/api/exchange", params={"format": "json"}).text.count("Odile") == 0
    ids = {"visit_id": visit, "client_id": client}
    asked = {}
    for method, url, path in routes(colleague.app):
        named = [name for name in ids if f"{{{name}}}" in path]
        if named:
            filled = path
            for name in re.findall(r"\{(\w+)\}", path):
                filled = filled.replace(f"{{{name}}}", ids.get(name, str(uuid4())))
            asked[method, path] = colleague.http.request(method, filled, json={}).status_code
        del url
    assert len(asked) > 20
    assert set(asked.values()) == {403}, asked
    assert colleague.add("visits", client_id=client).status_code == 404
    assert colleague.add("visits", client_id=client, from_visit=visit).status_code == 404
    desk = owner.add("shelf", piece="workstation", name="Desk 9", place="", values={}).json()
    path = fields.seen.workstation.id
    version = owner.http.get(f"/api/visits/{visit}").json()["entries"].get(path, {"version": 0})
    assert owner.type(visit, path, desk["id"], version=version["version"]).status_code == 200
    assert "Odile" not in colleague.http.get("/api/shelf").text
    link = {"visit_id": visit, "kind": "before"}
    assert colleague.http.post("/api/links", json=link).status_code == 404
    assert owner.http.get(f"/api/visits/{visit}").status_code == 200


def test_who_sees_a_client_is_kept_by_who_sees_them_and_by_owners(
    owner, colleague, reader, hidden, office
):
    client, visit = hidden
    path = f"/api/restricted/{client}"
    mine, theirs = str(office.owner.id), str(office.practitioner.id)
    assert colleague.http.put(path, json={"restricted": False}).status_code == 403
    for nobody in ([], [str(office.reader.id)]):
        body = {"restricted": True, "members": nobody}
        assert owner.http.put(path, json=body).status_code == 403
    both = {"restricted": True, "members": [theirs], "knowing": True}
    assert owner.http.put(path, json=both).json()["members"] == [theirs]
    assert owner.http.get(f"/api/visits/{visit}").status_code == 403  # owners too
    assert [one["client"] for one in owner.http.get("/api/restricted").json()] == ["Odile Marrick"]
    assert colleague.http.get(f"/api/visits/{visit}").status_code == 200
    out = {"restricted": True, "members": [mine], "knowing": True}
    assert colleague.http.put(path, json=out).status_code == 403  # would shut themselves out
    assert reader.http.put(path, json={"restricted": False}).status_code == 403
    assert colleague.http.put(path, json={"restricted": False}).json()["members"] == []
    assert owner.http.get(f"/api/visits/{visit}").status_code == 200


def test_a_password_is_reset_for_a_colleague(owner, app, office, deliver, mail_folder):
    path = f"/api/members/{office.reader.id}/reset"
    assert owner.http.post(path).json()["mailed"] is True
    deliver()
    token, letter = token_in(mail_folder)
    page = Page(app)
    assert page.sign_in(office.reader, PASSWORD).status_code == 200  # until another one is chosen
    assert choose(page, token).status_code == 204
    assert page.sign_in(office.reader, PASSWORD).status_code == 401
    assert "Someone asked" in letter.text


def test_nobody_in_the_middle_of_a_visit_loses_its_client_without_a_word(owner, colleague, office):
    visit = colleague.new_visit("Tomas Ferrow")
    client = colleague.http.get(f"/api/visits/{visit}").json()["client"]["id"]
    path = f"/api/restricted/{client}"
    assert owner.http.get(path).json()["working"] == [str(office.practitioner.id)]
    only_me = {"restricted": True, "members": [str(owner.member.id)]}
    refused = owner.http.put(path, json=only_me)
    assert (refused.status_code, refused.json()["type"]) == (409, "shuts-out")
    assert office.practitioner.name in refused.json()["detail"]
    assert colleague.http.get(f"/api/visits/{visit}").status_code == 200
    assert owner.http.put(path, json={**only_me, "knowing": True}).status_code == 200
    assert colleague.http.get(f"/api/visits/{visit}").status_code == 403
