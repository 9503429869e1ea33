"""The log: a line for each request and job, and in none of them a name or a word about health."""

import asyncio
import io
import json
import re

import pytest
import structlog

from api.conftest import demo, fill
from api.test_visit import weeks_on
from gentle_plumb.api.metrics import Measured
from gentle_plumb.api.request_log import MOST_A_MINUTE
from gentle_plumb.core.catalogue import REGIONS
from gentle_plumb.core.intake import PRECAUTIONS, RED_FLAGS
from gentle_plumb.logs import set_up_logs
from gentle_plumb.services.spent import spending
from gentle_plumb.storage import SqlAuditLog

NOTE = "Ulnar tingling since the fall in Harrowgate Lane"


@pytest.fixture
def log():
    out = io.StringIO()
    set_up_logs(out)
    yield lambda: [json.loads(line) for line in out.getvalue().splitlines()]
    structlog.reset_defaults()


def a_whole_visit(owner, clock):
    """From the name to the signed papers and the client's own page; the answers, in their order."""
    answers = []
    owner.http.event_hooks["response"] = [answers.append]
    client = owner.add(
        "clients", name="Odile Marrick", sex="female", email="odile@saltmere.example"
    ).json()
    visit = owner.add("visits", client_id=client["id"]).json()["id"]
    fill(owner, visit, "Odile")
    owner.type(visit, "ask.discomfort.neck.strength", "7")
    owner.type(visit, "ask.notes", NOTE)
    owner.type(visit, "measure.stature.first", NOTE)  # refused, and its message says what was typed
    owner.type(visit, "report.follow_up", weeks_on(clock))
    owner.worked(visit, plans=True, draw=True)
    for view in ("", "/report", "/report.pdf", "/card.pdf", "/day", "/movements"):
        owner.http.get(f"/api/visits/{visit}{view}")
    owner.http.get("/api/clients", params={"search": "Marrick"})
    assert owner.sign(visit).status_code == 200
    made = owner.http.post("/api/links", json={"visit_id": visit, "kind": "after"}).json()
    owner.http.post(f"/api/links/{made['link']['id']}/mail")
    owner.http.get("/api/clients/Odile Marrick")
    return answers


def test_a_whole_visit_leaves_lines_without_a_name_or_a_word_about_health(
    owner, deliver, log, engine, office, clock
):
    answers = a_whole_visit(owner, clock)
    deliver()
    lines = log()
    said = "\n".join(json.dumps(line, ensure_ascii=False) for line in lines).lower()
    typed = {value for value in demo("Odile").entries.values() if re.search("[a-z]{4} ", value)}
    kept = {"odile", "marrick", NOTE.lower(), "ulnar", "harrowgate", "@", office.owner.name.lower()}
    kept |= {text.lower() for text in typed}
    labels = {*REGIONS.values(), *(care.label for care in PRECAUTIONS.values())}
    labels |= {red_flag.label for red_flag in RED_FLAGS.values()}
    kept |= {label.lower() for label in labels}
    assert [word for word in sorted(kept) if re.search(rf"\b{re.escape(word)}\b", said)] == []
    requests = [line for line in lines if "route" in line]
    assert [line["request"] for line in requests] == [
        answer.headers["x-request-id"] for answer in answers
    ]
    assert [line["status"] for line in requests] == [answer.status_code for answer in answers]
    answered = [line for line in requests if line["status"] < 400]
    assert {line["member"] for line in answered} == {str(office.owner.id)}
    assert all(line["ms"] >= 0 and line["route"].startswith("/api/") for line in requests)
    assert not [line for line in requests if re.search("[0-9a-f]{8}-", line["route"])]
    noted = {line.request_id for line in SqlAuditLog(engine).whole(office.practice.id)}
    written = [line for line in requests if line["method"] == "POST" and line["status"] < 300]
    assert written
    assert {line["request"] for line in written} <= noted


def test_each_job_leaves_a_line_that_names_its_task_and_how_it_went(
    owner, deliver, log, mail_server, clock
):
    mail_server.busy = 1
    a_whole_visit(owner, clock)
    for _ in range(3):
        deliver()
    jobs = [line for line in log() if line["event"] == "job"]
    assert [(job["task"], job["tries"], job["status"]) for job in jobs] == [
        ("send_mail", 1, "failed"),
        ("send_mail", 2, "done"),
    ]
    assert {type(job["job"]) for job in jobs} == {int}
    assert jobs[0]["error"] == "MailTrouble"
    assert all(job["ms"] >= 0 for job in jobs)


def test_a_slow_or_failed_call_leaves_one_line_that_says_where_its_time_went(capsys):
    async def answers(scope, receive, send):
        with spending("papers"):
            await asyncio.sleep(0.02)
        await send({"type": "http.response.start", "status": 503, "headers": []})
        await send({"type": "http.response.body", "body": b""})

    async def call(app, times):
        for _ in range(times):
            scope = {"type": "http", "method": "GET", "path": "/api/visits/x"}
            await app(scope, None, lambda message: asyncio.sleep(0))

    asyncio.run(call(Measured(answers), MOST_A_MINUTE + 5))
    lines = capsys.readouterr().out.strip().splitlines()
    assert len(lines) == MOST_A_MINUTE + 5
    assert sum("warning" in line for line in lines) == MOST_A_MINUTE  # an outage sets off no siren
    assert "status=503" in re.sub(r"\x1b\[[0-9;]*m", "", lines[0])
    spent = re.search(r"papers_ms=(\d+)", re.sub(r"\x1b\[[0-9;]*m", "", lines[0]))
    assert int(spent[1]) >= 20
