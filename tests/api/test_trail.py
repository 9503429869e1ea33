"""Who saw and did what: every route is named, lines are added to only, and one that is gone shows."""

import io
from uuid import uuid4
from zipfile import ZipFile

import psycopg
import pytest
from sqlalchemy import text
from sqlalchemy.exc import ProgrammingError

from api.conftest import Page
from gentle_plumb.hosting.audit_check import check_audit_log, heads_of
from gentle_plumb.routes.route import Needs, Route
from gentle_plumb.services.audit_log import AuditLogService, broken_at
from gentle_plumb.storage import SqlAuditLog


def lines(owner, **query):
    return owner.http.get("/api/audit-log", params=query).json()


def test_a_visit_leaves_its_trace_in_order_without_what_it_holds(owner, clock):
    visit = owner.new_visit("Odile Marrick")
    owner.http.get(f"/api/visits/{visit}")
    owner.http.get(f"/api/visits/{visit}/results")
    for at, typed in enumerate(("46", "47", "48")):
        owner.type(visit, "look.found.seat", typed, version=at)
    owner.http.get(f"/api/visits/{visit}/report.pdf")
    told = [(line["act"], line["what"], line["client"]) for line in reversed(lines(owner))]
    assert told == [
        ("sign_in", "", ""),
        ("change", "client", "Odile Marrick"),
        ("change", "visit begun", "Odile Marrick"),
        ("read", "visit", "Odile Marrick"),
        ("change", "visit", "Odile Marrick"),
        ("print", "draft", "Odile Marrick"),
    ]
    clock.pass_by(minutes=6)
    owner.type(visit, "look.found.seat", "49", version=3)
    [last, *_] = lines(owner)
    assert (last["act"], last["number"]) == ("change", 7)
    assert "49" not in str({**last, "at": "", "digest": "", "client_id": "", "visit_id": ""})


def test_what_failed_leaves_none_and_a_refused_sign_in_does(owner, app, office):
    owner.http.get(f"/api/visits/{uuid4()}")
    for _ in range(8):  # who floods the sign-in does not fill the audit log
        Page(app).sign_in(office.owner, "wrong")
    Page(app).http.post("/api/session", json={"email": "no@body.example", "password": "x"})
    assert [line["act"] for line in lines(owner)] == ["refused", "sign_in"]


def test_who_is_let_in_is_no_client(owner):
    body = {"email": f"{uuid4()}@saltmere.example", "name": "Nell", "role": "reader"}
    assert owner.add("members", **body, password="four quiet harbour lamps").status_code == 201
    assert [
        (line["act"], line["client_id"], line["client"]) for line in lines(owner, act="manage")
    ] == [("manage", None, "")]


def test_an_erasure_is_proved_by_what_stays(owner):
    visit = owner.new_visit("Odile Marrick")
    client = owner.http.get(f"/api/visits/{visit}").json()["client"]["id"]
    assert owner.http.delete(f"/api/clients/{client}").status_code == 200
    mine = lines(owner, client=client)
    assert next((one["act"], one["client"]) for one in mine) == ("erase", "erased client")
    assert "Marrick" not in str(mine)
    assert [line["act"] for line in lines(owner, act="erase")] == ["erase"]


def test_only_an_owner_of_the_practice_reads_it(owner, app, office, stranger, reader):
    owner.new_visit()
    other = Page(app)
    other.sign_in(office.practitioner)
    for page in (other, reader):
        assert page.http.get("/api/audit-log").status_code == 403
        assert page.http.get("/api/audit-log.csv").status_code == 403
    assert {line["who"] for line in lines(stranger)} == {"Owner"}
    assert len(lines(stranger)) == 1
    sheet = owner.http.get("/api/audit-log.csv").text.splitlines()
    assert sheet[0].startswith("number,at,who,act")
    assert len(sheet) == 1 + len(lines(owner)) - 1  # the export itself came after
    today = owner.http.get("/api/audit-log", params={"until": "2001-01-01"}).json()
    assert today == []
    assert lines(owner, before=2)[0]["number"] == 1


def test_lines_are_added_only_and_one_that_is_changed_or_gone_shows(
    owner, engine, database_url, office, clock
):
    for name in ("A", "B", "C"):
        owner.new_visit(name)
    practice = office.practice.id
    whole = list(SqlAuditLog(engine).whole(practice))
    assert broken_at(whole)[:2] == (7, None)
    for statement in ("update trail set who = 'X'", "delete from trail", "truncate trail"):
        with pytest.raises(ProgrammingError, match="added to only"), engine.begin() as connection:
            connection.execute(text(statement))
    assert broken_at([*whole[:3], *whole[4:]])[:2] == (3, 4)
    with psycopg.connect(
        database_url, autocommit=True
    ) as db:  # who owns the database can do anything
        db.execute("alter table trail disable trigger trail_is_added_to_only")
        db.execute("update trail set who = 'X' where practice_id = %s and number = 2", [practice])
        db.execute("alter table trail enable trigger trail_is_added_to_only")
    found = {id: broken for id, _, broken, _ in AuditLogService(SqlAuditLog(engine), clock).check()}
    assert found[practice] == 2
    said = []
    assert not check_audit_log(engine, {}, said.append)
    assert f"Saltmere ({practice}): 1 lines hold; line 2 was changed or is gone." in said


def test_a_cut_at_the_end_shows_by_a_line_that_was_noted_down(owner, engine, office):
    owner.new_visit()
    [*_, last] = SqlAuditLog(engine).whole(office.practice.id)
    cut = {last.digest.hex()[:12]: last.number + 1}
    told = []
    check_audit_log(engine, heads_of([f"{last.number}:{last.digest.hex()}"]), told.append)
    assert not [line for line in told if "cut off" in line]
    assert not check_audit_log(engine, cut, told.append)
    assert "the end was cut off" in told[-1]
    for wrong in ("x", "3", "3:ab"):
        with pytest.raises(ValueError, match="NUMBER:DIGEST"):
            heads_of([wrong])


def test_each_answer_and_each_line_bear_the_same_name_of_the_request(owner, engine, office):
    answer = owner.add("clients", name="Odile")
    [*_, last] = SqlAuditLog(engine).whole(office.practice.id)
    assert answer.headers["x-request-id"] == last.request_id


def test_an_export_names_each_client_whose_data_left_and_a_refusal_stands_too(owner, reader):
    visits = [owner.new_visit(name) for name in ("Odile Marrick", "Bram Tolliver")]
    for visit in visits:
        owner.type(visit, "ask.consent.notes", "yes")
        owner.type(visit, "measure.stature.first", "165")
    assert owner.http.get("/api/exchange", params={"format": "json"}).status_code == 200
    exported = [line["client"] for line in lines(owner, act="export")]
    assert sorted(exported) == ["Bram Tolliver", "Odile Marrick"]
    odile = owner.http.get(f"/api/visits/{visits[0]}").json()["client"]["id"]
    assert [line["says"] for line in lines(owner, act="export", client=odile)] == ["Exported"]
    archive = owner.http.get(f"/api/clients/{odile}/archive.zip")
    with ZipFile(io.BytesIO(archive.content)) as folder:
        own_list = folder.read(next(name for name in folder.namelist() if "trail" in name))
    assert b"Exported" in own_list
    assert owner.http.get(f"/api/visits/{visits[0]}/device").status_code == 200
    carried = [line["act"] for line in lines(owner, client=odile)]
    assert "carry" in carried
    assert "carry" not in [line["act"] for line in lines(owner, client=odile, carried=False)]
    assert reader.http.get(f"/api/visits/{visits[0]}").status_code == 403
    [refused] = lines(owner, act="refused")
    assert (refused["what"], refused["client"], refused["who"]) == (
        "visit",
        "Odile Marrick",
        reader.member.name,
    )


def test_an_import_sent_as_json_leaves_its_line(owner):
    file = (
        "client,sex,visit_on,dimension,reading,mm\nYara Fenwick,female,2026-02-02,stature,1,1650\n"
    )
    owner.new_visit("Odile Marrick")
    sent = owner.http.post(
        "/api/exchange", content=file.encode(), headers={"Content-Type": "application/json"}
    )
    assert sent.status_code == 201, sent.text
    assert [line["act"] for line in lines(owner, act="import")] == ["import"]


def test_what_can_not_be_noted_is_not_done(owner, monkeypatch):
    def broken(*_):
        raise RuntimeError

    before = owner.http.get("/api/clients").json()
    monkeypatch.setattr(SqlAuditLog, "_add", staticmethod(broken))
    assert owner.add("clients", name="Odile Marrick").status_code == 500
    assert owner.http.post("/api/exchange", json={"x": 1}).status_code == 422
    monkeypatch.undo()
    assert owner.http.get("/api/clients").json() == before
    made = owner.add("clients", name="Odile Marrick").json()
    [line] = lines(owner, act="change")
    assert (line["what"], line["client_id"]) == ("client", made["id"])


def test_a_route_to_somebodys_things_is_refused_without_its_line():
    def handler() -> None: ...

    with pytest.raises(ValueError, match=r"GET /clients/\{client_id\}/x: what it leaves"):
        Route(method="GET", path="/clients/{client_id}/x", handler=handler, needs=Needs.HEALTH)
