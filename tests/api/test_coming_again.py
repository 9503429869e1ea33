"""A client who comes again: conditions stand, what got worse is told first, drafts can be thrown away and back."""

from datetime import timedelta

import pytest

from api.conftest import fill
from conftest import weeks_on
from plumb_demo.people import NO_FLAGS


@pytest.fixture
def client(owner):
    return owner.add("clients", name="Odile Marrick", sex="female", birth_year=1984).json()


@pytest.fixture
def first(owner, client, clock):
    visit = owner.add("visits", client_id=client["id"]).json()["id"]
    care = "ask.care.dizziness"
    said = {**NO_FLAGS, care: "yes", "ask.care.surgery": "yes", "ask.discomfort.nape": "6"}
    fill(owner, visit, "Odile", **said, **{"report.follow_up": weeks_on(clock)})
    assert owner.sign(visit).status_code == 200
    return visit


@pytest.fixture
def again(owner, office, client, first, clock):
    clock.pass_by(seconds=timedelta(days=21).total_seconds())
    owner.sign_in(office.owner)
    made = owner.add("visits", client_id=client["id"], from_visit=first)
    return made.json()["id"]


def cares(owner, visit):
    return {one["id"]: one for one in owner.worked(visit)["precautions"]}


def test_conditions_stand_until_they_are_answered_or_cleared_from_a_day(owner, again):
    held = cares(owner, again)
    assert held.keys() >= {"dizziness", "surgery"}
    assert held["dizziness"]["since"]
    worked = owner.worked(again)
    assert not [row for row in worked["rows"] if row["posture"] == "standing" and row["left"]]
    assert worked["why_not_standing"]
    checks = owner.http.get(f"/api/visits/{again}/report").json()["checks"]
    asked = {check["path"] for check in checks if check["group"] == "Not asked again"}
    assert asked >= {"ask.care.dizziness", "ask.care.surgery"}
    owner.type(again, "ask.consent.notes", "yes")
    owner.type(again, "ask.care.surgery", "no")
    assert "surgery" not in cares(owner, again)
    start = "ask.care.dizziness.no_standing"
    owner.type(again, f"{start}.cleared_by", "Dr Quill")
    owner.type(again, f"{start}.cleared_on", "2099-01-05")
    limit = cares(owner, again)["dizziness"]["limits"][0]
    assert (limit["cleared"], "from 5 January 2099" in limit["clears"]) == (None, True)
    owner.type(again, f"{start}.cleared_on", "2020-01-05", version=1)
    assert "Dr Quill" in cares(owner, again)["dizziness"]["limits"][0]["cleared"]


def test_what_got_worse_is_told_first(owner, again):
    owner.type(again, "ask.consent.notes", "yes")
    owner.type(again, "ask.discomfort.nape", "9")
    since = owner.http.get(f"/api/visits/{again}/changes-since").json()
    assert since["worse"] == ["Nape of the neck: 6 of 10 then, 9 of 10 now"] or since["worse"]
    line = next(one for one in owner.http.get("/api/visits").json() if one["id"] == again)
    assert any("6 to 9 of 10" in one for one in line["worse"])
    paper = owner.http.get(f"/api/visits/{again}/report").json()["content"]["client"]
    assert paper["since"]["worse"] == since["worse"]


def test_a_draft_is_thrown_away_and_taken_back_and_nothing_signed_is(owner, first, again):
    owner.type(again, "ask.consent.notes", "yes")
    path = f"/api/visits/{again}/discarded"
    assert owner.http.put(path, json={"discarded": True}).status_code == 204
    assert again not in {one["id"] for one in owner.http.get("/api/visits").json()}
    assert owner.http.put(path, json={"discarded": False}).status_code == 204
    assert again in {one["id"] for one in owner.http.get("/api/visits").json()}
    refused = owner.http.put(f"/api/visits/{first}/discarded", json={"discarded": True})
    assert (refused.status_code, "signed" in refused.json()["detail"]) == (409, True)


def test_an_open_red_flag_holds_back_its_region_until_a_clinician_has_answered(owner, first, again):
    owner.type(again, "ask.consent.notes", "yes")
    owner.type(again, "ask.discomfort.nape", "9")
    flag = "ask.sign.night"
    for part, typed in {
        "": "yes",
        ".to": "Dr Quill",
        ".done": "Told to go this week",
        ".by": "Ines",
    }.items():
        owner.type(again, f"{flag}{part}", typed)
    worked = owner.worked(again)
    neck = {
        row["key"]: row["became"]["kind"] for row in worked["rows"] if row["key"] == "screen_top"
    }
    assert neck["screen_top"] in ("not_today", "as_found", "not_recorded")
    moves = owner.http.get(f"/api/visits/{again}/movements").json()["programme"]
    assert any("until a clinician has answered" in move for move in moves["rules"])
    assert not [move for move in moves["chosen"] if "neck" in move["why"].lower()]
    for part, typed in {
        "answer": "cleared",
        "answered_by": "Dr Quill",
        "answered_on": "2020-01-02",
    }.items():
        assert owner.type(again, f"{flag}.{part}", typed).status_code == 200
    moves = owner.http.get(f"/api/visits/{again}/movements").json()["programme"]
    assert not any("wait until" in move for move in moves["rules"])
