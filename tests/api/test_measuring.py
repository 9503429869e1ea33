"""Measuring over the wire: choices, instruments, lists, tables, files, and who may."""

import json
from uuid import uuid4

import pytest

TABLE = "dimension,sex,mean_mm,sd_mm\nstature,female,1640,60\n"


@pytest.fixture
def visit(owner):
    return owner.new_visit()


def measured(page, visit, name, **query):
    return next(one for one in page.worked(visit, **query)["measured"] if one["dimension"] == name)


def test_an_unclear_length_is_asked_about_and_nothing_is_kept(owner, visit):
    answer = owner.type(visit, "measure.popliteal_height.first", "462")
    problem = answer.json()
    assert (answer.status_code, problem["choices"], problem["unit"]) == (422, ["462 mm"], "mm")
    assert (problem["field"], problem["value"], problem["low"], problem["high"]) == (
        "measure.popliteal_height.first",
        "462",
        190,
        650,
    )
    moved = owner.type(visit, "measure.eye_height_sitting.first", "150").json()
    assert moved["belongs"] == "measure.eye_height_standing.first"
    kept = owner.type(visit, "measure.popliteal_height.first", problem["choices"][0]).json()[
        "entry"
    ]
    assert (kept["value"], kept["typed"]) == (462, "462 mm")


def test_a_doubt_comes_with_its_way_out_and_taking_it_settles_it(owner, visit):
    for path, typed in (("stature", "161"), ("thigh_clearance", "6.1")):
        for which in ("first", "second"):
            owner.type(visit, f"measure.{path}.{which}", typed)
    doubt = measured(owner, visit, "thigh_clearance")["doubts"][0]
    assert doubt["way_out"] == "Make it 6.1 in"
    for fix in doubt["fixes"]:
        assert owner.type(visit, fix["path"], fix["typed"], version=1).status_code == 200
    view = measured(owner, visit, "thigh_clearance", unit="in")
    assert (view["doubts"], view["value"], view["by"]) == ([], "6.10", "mean of two")


def test_the_drawing_turns_to_the_pose_and_what_to_measure_again_is_ranked(owner, visit):
    owner.type(visit, "measure.stature.first", "161")
    owner.type(visit, "ask.shoe_seated", "2")
    worked = owner.worked(visit, layer="measuring", tape="hip_breadth_sitting")
    captions = [mark["text"] for mark in worked["scene"]["marks"] if mark["role"] == "caption"]
    assert captions == ["Seated, from behind"]
    again = worked["again"]
    assert again[0]["label"] == "Arm length"
    assert again[0]["says"][0].startswith("Eye to screen, seated: ± ")
    assert not again[0]["measured"]


def test_instruments_answer_fail_and_are_set(owner, visit, tape):
    found = {one["id"]: one for one in owner.http.get("/api/instruments").json()}
    assert (found["tape"]["unit"], found["tape"]["battery"]) == ("cm", 88)
    assert "No height rod connected" in found["rod"]["trouble"]
    where = f"/api/visits/{visit}/instruments/tape/readings"
    typed = owner.http.post(where, json={"dimension": "stature"}).json()["typed"]
    assert owner.type(visit, "measure.stature.first", typed).status_code == 200
    assert owner.http.put("/api/instruments/tape", json={"unit": "in"}).json()["unit"] == "in"
    assert owner.http.post(where, json={"dimension": "stature"}).json()["typed"].endswith(" in")
    tape.answer(b"FAULT drop\n")
    dropped = owner.http.post(where, json={"dimension": "stature"})
    assert (dropped.status_code, dropped.json()["type"]) == (503, "no-answer")
    assert owner.http.post(where, json={"dimension": "wingspan"}).status_code == 422
    assert (
        owner.http.post(where.replace("tape", "laser"), json={"dimension": "stature"}).status_code
        == 422
    )


def test_lists_and_tables_over_the_wire(owner, office, app):
    lists = "/api/measuring/lists"
    once = {"id": str(uuid4()), "name": "Counter", "dimensions": ["stature", "hand_length"]}
    made, again = (owner.http.post(lists, json=once) for _ in range(2))
    assert made.json() == again.json()
    assert (made.status_code, made.json()["dimensions"]) == (201, ["hand_length", "stature"])
    id, body = made.json()["id"], {"name": "Counter 2", "dimensions": ["stature"], "version": 1}
    assert owner.http.put(f"{lists}/{id}", json=body).json()["version"] == 2
    stale = owner.http.put(f"{lists}/{id}", json=body)
    assert (stale.status_code, stale.json()["current"]["name"]) == (409, "Counter 2")
    assert owner.add("measuring/lists", name="x", dimensions=[]).status_code == 422
    tables = "/api/measuring/tables"
    given = {"name": "Staff", "origin": "made up", "text": TABLE}
    assert owner.add("measuring/tables", **given).json()["lines"] == 1
    bad = owner.add(
        "measuring/tables", **{**given, "name": "Bad", "text": TABLE.replace("60", "9000")}
    )
    assert (bad.status_code, bad.json()["lines"][0]["field"]) == (422, "sd_mm")
    assert [one["name"] for one in owner.http.get(tables).json()] == ["Staff"]
    for path in (f"{lists}/{id}", f"{tables}/{owner.http.get(tables).json()[0]['id']}"):
        assert owner.http.delete(path).status_code == 204
    back = owner.http.post(lists, json={**once, "id": id})  # undone: the same again under its id
    assert (back.status_code, back.json()["id"]) == (201, id)


@pytest.mark.parametrize("format", ["csv_readings", "csv_clients", "json", "fhir"])
def test_a_file_goes_out_is_looked_at_and_comes_in(owner, visit, format):
    for which in ("first", "second"):
        owner.type(visit, f"measure.stature.{which}", "166.2")
    out = owner.http.get("/api/exchange", params={"format": format})
    assert "attachment" in out.headers["Content-Disposition"]
    look = owner.http.post("/api/exchange/preview", content=out.content).json()
    assert (look["troubles"], look["understood"][0]["new"]) == ([], 0)
    put = owner.http.post("/api/exchange", content=out.content)
    assert put.status_code == 201
    assert owner.http.get("/api/exchange", params={"format": format}).content == out.content


def test_a_broken_file_is_refused_with_every_line(owner, visit):
    owner.type(visit, "measure.stature.first", "166.2")
    raw = owner.http.get("/api/exchange", params={"format": "json"}).json()
    raw["sheets"][0]["dimensions"]["stature"]["first"] = "16 cm"
    raw["sheets"][0]["client_id"] = raw["sheets"][0]["visit_id"] = "elsewhere"
    refused = owner.http.post("/api/exchange", content=json.dumps(raw).encode())
    assert refused.status_code == 422
    assert (
        refused.json()["lines"]
        == [
            {
                "line": "sheet 1",
                "field": "stature.first",
                "reason": "Stature, first reading: 16 mm is outside 1120 to 2240 mm. Perhaps 16 cm?",
            }
        ]
        or "outside" in refused.json()["lines"][0]["reason"]
    )
    assert len(owner.http.get("/api/clients").json()) == 1
    assert owner.http.post("/api/exchange/preview", content=b"\x00").json()["troubles"]


def test_the_drill_needs_nobodys_record(owner):
    posed = owner.http.get("/api/drill/7").json()
    said = owner.http.get("/api/drill/7/verdict", params={"choice": "keep"}).json()
    assert said["answer"] in ("keep", "repeat", "question")
    right = owner.http.get("/api/drill/7/verdict", params={"choice": said["answer"]}).json()
    assert right["points"] == 1
    assert posed["label"]
    assert owner.http.get("/api/drill/7").json() == posed
    truth = right["reason"].rsplit("It was ", 1)[-1].removesuffix(".")
    shown = {mark["text"] for mark in posed["scene"]["marks"] if mark["kind"] == "text"}
    assert truth not in shown


def test_the_drill_of_setting_up_tells_the_answer_only_once_one_is_given(owner):
    posed = owner.http.get("/api/drill/set-up/3").json()
    assert set(posed) == {"number", "kind", "question", "options", "scene"}
    said = owner.http.get("/api/drill/set-up/3/verdict", params={"given": 0}).json()
    right = owner.http.get("/api/drill/set-up/3/verdict", params={"given": said["right"]}).json()
    assert (right["points"], bool(right["reason"])) == (1, True)
    beyond = owner.http.get("/api/drill/set-up/3/verdict", params={"given": 9})
    assert (beyond.status_code, beyond.json()["field"]) == (422, "given")


def test_the_tape_reads_a_piece_as_it_was_set(owner, visit):
    where = f"/api/visits/{visit}/instruments/tape/readings"
    read = owner.http.post(where, json={"dimension": "surface", "near": 655}).json()
    amount, unit = read["typed"].split()
    assert abs(float(amount) * {"mm": 1, "cm": 10, "in": 25.4}[unit] - 655) < 15
    wrong = owner.http.post(where, json={"dimension": "no_such", "near": 655})
    assert (wrong.status_code, wrong.json()["field"]) == (422, "piece")


def test_readers_look_and_strangers_do_not(owner, visit, guest, app, office, engine):
    from api.conftest import Page

    owner.type(visit, "measure.stature.first", "166.2")
    reader, stranger = Page(app), Page(app)
    reader.sign_in(office.reader)
    for call in (
        reader.http.get("/api/exchange", params={"format": "json"}),
        reader.http.post("/api/exchange/preview", content=b"{}"),
        reader.http.post("/api/exchange", content=b"{}"),
        reader.add("measuring/lists", name="x", dimensions=["stature"]),
        reader.http.put("/api/instruments/tape", json={"unit": "in"}),
        reader.http.post(
            f"/api/visits/{visit}/instruments/tape/readings", json={"dimension": "stature"}
        ),
    ):
        assert call.status_code == 403
    for path in (
        "exchange?format=json",
        "measuring/lists",
        "measuring/precision",
        "instruments",
        "drill/1",
        "drill/set-up/1",
    ):
        assert stranger.http.get(f"/api/{path}").status_code == 401
    from conftest import make_office
    from gentle_plumb.storage import SqlAccounts

    elsewhere = make_office(SqlAccounts(engine))
    stranger.sign_in(elsewhere.owner)
    assert stranger.http.get("/api/exchange", params={"format": "json"}).json()["sheets"] == []
    where = f"/api/visits/{visit}/instruments/tape/readings"
    assert stranger.http.post(where, json={"dimension": "stature"}).status_code == 404
    assert (
        stranger.http.put(
            f"/api/measuring/lists/{uuid4()}",
            json={"name": "x", "dimensions": ["stature"], "version": 1},
        ).status_code
        == 404
    )
