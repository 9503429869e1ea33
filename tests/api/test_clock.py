"""A server whose clock is set back or ahead keeps what it is given, in its order."""

from gentle_plumb.services.audit_log import broken_at
from gentle_plumb.storage import SqlAuditLog


def test_a_clock_that_jumps_loses_nothing_and_locks_nobody_out_for_good(
    owner, office, clock, engine
):
    visit = owner.new_visit()
    jumps = ({"hours": -3}, {"days": -400}, {"days": 400}, {"hours": 2}, {"minutes": -1})
    for number, jump in enumerate(jumps):
        clock.pass_by(**jump)
        answer = owner.type(visit, "look.found.seat", str(40 + number), version=number)
        assert answer.status_code == 200, answer.text
        assert answer.json()["entry"]["version"] == number + 1
    held = owner.http.get(f"/api/visits/{visit}").json()["entries"]["look.found.seat"]
    assert held["typed"] == "44 cm"
    lines = list(SqlAuditLog(engine).whole(office.practice.id))
    assert [line.number for line in lines] == list(range(1, len(lines) + 1))
    assert broken_at(lines)[1] is None
    clock.pass_by(days=30)  # far ahead: the session is over, and a new one is opened
    assert owner.http.get("/api/me").status_code == 401
    for _ in range(6):
        owner.http.post("/api/session", json={"email": office.owner.email, "password": "wrong"})
    clock.pass_by(days=-30)
    assert owner.sign_in(office.owner).status_code in (200, 429)
    clock.pass_by(days=31)
    assert owner.sign_in(office.owner).status_code == 200
    assert owner.worked(visit)["revision"] >= 5
