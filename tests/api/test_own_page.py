"""A client's own page: who gets in, what is kept, how it is sorted, and how it arrives."""

import json
import re
from uuid import UUID, uuid4

import pytest

from api.conftest import Page, fill
from api.phones import Client
from conftest import weeks_on
from gentle_plumb.devices import FolderInbox
from gentle_plumb.services.own_page import MailService
from gentle_plumb.storage import SqlOwnPages
from plumb_demo.photographs import Angles, Camera, photograph_side


@pytest.fixture
def visit(owner):
    client = owner.add(
        "clients", name="Odile Marrick", sex="female", email="odile@saltmere.example"
    )
    return owner.add("visits", client_id=client.json()["id"]).json()["id"]


@pytest.fixture
def made(owner, visit):
    return owner.http.post("/api/links", json={"visit_id": visit, "kind": "before"}).json()


@pytest.fixture
def phone(app, made):
    client = Client(app)
    assert client.open(made).status_code == 204
    return client


def check_id(owner, made, round="before"):
    links = owner.http.get(f"/api/clients/{client_of(owner, made)}/links").json()
    return next(
        one["id"]
        for link in links
        if link["id"] == made["link"]["id"]
        for one in link["rounds"]
        if one["round"] == round
    )


def client_of(owner, made):
    return owner.http.get(f"/api/visits/{made['link']['visit_id']}").json()["client"]["id"]


def test_nobody_gets_in_without_the_code_and_tries_are_slowed_down(app, made, clock):
    client = Client(app)
    wrong = [client.open(made, "000000" if made["code"] != "000000" else "1") for _ in range(6)]
    assert [one.status_code for one in wrong] == [401] * 5 + [429]
    clock.pass_by(seconds=60)
    assert client.open(made).status_code == 204
    assert client.http.get("/api/own/page").json()["kind"] == "before"
    assert client.http.get("/api/clients").status_code == 401
    assert Page(app).http.get("/api/own/page").status_code == 401


def test_wrong_codes_of_clients_never_keep_the_colleagues_out(app, made, office):
    """One practice, one network address: each kind of try is counted by itself."""
    client = Client(app)
    codes = []
    for number in range(40):
        made_up = {**made, "url": f"{made['url']}x{number}"}
        codes.append(client.open(made_up, "000000").status_code)
    assert codes[:30] == [401] * 30
    assert codes[30:] == [429] * 10
    assert Page(app).sign_in(office.owner).status_code == 200


def test_a_link_ends_by_its_day_by_being_closed_and_by_a_new_code(owner, app, made, phone, clock):
    again = owner.http.post(f"/api/links/{made['link']['id']}/code").json()
    assert phone.http.get("/api/own/page").status_code == 200  # who is in stays in
    other = Client(app)
    assert other.open(made).status_code == (204 if again["code"] == made["code"] else 401)
    assert other.open(again).status_code == 204
    assert owner.http.delete(f"/api/links/{made['link']['id']}").status_code == 204
    assert [one.http.get("/api/own/page").status_code for one in (phone, other)] == [401, 401]
    assert Client(app).open(again).status_code == 401
    short = {"visit_id": made["link"]["visit_id"], "kind": "before", "days": 2}
    refused = owner.http.post("/api/links", json={**short, "days": 400}).json()
    assert (refused["field"], refused["high"], refused["unit"]) == ("days", 120, "days")
    ends = owner.http.post("/api/links", json=short).json()
    late = Client(app)
    late.open(ends)
    clock.pass_by(days=2)
    assert Client(app).open(ends).status_code == 204
    clock.pass_by(days=1)
    assert Client(app).open(ends).status_code == 401


def test_links_are_of_their_practice_and_not_for_readers(made, reader, stranger):
    link = f"/api/links/{made['link']['id']}"
    assert stranger.http.delete(link).status_code == 404
    assert stranger.http.post(f"{link}/code").status_code == 404
    assert stranger.http.post(f"{link}/mail").status_code == 404
    body = {"visit_id": made["link"]["visit_id"], "kind": "before"}
    assert stranger.http.post("/api/links", json=body).status_code == 404
    for way in (reader.http.post("/api/links", json=body), reader.http.delete(link)):
        assert way.status_code == 403


def test_nothing_is_kept_before_the_client_agrees_and_all_goes_when_they_take_it_back(
    owner, made, phone
):
    assert phone.answer("reason", "Neck by noon").json()["type"] == "needs-consent"
    assert phone.agree().status_code == 204
    assert phone.answer("reason", "Neck by noon").status_code == 200
    check = check_id(owner, made)
    assert owner.http.get(f"/api/checks/{check}").json()["answers"][0]["answer"] == "Neck by noon"
    assert phone.agree(yes=False).status_code == 204
    assert owner.http.get(f"/api/checks/{check}").json()["answers"] == []


def test_an_answer_that_can_not_be_read_names_its_range_and_the_last_one_counts(phone):
    phone.agree()
    refused = phone.answer("popliteal_height.first", "4.6").json()
    assert (refused["low"], refused["high"], refused["unit"]) == (190, 650, "mm")
    assert phone.answer("felt.low_back", "12").status_code == 422
    assert phone.answer("station.feet", "perhaps").json()["field"] == "station.feet"
    assert phone.answer("nonsense", "1").status_code == 404
    for typed in ("44", "17 in", "44.5"):
        assert phone.answer("popliteal_height.first", typed).status_code == 200
    sheet = phone.http.get("/api/own/rounds/before").json()
    assert {one["id"]: one["typed"] for one in sheet["questions"] if one["typed"]} == {
        "popliteal_height.first": "44.5 cm"
    }


def test_lengths_that_do_not_go_together_are_asked_about(phone):
    phone.agree()
    for question, typed in (
        ("stature.first", "171"),
        ("stature.second", "171.4"),
        ("popliteal_height.first", "44"),
        ("popliteal_height.second", "47"),
        ("eye_height_sitting.first", "62"),
        ("eye_height_sitting.second", "62"),
    ):
        phone.answer(question, typed)
    doubts = {one["dimension"]: one for one in phone.http.get("/api/own/doubts").json()}
    assert doubts["popliteal_height"]["apart"] == "3.0\xa0cm"
    assert doubts["eye_height_sitting"]["why"] == "others"
    assert doubts["eye_height_sitting"]["low"] > "62"


def test_answers_are_sorted_with_what_decided_and_the_practitioner_decides(owner, made, phone):
    phone.agree()
    phone.all_signs(calf="yes")
    phone.answer("felt.nape", "5")
    assert owner.http.get("/api/checks").json() == []
    assert phone.send().status_code == 204
    assert phone.answer("felt.nape", "2").status_code == 403
    [waiting] = owner.http.get("/api/checks").json()
    assert (waiting["level"], waiting["client"]) == ("same_day", "Odile Marrick")
    seen = owner.http.get(f"/api/checks/{waiting['id']}").json()
    assert seen["reasons"][0]["answers"] == ["Hot, swollen or painful calf: Yes"]
    assert [one["level"] for one in seen["reasons"]] == ["same_day", "call"]
    decision = {"level": "call", "note": "Rang at ten, seen by her doctor today."}
    path = f"/api/checks/{waiting['id']}/decision"
    assert owner.http.put(path, json=decision).status_code == 204
    seen = owner.http.get(f"/api/checks/{waiting['id']}").json()
    assert (seen["decided"], seen["level"]) == ("call", "same_day")
    assert owner.http.get("/api/checks").json() == []


def test_answers_arrive_marked_and_overwrite_nothing(owner, made, phone, visit):
    phone.agree()
    phone.all_signs()
    for question, typed in (
        ("felt.nape", "5"),
        ("hours.typing", "4"),
        ("mouse_hand", "left"),
        ("popliteal_height.first", "44"),
        ("popliteal_height.second", "44.2"),
        ("stature.first", "171"),
        ("station.feet", "no"),
    ):
        assert phone.answer(question, typed).status_code == 200
    check = check_id(owner, made)
    take = f"/api/checks/{check}/take-over"
    assert owner.http.post(take, json={"visit_id": visit}).json()["type"] == "not-ready"
    phone.send()
    owner.type(visit, "ask.hours.typing", "2")
    owner.type(visit, "measure.stature.second", "170")
    taken = owner.http.post(take, json={"visit_id": visit}).json()
    assert taken["kept"] == ["Typing", "First reading"]
    entries = owner.http.get(f"/api/visits/{visit}").json()["entries"]
    assert entries["ask.hours.typing"]["typed"] == "2"
    assert not entries["ask.hours.typing"]["self_reported"]
    assert entries["ask.discomfort.nape"]["self_reported"]
    assert entries["measure.popliteal_height.origin"]["value"] == "self_measured"
    assert "measure.stature.first" not in entries
    again = owner.http.post(take, json={"visit_id": visit}).json()
    assert again["taken"] == 0
    owner.type(visit, "ask.discomfort.nape", "4", version=1)
    entries = owner.http.get(f"/api/visits/{visit}").json()["entries"]
    assert not entries["ask.discomfort.nape"]["self_reported"]  # the practitioner's word now
    other = owner.new_visit("Somebody else")
    assert owner.http.post(take, json={"visit_id": other}).status_code == 404


def test_a_visit_that_refused_health_notes_takes_nothing(owner, made, phone, visit):
    phone.agree()
    phone.answer("reason", "Neck")
    phone.send()
    owner.type(visit, "ask.consent.notes", "no")
    take = f"/api/checks/{check_id(owner, made)}/take-over"
    assert owner.http.post(take, json={"visit_id": visit}).json()["type"] == "needs-consent"
    assert owner.http.get(f"/api/checks/{check_id(owner, made)}").json()["answers"] == []


def picture():
    return photograph_side(Angles(), Camera()).jpeg


def test_two_photographs_come_with_consent_and_go_with_it(owner, phone, visit):
    send = f"/api/own/photos/{uuid4()}?view=side"
    refused = phone.http.put(send, content=picture())
    assert refused.json()["type"] == "needs-consent"
    assert phone.agree("photographs").status_code == 204
    assert phone.http.put(send, content=picture()).status_code == 204
    assert phone.http.put(send, content=picture()).status_code == 204
    assert phone.http.put(f"/api/own/photos/{uuid4()}?view=rear", content=b"no").status_code == 422
    opened = owner.http.get(f"/api/visits/{visit}").json()
    assert [one["added_by"] for one in opened["photos"]] == ["Odile Marrick (own page)"]
    assert opened["entries"]["ask.consent.photographs"]["self_reported"]
    assert phone.http.get("/api/own/page").json()["photos"] == ["side"]
    phone.agree("photographs", yes=False)
    assert owner.http.get(f"/api/visits/{visit}").json()["photos"] == []


@pytest.fixture
def after(owner, clock):
    """A link to look things up, of a signed visit."""
    client = owner.add("clients", name="Bram", sex="male", email="bram@saltmere.example").json()
    visit = owner.add("visits", client_id=client["id"]).json()["id"]
    fill(owner, visit, "Bram", **{"report.follow_up": weeks_on(clock)})
    assert owner.sign(visit).status_code in (200, 201)
    return owner.http.post("/api/links", json={"visit_id": visit, "kind": "after"}).json()


def test_after_the_visit_the_page_holds_numbers_and_no_cause(owner, office, app, after, clock):
    phone = Client(app)
    phone.open(after)
    page = phone.http.get("/api/own/page").json()
    assert [one["due_on"] > page["today"] for one in page["rounds"]] == [True] * 3
    assert {"seat", "surface"} <= {one["key"] for one in page["own_numbers"]["numbers"]}
    assert [bool(one["marks"]) for one in page["own_numbers"]["drawings"]] == [True, True]
    assert set(page["own_numbers"]) == {
        *("visited", "numbers", "drawings", "temporary", "day", "movements", "movement_rules"),
        *("stop", "cautions"),
    }
    assert phone.http.get("/api/own/rounds/week_1").status_code == 404
    clock.pass_by(days=7)
    phone.open(after)
    sheet = phone.http.get("/api/own/rounds/week_1").json()
    asked = {one["id"]: one for one in sheet["questions"]}
    assert {"still.seat", "still.surface", "tape.seat", "worse", "sign.saddle"} <= set(asked)
    phone.agree()
    phone.all_signs("week_1")
    phone.answer("still.seat", "no", "week_1")
    phone.send("week_1")
    owner.sign_in(office.owner)
    [waiting] = owner.http.get("/api/checks").json()
    assert (waiting["round"], waiting["level"]) == ("week_1", "call")


def mails(owner, made):
    [link] = [
        one
        for one in owner.http.get(f"/api/clients/{client_of(owner, made)}/links").json()
        if one["id"] == made["link"]["id"]
    ]
    return link["mails"]


def test_mail_holds_the_link_alone_is_tried_again_and_comes_once(
    owner, made, engine, deliver, mail_out, mail_server, mail_folder, clock
):
    mail_server.busy = 2
    send = f"/api/links/{made['link']['id']}/mail"
    assert owner.http.post(send).status_code == 202
    for _ in range(4):
        deliver()
    inbox = [letter for letter in FolderInbox(mail_folder).letters() if made["url"] in letter.text]
    assert len(inbox) == 1
    [sent] = mails(owner, made)
    assert (sent["state"], sent["tries"]) == ("sent", 3)
    assert inbox[0].to == "odile@saltmere.example"
    assert made["code"] not in inbox[0].text
    words = f"{inbox[0].subject} {inbox[0].text}".lower()
    assert not re.search(
        "odile|pain|health|sign|discomfort|assessment", words.replace(made["url"].lower(), "")
    )
    MailService(SqlOwnPages(engine), mail_out, clock).deliver(UUID(sent["id"]))
    assert len(FolderInbox(mail_folder).letters()) == 1


def test_mail_that_will_never_be_taken_is_told_and_a_closed_link_sends_none(
    owner, deliver, mail_folder, clock
):
    client = owner.add("clients", name="Nils", email="nobody@saltmere.example").json()
    visit = owner.add("visits", client_id=client["id"]).json()["id"]
    made = owner.http.post("/api/links", json={"visit_id": visit, "kind": "before"}).json()
    owner.http.post(f"/api/links/{made['link']['id']}/mail")
    deliver()
    assert [(mail["state"], mail["tries"]) for mail in mails(owner, made)] == [("failed", 1)]
    owner.http.post(f"/api/links/{made['link']['id']}/mail")
    owner.http.delete(f"/api/links/{made['link']['id']}")
    deliver()
    assert sorted(mail["state"] for mail in mails(owner, made)) == ["dropped", "failed"]
    none = owner.add("clients", name="Nobody’s").json()
    visit = owner.add("visits", client_id=none["id"]).json()["id"]
    made = owner.http.post("/api/links", json={"visit_id": visit, "kind": "before"}).json()
    refused = owner.http.post(f"/api/links/{made['link']['id']}/mail").json()
    assert refused["missing"][0]["field"] == "email"


def test_checks_are_asked_for_on_their_day_and_not_once_they_are_sent(owner, app, after, clock):
    send = f"/api/links/{after['link']['id']}/mail"
    owner.http.post(send)
    due = sorted(mail["due_at"][:10] for mail in mails(owner, after) if mail["kind"] == "check")
    rounds = [one["due_on"] for one in after["link"]["rounds"]]
    assert due == rounds
    owner.http.post(send)  # the link again, the checks as they were
    assert len(mails(owner, after)) == 5


def test_a_language_is_added_by_a_file_and_whole_with_english(owner, app, made, reader):
    english = owner.http.get("/api/languages/en.json").json()
    mine = {
        "language": "ar",
        "name": "العربية",
        "direction": "rtl",
        "messages": {"page.next": "التالي", "page.step": "{at} من {all}"},
    }
    put = lambda page, held: page.http.put("/api/languages", content=json.dumps(held))  # noqa: E731
    assert put(reader, mine).status_code == 403
    bad = {**mine, "messages": {"page.step": "من", "nonsense": "x"}}
    assert {one["field"] for one in put(owner, bad).json()["lines"]} == {"page.step", "nonsense"}
    assert put(owner, mine).json()["open"] == len(english["messages"]) - 2
    body = {"visit_id": made["link"]["visit_id"], "kind": "before", "language": "ar"}
    link = owner.http.post("/api/links", json=body).json()
    phone = Client(app)
    phone.open(link)
    page = phone.http.get("/api/own/page").json()
    assert (page["messages"]["page.next"], page["language"]) == ("التالي", "ar")
    assert page["messages"]["page.back"] == english["messages"]["page.back"]
    assert owner.http.delete("/api/languages/ar").status_code == 204
    assert phone.http.get("/api/own/page").json()["language"] == "en"
    listed = [(one["language"], one["built_in"]) for one in owner.http.get("/api/languages").json()]
    assert listed == [("en", True), ("de", True), ("es", True)]
    german = phone.http.get("/api/own/page", params={"language": "de"}).json()
    assert (german["language"], german["messages"]["page.next"]) == ("de", "Weiter")


def test_one_line_of_time(owner, made, phone, after):
    phone.agree()
    phone.all_signs()
    phone.send()
    kinds = [
        one["kind"]
        for one in owner.http.get(f"/api/clients/{client_of(owner, made)}/history").json()["events"]
    ]
    assert set(kinds) == {"visit", "link", "opened", "answers"}
    history = owner.http.get(f"/api/clients/{client_of(owner, after)}/history").json()
    assert {"visit", "signed", "consent", "link"} <= {one["kind"] for one in history["events"]}
    seat = next(one for one in history["body"] if one["label"] == "Popliteal height")
    assert seat["values"][0].endswith("cm")
