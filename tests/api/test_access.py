"""Passwords that are not tried first, and a second factor: set up, asked for, used once, lost, required."""

from concurrent.futures import ThreadPoolExecutor
from uuid import uuid4

import pyotp
import pytest
from sqlalchemy import select, update

from api.conftest import Page
from conftest import PASSWORD
from gentle_plumb.api import make_app
from gentle_plumb.config import Settings
from gentle_plumb.main import make_services
from gentle_plumb.services.second_factor import STEP_S, recovery_hash
from gentle_plumb.storage import SqlAccounts, seal_what_is_open, secrets_in
from gentle_plumb.storage.tables import MEMBER


def code_at(secret, clock, steps=0):
    return pyotp.TOTP(secret).at(int(clock().timestamp()) + steps * STEP_S)


def enrol(page, clock):
    """Set up a second factor; its secret and the recovery codes."""
    secret = page.http.post("/api/me/second-factor").json()["secret"]
    body = {"secret": secret, "code": code_at(secret, clock), "password": PASSWORD}
    answer = page.http.put("/api/me/second-factor", json=body)
    assert answer.status_code == 200, answer.text
    return secret, answer.json()["codes"]


def enter(app, member, code="", password=PASSWORD):
    page = Page(app)
    body = {"email": member.email, "password": password, "code": code}
    answer = page.http.post("/api/session", json=body)
    if answer.status_code == 200:
        page.http.headers["X-Plumb-Csrf"] = answer.json()["csrf"]
    return page, answer


@pytest.mark.parametrize(
    "weak", ["eleven-lett", "password1234", "qwertyuiop12", "aaaaaaaaaaaa", "practitioner"]
)
def test_a_password_that_is_short_or_tried_first_is_refused_by_name_and_range(owner, weak):
    body = {"email": f"{uuid4()}@saltmere.example", "name": "Practitioner", "role": "reader"}
    for way in (
        owner.add("members", **body, password=weak),
        owner.http.put("/api/password", json={"current": PASSWORD, "password": weak}),
    ):
        assert (way.status_code, way.json()["field"]) == (422, "password"), way.text
    assert owner.add("members", **body, password="four quiet harbour lamps").status_code == 201


def test_a_second_factor_is_asked_for_and_each_code_opens_once(owner, app, office, clock):
    qr = owner.http.post("/api/me/second-factor").json()
    assert qr["svg"].startswith("<svg")
    wrong = {"secret": qr["secret"], "code": "000000", "password": PASSWORD}
    assert owner.http.put("/api/me/second-factor", json=wrong).status_code == 403
    wrong |= {"code": code_at(qr["secret"], clock), "password": "not mine at all"}
    assert owner.http.put("/api/me/second-factor", json=wrong).json()["type"] == "wrong-password"
    secret, recovery = enrol(owner, clock)
    assert owner.http.get("/api/me").json()["has_second_factor"]
    assert enter(app, office.owner)[1].json()["type"] == "needs-code"
    assert enter(app, office.owner, password="wrong")[1].json()["type"] == "not-signed-in"
    assert (
        enter(app, office.owner, code_at(secret, clock))[1].status_code == 401
    )  # used to set it up
    clock.pass_by(seconds=STEP_S)
    code = code_at(secret, clock)
    assert enter(app, office.owner, f"{code[:3]} {code[3:]}")[1].status_code == 200
    assert enter(app, office.owner, code)[1].status_code == 401
    assert enter(app, office.owner, code_at(secret, clock, steps=3))[1].status_code == 401
    assert enter(app, office.owner, recovery[0].upper())[1].status_code == 200
    assert enter(app, office.owner, recovery[0])[1].status_code == 401
    assert owner.http.get("/api/me").json()["recovery_left"] == len(recovery) - 1


def test_a_code_that_is_sent_twice_at_once_opens_once(owner, engine, office, clock):
    _, recovery = enrol(owner, clock)
    accounts, mine = SqlAccounts(engine), office.owner.id
    later = int(clock().timestamp()) // STEP_S + 5
    digest = recovery_hash(recovery[3])
    with ThreadPoolExecutor(8) as hands:
        steps = list(hands.map(lambda _: accounts.take_code(mine, later), range(8)))
        codes = list(hands.map(lambda _: accounts.take_recovery(mine, digest), range(8)))
    assert (steps.count(True), codes.count(True)) == (1, 1)
    assert owner.http.get("/api/me").json()["recovery_left"] == len(recovery) - 1


def test_wrong_codes_are_slowed_down_like_wrong_passwords(owner, app, office, clock):
    enrol(owner, clock)
    page = Page(app)
    body = {"email": office.owner.email, "password": PASSWORD, "code": "123456"}
    tried = [page.http.post("/api/session", json=body).status_code for _ in range(6)]
    assert tried == [401] * 5 + [429]


def test_it_is_turned_off_with_the_password_and_reset_by_an_owner_for_another(
    owner, app, office, clock
):
    other, _ = enter(app, office.practitioner)
    enrol(other, clock)
    path = f"/api/members/{office.practitioner.id}/second-factor"
    assert other.http.delete(f"/api/members/{office.owner.id}/second-factor").status_code == 403
    assert owner.http.delete(path).status_code == 204
    assert other.http.get("/api/me").status_code == 401  # their sessions end
    other, answer = enter(app, office.practitioner)
    assert answer.status_code == 200
    enrol(other, clock)
    off = "/api/me/second-factor/off"
    assert other.http.post(off, json={"password": "no"}).json()["type"] == "wrong-password"
    assert other.http.post(off, json={"password": PASSWORD}).status_code == 204
    assert enter(app, office.practitioner)[1].status_code == 200


def test_a_practice_that_asks_for_one_lets_nobody_work_without(owner, app, office, clock):
    settings = {"time_zone": "UTC", "local_wording": "", "second_factor": True}
    assert owner.http.put("/api/practice", json=settings).json()["second_factor"]
    assert owner.http.get("/api/clients").json()["type"] == "must-enrol"
    assert owner.http.get("/api/me").json()["must_enrol"]
    enrol(owner, clock)
    assert owner.http.get("/api/clients").status_code == 200
    off = {"password": PASSWORD}
    assert owner.http.post("/api/me/second-factor/off", json=off).status_code == 403
    other, _ = enter(app, office.practitioner)
    assert other.http.get("/api/visits").json()["type"] == "must-enrol"


def test_the_lock_asks_for_the_members_own_password_and_not_without_end(owner):
    def confirm(password):
        return owner.http.post("/api/session/confirm", json={"password": password}).status_code

    assert (confirm(PASSWORD), confirm("another one")) == (200, 403)
    assert 429 in [confirm("another one") for _ in range(8)]


def test_second_factors_are_sealed_in_the_database_and_open_only_with_the_key(
    owner, app, office, clock, engine, secrets_key
):
    secret, recovery = enrol(owner, clock)
    with engine.connect() as connection:
        of_mine = select(MEMBER.c.sealed_totp).where(MEMBER.c.id == office.owner.id)
        sealed = connection.scalar(of_mine)
    assert secret not in sealed
    assert secrets_key.stat().st_mode & 0o777 == 0o600
    missing = secrets_key.with_name("missing.key")
    clock.pass_by(seconds=STEP_S)
    without_key = make_app(make_services(engine, Settings(secrets_key=missing), clock))
    _, answer = enter(without_key, office.owner, code_at(secret, clock))
    assert (answer.status_code, "key" in answer.json()["detail"]) == (401, True)
    other, _ = enter(without_key, office.practitioner)
    body = {"secret": secret, "code": code_at(secret, clock), "password": PASSWORD}
    assert other.http.put("/api/me/second-factor", json=body).json()["type"] == "no-key"
    assert not missing.exists()  # no second key in the place of the first
    assert enter(without_key, office.owner, recovery[0])[1].status_code == 200


def test_what_an_earlier_version_kept_open_is_sealed(
    owner, app, office, clock, engine, secrets_key
):
    plain = pyotp.random_base32()
    with engine.begin() as connection:
        mine = update(MEMBER).where(MEMBER.c.id == office.owner.id)
        connection.execute(mine.values(sealed_totp=plain))
    sealer = secrets_in(engine, secrets_key)
    assert seal_what_is_open(engine, sealer) >= 1
    assert seal_what_is_open(engine, sealer) == 0
    assert enter(app, office.owner, code_at(plain, clock))[1].status_code == 200


def test_a_locked_session_can_do_nothing_but_unlock(owner, app):
    visit = owner.new_visit()
    assert owner.http.post("/api/session/lock").status_code == 204
    for way in (
        owner.http.get(f"/api/visits/{visit}/report"),
        owner.http.get(f"/api/visits/{visit}/report.pdf"),
        owner.http.get("/api/me"),
        owner.http.post("/api/session/used"),
        owner.http.post("/api/session/lock"),
        owner.add("clients", name="Nobody"),
    ):
        assert (way.status_code, way.json()["type"]) == (401, "locked")
    told = owner.http.get("/api/session").json()
    assert (told["locked"], told["csrf"], told["device_key"]) == (True, "", "")
    owner.http.headers["X-Plumb-Csrf"] = ""  # a page opened anew has none
    wrong = owner.http.post("/api/session/confirm", json={"password": "not mine at all"})
    assert wrong.status_code == 403
    assert owner.http.get("/api/me").status_code == 401
    opened = owner.http.post("/api/session/confirm", json={"password": PASSWORD}).json()
    owner.http.headers["X-Plumb-Csrf"] = opened["csrf"]
    assert owner.http.get(f"/api/visits/{visit}").status_code == 200


def test_who_picks_up_a_locked_device_can_sign_its_user_out(owner):
    assert owner.http.post("/api/session/lock").status_code == 204
    owner.http.headers["X-Plumb-Csrf"] = ""
    foreign = owner.http.delete("/api/session", headers={"Origin": "https://elsewhere.example"})
    assert foreign.status_code == 403
    assert owner.http.delete("/api/session").status_code == 204
    assert owner.http.get("/api/session").json() is None


def test_a_session_left_alone_locks_by_itself_and_a_page_in_use_keeps_it_open(owner, clock):
    for _ in range(3):
        clock.pass_by(minutes=16)
        assert owner.http.get("/api/me").status_code == 200  # each call is a use
    clock.pass_by(minutes=17, seconds=1)
    assert owner.http.get("/api/me").json()["type"] == "locked"
    assert owner.http.get("/api/session").json()["csrf"] == ""
    # the page was in use without network, and still has its token
    assert owner.http.post("/api/session/used").status_code == 204
    assert owner.http.get("/api/me").status_code == 200


def test_a_device_is_told_who_has_left(owner, guest, office):
    people = [str(office.reader.id), str(office.practitioner.id), str(uuid4())]

    def ask():
        return guest.http.post("/api/device/left", json={"members": people}).json()["members"]

    assert ask() == []
    assert owner.http.delete(f"/api/members/{office.reader.id}").status_code == 204
    assert ask() == [str(office.reader.id)]
