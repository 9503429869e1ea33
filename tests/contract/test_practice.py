"""What a practice keeps: shelf, sessions, bundles."""

from dataclasses import replace
from uuid import uuid4

import pytest

from conftest import make_office, new_id
from contract.givens import change
from fakes import FakeAccounts, FakePolicies
from gentle_plumb.services.errors import (
    AlreadyThere,
    NotFound,
    StaleBundle,
    StaleItem,
)
from gentle_plumb.services.models import (
    PolicyBundle,
    Session,
    ShelfItem,
)
from gentle_plumb.storage import SqlAccounts, SqlPolicies


def test_a_shelf_item_is_changed_upon_its_version_only(ports, started, clock):
    office, client, visit = started
    shelf, mine = ports[2], office.practice.id
    desk = ShelfItem(id=new_id(), practice_id=mine, piece="workstation", name="Watch desk",
                     place="Ops", values={"look.desk.kind": "fixed"})  # fmt: skip
    shelf.add_item(desk)
    with pytest.raises(AlreadyThere):
        shelf.add_item(replace(desk, id=new_id()))
    moved = shelf.change_item(replace(desk, place="Bridge"))
    assert (moved.place, moved.version) == ("Bridge", 2)
    with pytest.raises(StaleItem) as stale:
        shelf.change_item(replace(desk, place="Attic"))
    assert stale.value.item == moved
    here = change(
        visit, office.owner, path="look.workstation", typed=str(desk.id), value=str(desk.id)
    )
    ports[1].write(mine, here, clock())
    assert shelf.items(mine) == [replace(moved, users=(client.name,))]
    other = make_office(ports[0]).practice.id
    assert shelf.items(other) == []
    for touch in (lambda: shelf.drop_item(other, desk.id),
                  lambda: shelf.change_item(replace(moved, practice_id=other))):  # fmt: skip
        with pytest.raises(NotFound):
            touch()
    shelf.drop_item(mine, desk.id)
    assert shelf.items(mine) == []


def test_sessions_end_and_addresses_are_taken_once(ports, started, clock):
    office, _, _ = started
    session = Session(token_hash=uuid4().bytes, member_id=office.owner.id, csrf="x",
                      expires_at=clock.now)  # fmt: skip
    live = replace(session, token_hash=uuid4().bytes, expires_at=clock.now.replace(hour=12))
    for one in (session, live):
        ports[0].add_session(one)
    assert ports[0].session(session.token_hash, clock()) is None
    assert ports[0].session(live.token_hash, clock())[1:] == (office.owner, office.practice)
    ports[0].drop_session(live.token_hash)
    assert ports[0].session(live.token_hash, clock()) is None
    with pytest.raises(AlreadyThere):
        ports[0].add_member(replace(office.reader, id=uuid4(), email=office.owner.email))


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
        return PolicyBundle(id=new_id(), practice_id=of.practice.id, name=name,
                            choices={"elbow": "square"}, **more)  # fmt: skip

    first, theirs = bundle(office, is_default=True), bundle(stranger, is_default=True)
    store.add_bundle(first)
    store.add_bundle(theirs)
    with pytest.raises(AlreadyThere):
        store.add_bundle(bundle(office))
    second = bundle(office, "Second", is_default=True)
    store.add_bundle(second)
    assert [(one.name, one.is_default) for one in store.bundles(office.practice.id)] == [
        ("House", False), ("Second", True),
    ]  # fmt: skip
    assert store.bundles(stranger.practice.id) == [theirs]
    with pytest.raises(StaleBundle) as stale:
        store.change_bundle(first)  # it stopped being the default, so its version moved on
    changed = store.change_bundle(replace(stale.value.kept, choices={}, is_default=True))
    assert (changed.version, changed.choices) == (3, {})
    with pytest.raises(NotFound):
        store.drop_bundle(stranger.practice.id, first.id)
    store.drop_bundle(office.practice.id, first.id)
    assert [one.is_default for one in store.bundles(office.practice.id)] == [False]
