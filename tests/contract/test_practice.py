"""What a practice keeps: shelf, sessions, bundles."""

from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace
from datetime import timedelta
from uuid import uuid4

import pytest

from conftest import make_office, new_id
from contract.givens import change
from fakes import FakeAccounts, FakePolicies
from gentle_plumb.services.errors import AlreadyThere, NotFound, Stale
from gentle_plumb.services.models import Session, ShelfItem, StoredRuleSet
from gentle_plumb.services.throttle import RateLimitKey
from gentle_plumb.storage import SqlAccounts, SqlPolicies


def test_a_shelf_item_is_changed_upon_its_version_only(ports, started, clock):
    office, client, visit = started
    shelf, mine = ports[2], office.practice.id
    desk = ShelfItem(
        id=new_id(),
        practice_id=mine,
        piece="workstation",
        name="Watch desk",
        place="Ops",
        values={"look.desk.kind": "fixed"},
    )
    shelf.add_item(desk)
    with pytest.raises(AlreadyThere):
        shelf.add_item(replace(desk, id=new_id()))
    moved = shelf.change_item(replace(desk, place="Bridge"))
    assert (moved.place, moved.version) == ("Bridge", 2)
    with pytest.raises(Stale) as stale:
        shelf.change_item(replace(desk, place="Attic"))
    assert stale.value.current == moved
    here = change(
        visit, office.owner, path="look.workstation", typed=str(desk.id), value=str(desk.id)
    )
    ports[1].write(mine, here, clock())
    assert shelf.items(mine) == [replace(moved, users=(client.name,))]
    other = make_office(ports[0]).practice.id
    assert shelf.items(other) == []
    for touch in (
        lambda: shelf.drop_item(other, desk.id),
        lambda: shelf.change_item(replace(moved, practice_id=other)),
    ):
        with pytest.raises(NotFound):
            touch()
    shelf.drop_item(mine, desk.id)
    assert shelf.items(mine) == []


def session_of(member, clock, hours, **more):
    usual = {
        "id": uuid4(),
        "token_hash": uuid4().bytes,
        "member_id": member.id,
        "csrf": "x",
        "started_at": clock(),
        "expires_at": clock() + timedelta(hours=hours),
        "used_at": clock(),
    }
    return Session(**usual | more)


def test_sessions_end_are_listed_and_addresses_are_taken_once(ports, started, clock):
    office, _, _ = started
    accounts, owner = ports[0], office.owner
    over, live = session_of(owner, clock, 0), session_of(owner, clock, 3, browser="Desk")
    later = session_of(owner, clock, 5, started_at=clock() + timedelta(minutes=1))
    for one in (over, live, later):
        accounts.add_session(one, clock())
    assert accounts.session(over.token_hash, clock()) is None
    assert accounts.session(live.token_hash, clock())[1:] == (owner, office.practice)
    assert accounts.sessions(owner.id, clock()) == [later, live]
    accounts.mark_session(live.id, clock(), locked=True)
    accounts.mark_session(
        live.id, clock() + timedelta(minutes=1)
    )  # a use that comes after opens no lock
    held, _, _ = accounts.session(live.token_hash, clock())
    assert (held.locked, held.used_at) == (True, clock() + timedelta(minutes=1))
    accounts.drop_sessions(owner.id, only=live.id)
    assert accounts.session(live.token_hash, clock()) is None
    accounts.drop_sessions(owner.id, but=later.id)
    assert accounts.sessions(owner.id, clock()) == [later]
    accounts.drop_sessions(owner.id)
    assert accounts.sessions(owner.id, clock()) == []
    with pytest.raises(AlreadyThere):
        accounts.add_member(replace(office.reader, id=uuid4(), email=owner.email))
    assert accounts.add_member(owner) == owner  # the same once more
    with pytest.raises(AlreadyThere):
        accounts.add_member(replace(owner, email=f"{uuid4()}@saltmere.example"))


def test_who_left_is_out_and_their_address_is_free(ports, started, clock):
    office, _, _ = started
    accounts, gone = ports[0], office.practitioner
    accounts.add_session(session_of(gone, clock, 3), clock())
    with pytest.raises(NotFound):
        accounts.remove_member(uuid4(), gone.id, clock())
    accounts.remove_member(office.practice.id, gone.id, clock())
    assert accounts.sessions(gone.id, clock()) == []
    assert accounts.member_by_email(gone.email) is None
    assert gone.name not in {member.name for member in accounts.members(office.practice.id)}
    with pytest.raises(NotFound):
        accounts.change_member(gone)
    again = accounts.add_member(replace(gone, id=uuid4()))
    seen = accounts.change_member(
        replace(again, name="New", password_hash="y", registration="PT 1")
    )
    assert accounts.member_by_email(gone.email) == seen


def test_tries_are_counted_together_or_not_at_all(ports, clock):
    accounts, now = ports[0], clock()
    few, many = (RateLimitKey(key=uuid4().bytes, free=free) for free in (2, 20))
    waits = [accounts.record_attempt([few, many], now).total_seconds() for _ in range(3)]
    assert waits == [0, 0, 30]
    assert accounts.record_attempt([many], now).total_seconds() == 0
    accounts.clear_attempts([few, many])
    assert accounts.record_attempt([few], now).total_seconds() == 0


def test_guesses_sent_at_once_are_counted_one_by_one(engine, clock):
    accounts, counted = SqlAccounts(engine), RateLimitKey(key=uuid4().bytes, free=5)
    other = RateLimitKey(key=uuid4().bytes, free=50)
    with ThreadPoolExecutor(8) as pool:
        tries = pool.map(
            lambda pair: accounts.record_attempt(pair, clock()),
            [(counted, other), (other, counted)] * 20,
        )
        assert sum(not wait for wait in tries) == 5


def test_browsers_are_remembered_for_their_member(ports, started, clock):
    office, _, _ = started
    accounts, token = ports[0], uuid4().bytes
    accounts.remember_browser(token, office.owner.id, clock() + timedelta(days=1))
    assert accounts.knows_browser(token, office.owner.id, clock())
    assert not accounts.knows_browser(token, office.reader.id, clock())
    assert not accounts.knows_browser(token, office.owner.id, clock() + timedelta(days=2))
    accounts.drop_sessions(office.owner.id)
    assert not accounts.knows_browser(token, office.owner.id, clock())


@pytest.fixture(params=["fake", "postgres"])
def policies(request):
    if request.param == "fake":
        return FakeAccounts(), FakePolicies()
    engine = request.getfixturevalue("engine")
    return SqlAccounts(engine), SqlPolicies(engine)


def test_bundles_have_one_default_and_change_upon_their_version(policies):
    accounts, store = policies
    office, stranger = make_office(accounts), make_office(accounts)

    def bundle(of, name="House", **more):
        return StoredRuleSet(
            id=new_id(), practice_id=of.practice.id, name=name, choices={"elbow": "square"}, **more
        )

    first, theirs = bundle(office, is_default=True), bundle(stranger, is_default=True)
    store.add_bundle(first)
    store.add_bundle(theirs)
    with pytest.raises(AlreadyThere):
        store.add_bundle(bundle(office))
    second = bundle(office, "Second", is_default=True)
    store.add_bundle(second)
    assert [(bundle.name, bundle.is_default) for bundle in store.bundles(office.practice.id)] == [
        ("House", False),
        ("Second", True),
    ]
    assert store.bundles(stranger.practice.id) == [theirs]
    with pytest.raises(Stale) as stale:
        store.change_bundle(first)  # it stopped being the default, so its version moved on
    current = stale.value.current
    assert isinstance(current, StoredRuleSet)
    changed = store.change_bundle(replace(current, choices={}, is_default=True))
    assert (changed.version, changed.choices) == (3, {})
    with pytest.raises(NotFound):
        store.drop_bundle(stranger.practice.id, first.id)
    store.drop_bundle(office.practice.id, first.id)
    assert [bundle.is_default for bundle in store.bundles(office.practice.id)] == [False]
