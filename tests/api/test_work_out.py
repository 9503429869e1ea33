"""Practice defaults, plans and trying things out, over the wire and on PostgreSQL."""

import json

import pytest

from api.conftest import fill, rows


def test_a_visit_begins_with_what_the_practice_has_chosen_and_stays_with_it(owner):
    body = {"name": "Square elbows", "choices": {"elbow": "square"}, "is_default": True}
    made = owner.add("policies", **body)
    assert made.status_code == 201
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    assert owner.worked(visit)["bundle"] == {"elbow": "square"}
    changed = owner.http.put(
        f"/api/policies/{made.json()['id']}", json={**body, "choices": {}, "version": 1}
    )
    assert changed.json()["version"] == 2
    stale = owner.http.put(f"/api/policies/{made.json()['id']}", json={**body, "version": 1})
    assert (stale.status_code, stale.json()["current"]["version"]) == (409, 2)
    assert owner.worked(visit)["bundle"] == {"elbow": "square"}
    assert owner.worked(owner.new_visit("Bram Ellerby"))["bundle"] == {}
    owner.type(visit, "work.policy.elbow", "never_under")
    worked = owner.worked(visit)
    assert worked["bundle"] == {"elbow": "never_under"}
    chosen = {row["question"]: row for row in rows(worked)["seated.surface"]["about"]["chosen"]}
    assert (chosen["elbow"]["position"], chosen["elbow"]["usual"]) == (
        "Never under 90, target 100",
        False,
    )


@pytest.mark.parametrize(
    "choices", [{"elbow": "bent"}, {"knees": "level"}, {"standing.lumbar": "belt"}]
)
def test_a_bundle_of_what_there_is_not_is_refused_by_name(owner, choices):
    refused = owner.add("policies", name="Odd", choices=choices)
    assert refused.status_code == 422
    assert next(iter(choices)) in refused.json()["field"] + refused.json()["detail"]


def test_readers_and_strangers_change_no_house_rules(owner, reader, stranger):
    made = owner.add("policies", name="House", choices={}).json()
    assert reader.add("policies", name="Mine", choices={}).status_code == 403
    assert [one["name"] for one in reader.http.get("/api/policies").json()["bundles"]] == ["House"]
    assert stranger.http.get("/api/policies").json()["bundles"] == []
    assert stranger.http.delete(f"/api/policies/{made['id']}").status_code == 404


def test_a_plan_of_ones_own_is_ticked_priced_and_taken(owner, reader):
    me = owner.http.get("/api/me").json()
    practice = {name: me[name] for name in ("time_zone", "local_wording")} | {"date_order": "mdy"}
    sums = {"price_small": 60, "price_medium": 450, "currency": "EUR"}
    assert reader.http.put("/api/practice", json=practice | sums).status_code == 403
    refused = owner.http.put("/api/practice", json=practice | {"price_small": -1})
    assert (refused.status_code, refused.json()["field"]) == (422, "price_small")
    kept = owner.http.put("/api/practice", json=practice | sums).json()
    assert (kept["price_small"], kept["date_order"]) == (60, "mdy")
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    bare = owner.worked(visit, plans=True)
    keys = [one["key"] for one in bare["offers"] if one["slot"] in ("Chair", "Paper")][:1]
    assert bare["plan"] == "room"
    for path, typed in {
        **{f"work.own_plan.{key}.taken": "yes" for key in keys},
        "work.own_plan.holder.taken": "yes",
        "work.budget": "50",
        "work.plan": "own",
    }.items():
        owner.type(visit, path, typed)
    worked = owner.worked(visit, plans=True)
    mine = next(one for one in worked["plans"] if one["id"] == "own")
    assert {one["key"] for one in mine["added"]} == {*keys, "holder"}
    assert mine["cost"].endswith("\u00a0EUR")
    assert mine["over_budget"].endswith("over budget")
    added = [one["id"] for one in worked["actions"] if one["kind"] == "add"]
    assert "add.holder" in added  # Set, report and card follow it


def test_a_further_place_is_worked_out_by_itself_and_stands_in_the_one_report(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    for path, typed in {
        "place.main.use": "sit",
        "place.2.use": "stand",
        "place.2.name": "Counter by the door",
        "place.2.look.desk.kind": "counter",
        "place.2.look.found.surface": "92",
        "place.2.look.keyboard.thickness": "2",
        "place.2.look.screen.kind": "laptop",
        "place.2.look.screen.keys": "own",
    }.items():
        assert owner.type(visit, path, typed).status_code == 200, path
    main, there = owner.worked(visit), owner.worked(visit, place="2")
    assert [one["name"] for one in main["places"]] == ["Place 1", "Counter by the door"]
    assert (there["seated_possible"], there["standing_possible"]) == (False, True)
    assert "standing.surface" in rows(there)
    assert not [row for row in there["rows"] if row["posture"] == "seated"]
    assert owner.http.get(f"/api/visits/{visit}/results", params={"place": "9"}).status_code == 422
    given = owner.http.get(f"/api/visits/{visit}/input", params={"place": "2"}).json()
    assert given["values"]["look.desk.kind"] == "counter"
    body = {"overrides": {"work.standing.surface": "95"}, "place": "2"}
    tried = owner.http.post(f"/api/visits/{visit}/what-if", json=body).json()
    moved = next(row for row in tried["rows"] if row["key"] == "surface")
    assert moved["posture"] == "standing"
    paper = owner.http.get(f"/api/visits/{visit}/report").json()["content"]
    (counter,) = paper["record"]["places"]
    assert counter["name"] == "Counter by the door"
    assert any(words.startswith("Surface: ") for words in counter["moves"])
    (shared,) = paper["workplace"]["places"]
    assert (shared["name"], shared["actions"]) == ("Workplace 2", [])  # no words of anybody's own
    pdf = owner.http.get(f"/api/visits/{visit}/report.pdf")
    assert pdf.content.startswith(b"%PDF")


def test_every_target_says_where_it_is_from(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    worked = rows(owner.worked(visit))
    for row in worked.values():
        if row["target"] is not None:
            assert row["about"]["source"]
            assert row["terms"]
    seat = worked["seated.seat"]["about"]
    assert [one["dimension"] for one in seat["inputs"]] == ["popliteal_height"]
    assert seat["inputs"][0]["origin"] == "measured today"
    assert worked["seated.seat"]["chance"] is not None


def test_trying_keeps_nothing_and_says_what_moved(owner, stranger):
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    before = owner.worked(visit)
    body = {
        "overrides": {
            "work.seated.seat": "48",
            "work.policy.elbow": "square",
            "work.seated.distance": "far away",
        },
        "plans": True,
    }
    tried = owner.http.post(f"/api/visits/{visit}/what-if", json=body).json()
    moved = {one["id"]: one for one in tried["setting_changes"] if one["posture"] == "seated"}
    assert (moved["seat"]["after"], moved["seat"]["unit"]) == ("48.0", "cm")
    assert [one["field"] for one in tried["troubles"]] == ["work.seated.distance"]
    assert "far away" in tried["troubles"][0]["detail"]
    assert len(tried["plans"]) == 3
    assert owner.worked(visit)["rows"] == before["rows"]
    assert stranger.http.post(f"/api/visits/{visit}/what-if", json=body).status_code == 404
    assert stranger.http.get(f"/api/visits/{visit}/input").status_code == 404


def test_back_to_found_and_one_laid_over_the_other(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    found = owner.http.post(
        f"/api/visits/{visit}/what-if", json={"overrides": {}, "found": True}
    ).json()
    for row in found["rows"]:
        if (
            row["posture"] == "seated"
            and row["found"]
            and row["key"] in ("seat", "surface", "mouse")
        ):
            assert row["setting"] == row["found"]
    compared = {
        "overrides": {"work.policy.screen_height": "middle_third"},
        "against": {"work.policy.screen_height": "gaze_drop"},
        "behind": True,
    }
    laid = owner.http.post(f"/api/visits/{visit}/what-if", json=compared).json()
    top = next(one for one in laid["setting_changes"] if one["id"] == "screen_top")
    assert top["by"].startswith("up ")
    assert any(one["id"] == "joint.neck" and one["unit"] == "°" for one in laid["setting_changes"])
    assert any(mark["role"].startswith("ghost") for mark in laid["scene"]["marks"])


def test_a_plan_is_chosen_and_the_targets_follow(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Yara")
    worked = owner.worked(visit, plans=True)
    assert [one["id"] for one in worked["plans"]] == ["room", "little", "lasting"]
    assert worked["plans"][0]["temporary"]  # reams under the feet
    assert worked["fixes"]
    owner.type(visit, "work.plan", "lasting")
    after = owner.worked(visit, plans=True)
    assert after["plan"] == "lasting"
    assert rows(after)["seated.seat"]["setting"] != rows(worked)["seated.seat"]["setting"]
    assert owner.worked(visit)["plans"] == []


def test_an_own_number_keeps_the_computed_one(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    computed = rows(owner.worked(visit))["seated.seat"]["setting"]
    owner.type(visit, "work.seated.seat", "48")
    row = rows(owner.worked(visit))["seated.seat"]
    assert (row["setting"], row["computed"], row["overruled"]) == ("48.0", computed, True)


def test_the_best_stack_of_what_is_at_hand(owner):
    visit = owner.new_visit()
    fill(owner, visit, "Yara")
    ask = f"/api/visits/{visit}/stack"
    found = owner.http.post(ask, json={"wanted": "11", "use": "screen"}).json()
    assert (found["text"], found["short"]) == ("2 × ream of paper", "short by 1.0")
    refused = owner.http.post(ask, json={"wanted": "2 m", "use": "feet"})
    assert (refused.status_code, refused.json()["field"]) == (422, "wanted")


def test_what_the_page_begins_with_comes_to_the_same_as_the_server(owner):
    from gentle_plumb.core.what_if import JsonWhatIfSession

    visit = owner.new_visit()
    fill(owner, visit, "Odile")
    given = owner.http.get(f"/api/visits/{visit}/input").json()
    body = {
        "overrides": {"work.seated.surface": "70"},
        "unit": "cm",
        "against": None,
        "behind": False,
        "plans": True,
        "found": False,
        "scene": {"width": 860, "height": 700, "mode": "both", "show": "target", "unit": "cm"},
    }
    mine = json.loads(JsonWhatIfSession(json.dumps(given)).try_out(json.dumps(body)))
    assert mine == owner.http.post(f"/api/visits/{visit}/what-if", json=body).json()
