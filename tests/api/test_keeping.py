"""How long records are kept, what is due, and erasing with proof; what leaves in a client's archive."""

import io
import json
import zipfile
from dataclasses import replace
from datetime import UTC, datetime, timedelta
from types import SimpleNamespace
from uuid import UUID

import pytest
from pypdf import PdfReader

from api.conftest import fill
from api.test_visit import weeks_on
from gentle_plumb.config import Settings
from gentle_plumb.hosting.backups import BackupTrouble
from gentle_plumb.hosting.worker import make_worker, schedule_backups
from gentle_plumb.main import make_services
from gentle_plumb.storage import SqlTroubles
from plumb_demo.photographs import Angles, Camera, photograph_side

PERIODS = {"keep_signed_years": 10, "keep_unsigned_years": 2, "keep_photographs_months": 6}


def put_periods(page, **periods):
    return page.http.put("/api/retention", json={**PERIODS, **periods})


@pytest.fixture
def visit(owner, clock):
    """A visit with entries and a photograph."""
    result = owner.new_visit()
    fill(
        owner,
        result,
        "Odile",
        **{"ask.consent.photographs": "yes", "report.follow_up": weeks_on(clock)},
    )
    picture = photograph_side(Angles(neck=30, elbow=100), Camera(distance=3000)).jpeg
    photo = "00000000-0000-4000-8000-0000000000a1"
    answer = owner.http.put(
        f"/api/visits/{result}/photos/{result[:24]}{photo[24:]}",
        content=picture,
        headers={"Content-Type": "image/jpeg"},
    )
    assert answer.status_code == 200, answer.text
    return result


def client_of(page, visit):
    return page.http.get(f"/api/visits/{visit}").json()["client"]["id"]


def test_nothing_is_due_without_a_period_and_what_is_over_is_listed(owner, colleague, visit, clock):
    assert owner.http.get("/api/retention").json()["due"] == []
    assert colleague.http.get("/api/retention").status_code == 403
    assert put_periods(colleague).status_code == 403
    for wrong in (0, 101):
        assert put_periods(owner, keep_signed_years=wrong).json()["field"] == "keep_signed_years"
    assert put_periods(owner).json()["due"] == []
    clock.pass_by(days=184)
    owner.http.post("/api/session", json={})
    owner.sign_in(owner.member)
    [due] = owner.http.get("/api/retention").json()["due"]
    assert (due["what"], due["photographs"], due["signed"]) == ("photographs", 1, 0)
    clock.pass_by(days=2 * 366)
    owner.sign_in(owner.member)
    [due] = owner.http.get("/api/retention").json()["due"]
    assert due["what"] == "client"
    assert (
        put_periods(owner, keep_unsigned_years=None, keep_photographs_months=None).json()["due"]
        == []
    )


def test_the_last_thing_that_came_begins_the_period_anew(owner, visit, clock):
    put_periods(owner, keep_photographs_months=None)
    clock.pass_by(days=2 * 365 - 2)
    owner.sign_in(owner.member)
    owner.type(visit, "ask.reason", "The neck again.", version=1)
    clock.pass_by(days=30)
    owner.sign_in(owner.member)
    assert owner.http.get("/api/retention").json()["due"] == []


def test_a_client_is_erased_with_a_proof_that_names_nobody(owner, visit, clock):
    assert owner.sign(visit).status_code == 200
    client = client_of(owner, visit)
    gone = owner.http.delete(f"/api/clients/{client}", params={"reason": "asked"}).json()
    assert (gone["client"], gone["left_over"], gone["reason"]) == ("Odile Marrick", 0, "asked")
    assert {"1 visit", "1 signed report", "3 reports", "1 photo"} <= set(gone["counts"])
    assert owner.http.get(f"/api/visits/{visit}").status_code == 404
    [kept] = owner.http.get("/api/retention").json()["erased"]
    assert kept == {**gone, "client": ""}
    proof = owner.http.post(f"/api/erasures/{gone['id']}/proof.pdf", json={"client": "Odile"})
    said = PdfReader(io.BytesIO(proof.content)).pages[0].extract_text()
    [line] = [one for one in owner.http.get("/api/audit-log").json() if one["act"] == "erase"]
    assert line["client"] == "erased client"
    for words in ("Proof of erasure", "Odile", f"Line {line['number']},", "nothing was found"):
        assert words in said
    assert "Marrick" not in owner.http.get("/api/audit-log.csv").text


def test_photographs_go_alone_and_signed_papers_stay(owner, visit):
    report = owner.sign(visit).json()["id"]
    client = client_of(owner, visit)
    gone = owner.http.delete(f"/api/clients/{client}/photographs", params={"reason": "due"}).json()
    assert (gone["counts"], gone["what"], gone["left_over"]) == (["1 photo"], "photographs", 0)
    assert owner.http.get(f"/api/visits/{visit}").json()["photos"] == []
    assert owner.http.get(f"/api/reports/{report}.pdf").status_code == 200


def test_readers_and_colleagues_erase_no_more_than_they_may(owner, reader, colleague, visit):
    owner.sign(visit)
    client = client_of(owner, visit)
    assert reader.http.delete(f"/api/clients/{client}").status_code == 403
    refused = colleague.http.delete(f"/api/clients/{client}")
    assert (refused.status_code, refused.json()["type"]) == (409, "holds-something")
    assert owner.http.get("/api/retention").json()["erased"] == []


def test_an_erased_client_is_on_the_list_beside_the_backups(engine, owner, visit, tmp_path, clock):
    client = client_of(owner, visit)
    settings = Settings(backup_folder=tmp_path / "backups", backup_days=35)
    services = make_services(engine, settings, clock)
    made = services.retention.erase(owner.member, UUID(client), what="client", reason="asked")
    assert made.backups_until == clock() + timedelta(days=36)
    assert (tmp_path / "backups" / "erased.txt").read_text() == f"{client}\n"
    running = services.system_status.look(replace(owner.member))
    assert (running.backups, running.last_backup, running.late) == (True, None, True)


def test_the_archive_holds_their_own_answers_and_the_trail(owner, visit):
    owner.http.post("/api/links", json={"visit_id": visit, "kind": "before"})
    client = client_of(owner, visit)
    whole = owner.http.get(f"/api/clients/{client}/archive.zip").content
    with zipfile.ZipFile(io.BytesIO(whole)) as folder:
        own = json.loads(folder.read("own-page.json"))
        trail = folder.read("trail.csv").decode()
    assert [one["kind"] for one in own["links"]] == ["before"]
    assert "token" not in json.dumps(own)
    assert "Shared with the client" in trail
    assert "link to the client’s own page" in trail


def test_a_backup_that_fails_says_why_to_the_owner_and_is_quiet_once_one_goes_well(
    engine, owner, database_url, tmp_path, clock, capsys
):
    in_the_way = tmp_path / "backups"
    in_the_way.write_text("no folder")
    settings = Settings(
        database_url=database_url, backup_folder=in_the_way, backup_key=tmp_path / "key"
    )
    worker = make_worker(database_url, None, None)
    schedule_backups(worker, settings, SqlTroubles(engine))
    job = SimpleNamespace(job=SimpleNamespace(id=7, task_name="back_up", attempts=0))
    with pytest.raises(BackupTrouble):
        worker.tasks["back_up"].func(job, 0)
    said = capsys.readouterr().out
    assert "backup failed" in said
    assert str(in_the_way) in said
    services = make_services(engine, settings, clock)
    found = services.system_status.look(replace(owner.member))
    assert str(in_the_way) in found.backup_trouble.detail
    assert services.system_status.ages().keys() == {"backup_failed"}
    in_the_way.unlink()
    worker.tasks["back_up"].func(job, 0)
    clock.now = datetime.now(UTC)  # a backup's time is the machine's
    found = services.system_status.look(replace(owner.member))
    assert (found.backup_trouble, found.late, found.worker_lost) == (None, False, True)
    of_tomorrow = in_the_way / "plumb-29990101-023000.dump.age"
    of_tomorrow.write_bytes(b"x")
    next(in_the_way.glob("plumb-20*.dump.age")).unlink()
    assert services.system_status.look(replace(owner.member)).late
