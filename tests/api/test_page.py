"""The page's files, and what is said about odd requests."""

import pytest
from fastapi.testclient import TestClient

from gentle_plumb.api import make_app


@pytest.fixture
def served(app, tmp_path):
    (tmp_path / "assets").mkdir()
    (tmp_path / "index.html").write_text("<title>page</title>")
    (tmp_path / "assets" / "app-1a2b.js").write_text("1")
    (tmp_path.parent / "secret.txt").write_text("secret")
    return TestClient(make_app(app.state.services, tmp_path), base_url="https://saltmere.example")


def test_every_place_of_the_page_is_the_page(served):
    for path in ("/", "/clients", "/visits/x/work"):
        answer = served.get(path)
        assert (answer.status_code, answer.headers["cache-control"]) == (200, "no-cache")
        assert "page" in answer.text


def test_named_assets_may_be_kept_for_good(served):
    assert "immutable" in served.get("/assets/app-1a2b.js").headers["cache-control"]


@pytest.mark.parametrize(
    "path", ["/../secret.txt", "/%2e%2e/secret.txt", "/assets/..%2f..%2fsecret.txt"]
)
def test_nothing_outside_the_page_is_served(served, path):
    assert "secret" not in served.get(path).text


def test_an_unknown_address_of_the_api_is_no_page(served):
    answer = served.get("/api/nothing")
    assert (answer.status_code, answer.json()["type"]) == (404, "not-found")


def test_odd_bodies_are_answered_with_the_field(owner):
    for body, field in (
        ({"name": ""}, "name"),
        ({"name": "a\x00b"}, "name"),
        ({"name": "Odile", "sex": "other"}, "sex"),
        ({"name": "Odile", "extra": 1}, "extra"),
    ):
        answer = owner.add("clients", **body)
        assert (answer.status_code, answer.json()["field"]) == (422, field)


def test_a_database_that_is_gone_is_said_and_nothing_breaks(owner, monkeypatch):
    from sqlalchemy.exc import OperationalError

    def gone(*_):
        raise OperationalError("select", {}, Exception("gone"))

    records = owner.app.state.services.visits._records
    monkeypatch.setattr(type(records), "client_names", gone)
    answer = owner.http.get("/api/clients")
    assert (answer.status_code, answer.headers["retry-after"]) == (503, "2")
    assert "Nothing has been lost" in answer.json()["detail"]
