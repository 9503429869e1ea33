"""What a device answers without network is what the server answers."""

import json
from uuid import uuid4

import pytest

from api.conftest import fill
from gentle_plumb.on_device import DeviceSession

READS = (
    ("results", {"body": True, "plans": True, "draw": True}),
    ("results", {"mode": "standing", "show": "left", "unit": "in", "layer": "measuring"}),
    ("input", {"place": "main"}),
    ("day", {"week": 1, "width": 700}),
    ("movements", {}),
    ("changes-since", {"unit": "cm"}),
    ("report", {"unit": "cm"}),
)


class Device:
    """A page without network that has taken visits along."""

    def __init__(self, page, *visits):
        self.session = DeviceSession(page.http.get("/api/device").text)
        for visit in visits:
            self.session.take(page.http.get(f"/api/visits/{visit}/device").text)

    def ask(self, method, path, body=None, **more):
        asked = {"method": method, "path": path, "body": body, **more}
        answer = json.loads(self.session.handle(json.dumps(asked)))
        return answer["status"], answer["body"]

    def type(self, visit, path, typed, version=0):
        body = {"path": path, "typed": typed, "expected_version": version, "unit": "cm"}
        return self.ask("PUT", f"visits/{visit}/changes/{uuid4()}", body)


def filled(page, name="Odile"):
    visit = page.new_visit(name)
    fill(page, visit, name)
    return visit


def same(page, device, visit, reads=READS):
    for what, query in reads:
        theirs = page.http.get(f"/api/visits/{visit}/{what}", params=query)
        assert device.ask("GET", f"visits/{visit}/{what}", query=query) == (
            theirs.status_code,
            theirs.json(),
        )


@pytest.mark.parametrize("name", ["Odile", "Bram", "Mirela"])
def test_a_visit_taken_along_comes_to_the_same(owner, name):
    visit = filled(owner, name)
    device = Device(owner, visit)
    same(owner, device, visit)
    assert device.ask("GET", f"visits/{visit}") == (
        200,
        owner.http.get(f"/api/visits/{visit}").json(),
    )


def test_a_change_without_network_comes_to_what_it_comes_to_on_the_server(owner):
    visit = filled(owner)
    device = Device(owner, visit)
    held = owner.http.get(f"/api/visits/{visit}").json()["entries"]["look.found.seat"]["version"]
    status, mine = device.type(visit, "look.found.seat", "51,5", held)
    theirs = owner.type(visit, "look.found.seat", "51,5", version=held).json()
    assert status == 200
    assert mine["entry"] | {"changed_at": ""} == theirs["entry"] | {"changed_at": ""}
    same(owner, device, visit, READS[:5])


@pytest.mark.parametrize(
    ("path", "typed", "version"),
    [("look.found.seat", "900", 1), ("look.found.seat", "46", 0), ("nowhere", "1", 0)],
)
def test_what_the_server_refuses_a_device_refuses_in_the_same_words(owner, path, typed, version):
    visit = filled(owner)
    status, said = Device(owner, visit).type(visit, path, typed, version)
    theirs = owner.type(visit, path, typed, version=version)
    assert (status, said["type"], said["detail"]) == (
        theirs.status_code,
        theirs.json()["type"],
        theirs.json()["detail"],
    )


def test_nothing_of_health_is_kept_without_consent_on_a_device_either(owner):
    visit = owner.new_visit()
    device = Device(owner, visit)
    assert device.type(visit, "ask.reason", "Neck")[1]["type"] == "needs-consent"
    assert device.type(visit, "ask.consent.notes", "yes")[0] == 200
    assert device.type(visit, "ask.reason", "Neck")[0] == 200
    device.type(visit, "ask.consent.notes", "no", version=1)
    entries = device.ask("GET", f"visits/{visit}")[1]["entries"]
    assert entries["ask.reason"]["typed"] == ""


def test_a_client_and_a_visit_are_begun_on_a_device(owner, clock):
    before = filled(owner)
    device = Device(owner, before)
    client, visit, follow_up = (str(uuid4()) for _ in range(3))
    assert device.ask("POST", "clients", {"id": client, "name": "Yara Fenn"})[0] == 201
    status, begun = device.ask("POST", "visits", {"id": visit, "client_id": client})
    assert (status, begun["client"]["name"], begun["entries"]) == (201, "Yara Fenn", {})
    known = owner.http.get(f"/api/visits/{before}").json()["client"]
    body = {"id": follow_up, "client_id": known["id"], "from_visit": before}
    status, again = device.ask("POST", "visits", body)
    assert status == 201
    assert again["entries"]["look.chair.kind"]["typed"]


def test_what_only_the_server_can_do_is_said(owner):
    visit = filled(owner)
    device = Device(owner, visit)
    for method, path in (("GET", f"visits/{visit}/report.pdf"), ("PUT", f"visits/{visit}/reports")):
        status, said = device.ask(method, path)
        assert (status, said["type"]) == (503, "needs-server")


def test_nothing_is_taken_along_that_may_not_be_read(reader, owner):
    visit = filled(owner)
    assert reader.http.get(f"/api/visits/{visit}/device").status_code == 403
    assert "password_hash" not in owner.http.get("/api/session").text
    member = owner.http.get("/api/device").json()["member"]
    assert (member["password_hash"], member["sealed_totp"], member["recovery"]) == ("", "", [])
