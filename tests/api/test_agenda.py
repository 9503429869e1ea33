"""The agenda: appointments, what clashes, times for what is due, private calendars, mail about appointments."""

from __future__ import annotations

import re
from datetime import timedelta
from uuid import UUID, uuid4

import pytest
from icalendar import Calendar

from api.conftest import fill
from gentle_plumb.devices import FolderInbox
from gentle_plumb.documents.appointment_calendar import appointment_calendar
from gentle_plumb.services.agenda import AppointmentLetters
from gentle_plumb.services.own_page import MailService
from gentle_plumb.storage import SqlAccounts, SqlAgenda, SqlOwnPages
from plumb_demo.people import NO_FLAGS

MARROW = {
    "piece": "chair",
    "name": "Marrow chair",
    "place": "Odile’s room",
    "values": {"look.chair.kind": "task", "look.chair.seat_min": "43 cm"},
}
HEALTH = "pain|health|discomfort|assessment|symptom|flag"


def day(office_clock, days=0):
    return (office_clock.now + timedelta(days=days)).date().isoformat()


@pytest.fixture
def client(owner):
    return owner.add("clients", name="Odile Marrick", email="odile@saltmere.example").json()["id"]


@pytest.fixture
def planned(owner, office, client, clock):
    """Have an appointment kept; its facts."""

    def keep(page=owner, **facts):
        given = {
            "client_id": client,
            "member_id": str(office.owner.id),
            "on": day(clock, 3),
            "at": 570,
            "minutes": 60,
            "place": "Room 2",
            **facts,
        }
        return page.add("appointments", **given)

    return keep


def test_the_agenda_shows_days_in_order_and_what_clashes(owner, office, planned, client, clock):
    first = planned().json()
    bram = owner.add("clients", name="Bram").json()["id"]
    tomas = str(office.practitioner.id)
    planned(client_id=bram, member_id=tomas, at=600, place="room 2", kind="follow_up")
    planned(client_id=bram, member_id=tomas, on=day(clock, 4), at=480, minutes=30)
    agenda = owner.http.get("/api/agenda", params={"start": day(clock, 3), "days": 7}).json()
    lines = agenda["appointments"]
    assert [(line["client"], line["at"]) for line in lines] == [
        ("Odile Marrick", 570),
        ("Bram", 600),
        ("Bram", 480),
    ]
    assert [line["clashes"] for line in lines] == [
        ["Room 2 is taken then"],
        ["room 2 is taken then"],
        [],
    ]
    visit = owner.add("visits", id=first["id"], client_id=client).json()
    assert visit["id"] == first["id"]
    agenda = owner.http.get("/api/agenda", params={"start": day(clock, 3)}).json()
    assert [line["begun"] for line in agenda["appointments"]] == [True, False, False]


def test_an_appointment_counts_its_changes_and_stays_with_its_client(owner, planned, client):
    held = planned().json()
    path = f"/api/appointments/{held['id']}"
    moved = {key: value for key, value in held.items() if key != "id"} | {"at": 600}
    assert owner.http.put(path, json=moved).json()["version"] == 2
    stale = owner.http.put(path, json=moved | {"at": 615})
    assert stale.status_code == 409
    assert stale.json()["current"]["at"] == 600
    bram = owner.add("clients", name="Bram").json()["id"]
    other = owner.http.put(path, json=moved | {"version": 2, "client_id": bram})
    assert other.status_code == 403
    bad = owner.http.put(path, json=moved | {"version": 2, "minutes": 1, "at": 1440})
    assert bad.json()["detail"] == "at: 1440 has to be at most 1439"
    assert owner.http.delete(path).status_code == 204
    assert owner.http.delete(path).status_code == 404


def test_the_agenda_is_its_practices_and_closed_clients_are_a_taken_time(
    owner, colleague, reader, stranger, office, planned, client
):
    held = planned().json()
    assert stranger.http.get("/api/agenda").json()["appointments"] == []
    assert stranger.http.delete(f"/api/appointments/{held['id']}").status_code == 404
    assert planned(page=reader).status_code == 403
    assert planned(page=stranger).status_code == 404
    owner.http.put(
        f"/api/restricted/{client}", json={"restricted": True, "members": [str(office.owner.id)]}
    )
    seen = colleague.http.get("/api/agenda", params={"start": held["on"]})
    [line] = seen.json()["appointments"]
    assert line["private"]
    assert "Odile" not in seen.text
    assert client not in seen.text
    path = f"/api/appointments/{held['id']}"
    assert colleague.http.delete(path).status_code == 403
    assert colleague.http.get(f"{path}/invitation.ics").status_code == 403


def test_what_is_due_is_offered_free_times_until_it_has_one(owner, office, planned, client, clock):
    visit = owner.add("visits", client_id=client).json()["id"]
    fill(owner, visit, "Odile", **NO_FLAGS, **{"report.follow_up": day(clock, 5)})
    assert owner.http.get("/api/agenda").json()["due"] == []  # not signed yet
    assert owner.sign(visit).status_code == 200
    [due] = owner.http.get("/api/agenda").json()["due"]
    assert (due["kind"], due["visit_id"], due["due"]) == ("follow_up", visit, day(clock, 5))
    taken = due["offers"][0]
    assert taken["on"] >= day(clock, 5)
    assert taken["at"] == 480
    other = owner.add("clients", name="Bram").json()["id"]
    planned(client_id=other, on=taken["on"], at=480)
    [due] = owner.http.get("/api/agenda").json()["due"]
    assert due["offers"][0] == {"on": taken["on"], "at": 540}
    planned(kind="follow_up", **due["offers"][0])
    assert owner.http.get("/api/agenda").json()["due"] == []


def calendar(content):
    return Calendar.from_ical(content).walk("VEVENT")


def test_a_private_calendar_names_nobody_unless_it_is_asked_to(
    owner, app, guest, planned, clock, office
):
    planned(place_kind="address", place="Quay Street 4")
    planned(member_id=str(office.practitioner.id), at=700)
    made = owner.http.post("/api/calendar", json={}).json()
    path = made["url"].removeprefix("https://saltmere.example")
    answer = guest.http.get(path)
    assert answer.headers["content-type"].startswith("text/calendar")
    [event] = calendar(answer.content)
    assert (event["summary"], event.get("location", "")) == ("Visit", "")
    assert "Odile" not in answer.text
    assert "Quay" not in answer.text
    named = owner.http.post("/api/calendar", json={"names": True}).json()
    assert guest.http.get(path).status_code == 404  # the address before
    path = named["url"].removeprefix("https://saltmere.example")
    [event] = calendar(guest.http.get(path).content)
    assert (event["summary"], event["location"]) == ("Visit: Odile Marrick", "Quay Street 4")
    assert owner.http.get("/api/calendar").json()["names"] is True
    [held] = owner.http.get("/api/clients").json()
    access = {"restricted": True, "members": [str(office.practitioner.id)], "knowing": True}
    owner.http.put(f"/api/restricted/{held['id']}", json=access)
    [event] = calendar(guest.http.get(path).content)
    assert event["summary"] == "Visit"  # its owner may see the name no more
    assert owner.http.delete("/api/calendar").status_code == 204
    assert guest.http.get(path).status_code == 404


@pytest.fixture
def send(engine, mail_out, clock, mail_folder):
    """Hand over every mail about an appointment that waits; what has arrived since the last time."""
    seen = set()
    store = SqlAgenda(engine)
    letters = AppointmentLetters(
        store, SqlOwnPages(engine), SqlAccounts(engine), appointment_calendar, clock, there=True
    )
    mail = MailService(SqlOwnPages(engine), mail_out, clock, letters.letter)

    def handed(appointment, *kinds):
        clock.pass_by(seconds=60)
        for waiting in reversed(store.mails_about(UUID(appointment))):
            if waiting.kind in (kinds or ("appointment", "cancelled")):
                mail.deliver(waiting.id)
        inbox = FolderInbox(mail_folder).letters()
        new = [letter for letter in inbox if letter.id not in seen]
        seen.update(letter.id for letter in inbox)
        return new

    return handed


def test_the_client_is_told_once_of_what_holds_and_without_a_health_word(
    owner, planned, send, mail_folder, clock
):
    held = planned().json()
    path = f"/api/appointments/{held['id']}"
    facts = {key: value for key, value in held.items() if key != "id"}
    owner.http.put(path, json=facts | {"at": 600})
    owner.http.put(path, json=facts | {"version": 2})  # and back again
    [told] = send(held["id"])
    assert told.to == "odile@saltmere.example"
    assert "09:30" in told.text
    assert "Room 2" in told.text
    assert not re.search(HEALTH, f"{told.subject} {told.text}".lower())
    owner.http.put(path, json=facts | {"version": 3, "at": 600})
    [moved] = send(held["id"])
    assert "new time" in moved.subject
    assert "10:00" in moved.text
    owner.http.put(path, json=facts | {"version": 4, "at": 600, "kind": "follow_up"})
    assert send(held["id"]) == []  # nothing the client was told is different
    [reminder] = send(held["id"], "reminder")
    assert "reminder" in reminder.subject
    assert "10:00" in reminder.text
    owner.http.delete(path)
    [off] = send(held["id"])
    assert "cancelled" in off.subject


def test_an_appointment_taken_back_at_once_is_never_told(owner, planned, send):
    held = planned().json()
    owner.http.delete(f"/api/appointments/{held['id']}")
    assert send(held["id"], "appointment", "cancelled", "reminder") == []
    silent = planned(mail_client=False).json()
    assert send(silent["id"], "appointment", "reminder") == []


def test_the_clients_calendar_file_says_when_where_and_with_whom(owner, planned, office):
    held = planned(place_kind="call", place="01 555").json()
    answer = owner.http.get(f"/api/appointments/{held['id']}/invitation.ics")
    [event] = calendar(answer.content)
    assert event["location"] == "By phone, on 01 555"
    assert office.owner.name in event["summary"]
    assert event.decoded("dtend") - event.decoded("dtstart") == timedelta(minutes=60)
    assert not re.search(HEALTH, str(event["summary"]).lower())
    assert owner.http.get(f"/api/appointments/{uuid4()}/invitation.ics").status_code == 404


def test_a_practice_opens_before_it_closes(owner):
    settings = {"local_wording": "", "rooms": "Room 2\n\nQuiet room", "open_days": "145"}
    assert owner.http.put("/api/practice", json=settings).status_code == 200
    agenda = owner.http.get("/api/agenda").json()
    assert (agenda["rooms"], agenda["open_days"]) == (["Room 2", "Quiet room"], "145")
    hours = {"opens_at": 600, "closes_at": 600}
    wrong = owner.http.put("/api/practice", json=settings | hours).json()
    assert (wrong["field"], wrong["status"]) == ("closes_at", 422)


def test_anything_is_found_within_the_practice_and_hidden_clients_are_not(
    owner, colleague, stranger, office, client
):
    visit = owner.add("visits", client_id=client).json()["id"]
    owner.add("shelf", **MARROW)
    found = owner.http.get("/api/search", params={"q": "odlie"}).json()
    assert [line["id"] for line in found["clients"]] == [client]
    assert [line["id"] for line in found["visits"]] == [visit]
    found = owner.http.get("/api/search", params={"q": "marrow"}).json()
    assert [line["name"] for line in found["equipment"]] == ["Marrow chair"]
    empty = {"clients": [], "visits": [], "equipment": []}
    assert stranger.http.get("/api/search", params={"q": "odile"}).json() == empty
    access = {"restricted": True, "members": [str(office.owner.id)], "knowing": True}
    owner.http.put(f"/api/restricted/{client}", json=access)
    seen = colleague.http.get("/api/search", params={"q": "odile marrick"}).json()
    assert seen["clients"] == seen["visits"] == []


def test_phrases_are_the_practices_own_and_each_code_is_one(owner, colleague, reader, stranger):
    phrase = owner.add("phrases", code="Agreed", text="Agreed with {client} on {date}.").json()
    assert phrase["code"] == "agreed"
    taken = owner.add("phrases", code="agreed", text="Another.")
    assert taken.json()["detail"] == "Another phrase has this code."
    assert owner.add("phrases", code="two words", text="No.").json()["field"] == "code"
    assert owner.add("phrases", code="empty", text=" ").json()["field"] == "text"
    first = {"code": "agreed", "version": 1}
    changed = colleague.http.put(
        f"/api/phrases/{phrase['id']}", json=first | {"text": "Agreed today."}
    )
    assert changed.json()["version"] == 2
    stale = owner.http.put(f"/api/phrases/{phrase['id']}", json=first | {"text": "Not this."})
    assert stale.json()["current"]["text"] == "Agreed today."
    assert [line["text"] for line in reader.http.get("/api/phrases").json()] == ["Agreed today."]
    assert reader.add("phrases", code="mine", text="No.").status_code == 403
    assert stranger.http.get("/api/phrases").json() == []
    assert stranger.http.delete(f"/api/phrases/{phrase['id']}").status_code == 404
    assert colleague.http.delete(f"/api/phrases/{phrase['id']}").status_code == 204
    assert owner.http.get("/api/phrases").json() == []


def test_two_pages_of_one_visit_see_each_other_and_what_has_changed(
    owner, colleague, stranger, clock
):
    visit, mine, other, theirs = owner.new_visit(), uuid4(), uuid4(), uuid4()

    def pulse(page, page_id):
        return page.http.put(f"/api/visits/{visit}/pages/{page_id}")

    first = pulse(owner, mine).json()
    assert first["others"] == []
    assert pulse(owner, other).json()["others"] == [{"name": owner.member.name, "own": True}]
    assert {page["own"] for page in pulse(colleague, theirs).json()["others"]} == {False}
    assert colleague.type(visit, "look.found.surface", "72").status_code == 200
    there = pulse(owner, mine).json()
    assert there["revision"] > first["revision"]
    assert {(page["name"], page["own"]) for page in there["others"]} == {
        (owner.member.name, True),
        (colleague.member.name, False),
    }
    gone = colleague.http.delete(f"/api/visits/{visit}/pages/{theirs}")
    assert gone.status_code == 204
    assert [page["own"] for page in pulse(owner, mine).json()["others"]] == [True]
    clock.now += timedelta(seconds=7)
    assert pulse(owner, mine).json()["others"] == []
    assert pulse(stranger, uuid4()).status_code == 404


def test_a_page_left_alone_locks_however_often_it_says_that_it_is_there(owner, clock):
    visit, page = owner.new_visit(), uuid4()
    for _ in range(20):
        clock.now += timedelta(minutes=1)
        last = owner.http.put(f"/api/visits/{visit}/pages/{page}")
    assert last.status_code == 401
