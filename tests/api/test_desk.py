"""The electric desk over the API: it moves while it is told to, refuses with words, and reads its keys back."""

import pytest


def hold(page, target):
    return page.http.post("/api/desk/hold", json={"target": target})


def test_it_moves_only_while_the_button_is_held(owner, electric_desk):
    assert owner.http.get("/api/desk").json() == {"low": 580, "high": 1250, "presets": 4, "at": 720}
    assert hold(owner, 1050).json() == {"at": 720, "moving": True}
    for _ in range(5):
        electric_desk.now += 0.2
        hold(owner, 1050)
    assert hold(owner, 1050).json()["at"] == 755  # a second at 35 mm
    electric_desk.now += 60  # let go: half a second more, and it stands
    assert owner.http.get("/api/desk").json()["at"] == pytest.approx(772, abs=1)
    electric_desk.now += 60
    assert owner.http.get("/api/desk").json()["at"] == pytest.approx(772, abs=1)
    assert owner.http.post("/api/desk/stop").json()["moving"] is False


def test_it_stops_at_once_and_arrives_exactly(owner, electric_desk):
    hold(owner, 1050)
    electric_desk.now += 0.2
    at = owner.http.post("/api/desk/stop").json()["at"]
    electric_desk.now += 5
    assert owner.http.get("/api/desk").json()["at"] == at
    for _ in range(20):
        hold(owner, 740)
        electric_desk.now += 0.2
    assert hold(owner, 740).json() == {"at": 740, "moving": False}


def test_a_collision_in_the_middle_of_a_move_is_refused_until_it_is_stopped(owner, electric_desk):
    electric_desk.answer(b"FAULT collision")
    for _ in range(20):
        last = hold(owner, 1050)
        electric_desk.now += 0.2
    assert last.status_code == 503
    assert "hit something at 78" in last.json()["detail"]
    assert "cm. Clear the area" in last.json()["detail"]
    assert hold(owner, 1050).status_code == 503
    at = owner.http.post("/api/desk/stop").json()["at"]
    assert 755 <= at <= 768  # it went back
    assert hold(owner, 1050).json()["moving"] is True


@pytest.mark.parametrize(
    ("fault", "words"), [(b"FAULT drop", "disconnected"), (b"FAULT stuck", "motor does not turn")]
)
def test_what_goes_wrong_is_said(owner, electric_desk, fault, words):
    electric_desk.answer(fault)
    refused = hold(owner, 900)
    assert (refused.status_code, words in refused.json()["detail"]) == (503, True)
    assert hold(owner, 900).is_success


def test_a_key_is_saved_and_read_back(owner, reader, electric_desk):
    assert owner.http.put("/api/desk/presets/2").json() == {"key": 2, "held": 720}
    assert electric_desk.answer(b"PRESET 2") == b"PRESET 2 720\n"
    assert "1 to 4" in owner.http.put("/api/desk/presets/9").json()["detail"]
    assert hold(owner, 1300).status_code == 503
    assert hold(owner, 100).status_code == 422
    assert reader.http.get("/api/desk").status_code == 403
    assert hold(reader, 800).status_code == 403
