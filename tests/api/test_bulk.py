"""What takes long is done by a worker: papers of a period, a large import; told in words, fetched by who asked."""

import io
import zipfile
from datetime import timedelta
from uuid import UUID

import pytest
from sqlalchemy import text

from api.conftest import fill
from api.test_visit import weeks_on
from conftest import run_apart
from gentle_plumb.hosting.worker import make_worker, work
from gentle_plumb.services.bulk import BulkService
from gentle_plumb.services.own_page import MailService
from gentle_plumb.storage import SqlOwnPages


@pytest.fixture
def worker(app, engine, database_url):
    """Does what is queued, as a worker does."""
    with engine.begin() as connection:
        connection.execute(text("delete from procrastinate_jobs"))

    def run():
        services = app.state.services
        mail = MailService(SqlOwnPages(engine), None, services.bulk._clock)
        made = make_worker(database_url, mail, services.entrances, lambda: services.bulk, wait_s=0)
        run_apart(lambda: work(made, until_done=True))

    return run


@pytest.fixture
def signed(owner, clock):
    visit = owner.new_visit()
    fill(owner, visit, "Odile", **{"report.follow_up": weeks_on(clock)})
    assert owner.sign(visit).status_code == 200
    return visit


def ask(page, clock, which="client", days=1):
    day = clock().date()
    body = {"since": (day - timedelta(days=days)).isoformat(), "until": day.isoformat()}
    return page.http.post("/api/bulk/papers", json={**body, "which": which})


def test_papers_of_a_period_are_made_by_a_worker_and_fetched_by_who_asked(
    owner, colleague, reader, signed, worker, clock
):
    made = ask(owner, clock)
    assert (made.status_code, made.json()["state"]) == (202, "waiting")
    path = f"/api/bulk/{made.json()['id']}.zip"
    assert owner.http.get(path).status_code == 404  # not yet
    worker()
    [job] = owner.http.get("/api/bulk").json()
    assert (job["state"], job["says"]) == ("done", "1 report.")
    with zipfile.ZipFile(io.BytesIO(owner.http.get(path).content)) as folder:
        [name] = folder.namelist()
        assert name.startswith(f"{clock().date()} Odile Marrick version 1 ")
        report = owner.http.get(f"/api/visits/{signed}").json()["reports"][0]["id"]
        assert folder.read(name) == owner.http.get(f"/api/reports/{report}.pdf").content
    assert colleague.http.get(path).status_code == 404
    assert ask(reader, clock).status_code == 403
    client = owner.http.get(f"/api/visits/{signed}").json()["client"]["id"]
    owner.http.delete(f"/api/clients/{client}")  # what waits to be fetched goes with what is in it
    assert owner.http.get("/api/bulk").json() == []


def test_what_may_not_leave_is_left_out_and_said(owner, colleague, signed, worker, clock, office):
    visit = owner.http.get(f"/api/visits/{signed}").json()
    consent = visit["entries"]["ask.consent.workplace"]["version"]
    owner.type(signed, "ask.consent.workplace", "no", version=consent)
    ask(owner, clock, "workplace")
    body = {"restricted": True, "members": [str(office.owner.id)]}
    owner.http.put(f"/api/restricted/{visit['client']['id']}", json=body)
    ask(colleague, clock)
    worker()
    [mine] = owner.http.get("/api/bulk").json()
    assert mine["says"].startswith("0 reports; 1 left out: the client has not consented")
    [theirs] = colleague.http.get("/api/bulk").json()
    assert theirs["says"] == "0 reports."  # who is hidden from them is not even counted
    wrong = {"since": "2026-02-02", "until": "2026-02-01"}
    assert owner.http.post("/api/bulk/papers", json=wrong).json()["field"] == "until"


def test_a_large_archive_is_imported_later_and_a_bad_one_is_said(
    owner, stranger, signed, worker, clock
):
    client = owner.http.get(f"/api/visits/{signed}").json()["client"]["id"]
    archive = owner.http.get(f"/api/clients/{client}/archive.zip").content
    send = {"headers": {"Content-Type": "application/octet-stream"}, "params": {"agreed": True}}
    for raw in (archive, b"no archive"):
        answer = stranger.http.post("/api/bulk/import", content=raw, **send)
        assert answer.status_code == 202, answer.text
    without = {**send, "params": {"agreed": False}}
    refused = stranger.http.post("/api/bulk/import", content=archive, **without)
    assert refused.status_code == 422
    worker()
    said = {one["state"]: one["says"] for one in stranger.http.get("/api/bulk").json()}
    assert said["done"] == "Odile Marrick was imported."
    assert said["failed"].startswith("The archive was not imported")
    assert [one["name"] for one in stranger.http.get("/api/clients").json()] == ["Odile Marrick"]


def test_a_job_is_tried_again_done_once_and_forgotten_after_a_day(
    owner, signed, app, worker, clock, monkeypatch
):
    service = app.state.services.bulk
    real, fails = BulkService._papers, [RuntimeError("the disk"), None]

    def once(self, *given):
        trouble = fails.pop(0)
        if trouble:
            raise trouble
        return real(self, *given)

    monkeypatch.setattr(BulkService, "_papers", once)
    job = ask(owner, clock).json()["id"]
    with pytest.raises(RuntimeError):
        service.do(UUID(job), last=False)
    assert owner.http.get("/api/bulk").json()[0]["state"] == "waiting"
    service.do(UUID(job), last=False)
    service.do(UUID(job), last=False)  # queued twice it is done once
    assert owner.http.get("/api/bulk").json()[0]["state"] == "done"
    clock.pass_by(hours=25)
    service.tidy()
    owner.sign_in(owner.member)
    assert owner.http.get("/api/bulk").json() == []
