"""Entries, changes and versions."""

from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace
from datetime import timedelta

import pytest

from conftest import make_office, new_id
from contract.givens import change, copies, report
from gentle_plumb.services.errors import (
    AlreadyThere,
    HoldsSomething,
    MovedOn,
    NotFound,
    ReusedChange,
    Stale,
)


def test_a_change_is_held_with_what_was_typed_and_who_typed(ports, started, clock):
    office, _, visit = started
    entry, revision = ports[1].write(office.practice.id, change(visit, office.owner), clock())
    assert (entry.value, entry.typed, entry.version, entry.changed_by, revision) == (
        460,
        "46 cm",
        1,
        "Owner",
        1,
    )
    assert ports[1].open(office.practice.id, visit.id)[2] == [entry]
    assert ports[1].load_snapshot(office.practice.id, visit.id).values == {"look.found.seat": 460}


def test_sent_twice_counts_once_even_after_later_changes(ports, started, clock):
    office, _, visit = started
    first = change(visit, office.owner)
    ports[1].write(office.practice.id, first, clock())
    ports[1].write(
        office.practice.id,
        change(visit, office.owner, typed="47 cm", value=470.0, expected_version=1),
        clock(),
    )
    entry, revision = ports[1].write(office.practice.id, first, clock())
    assert (entry.value, entry.version, revision) == (470, 2, 2)


def test_stale_change_gives_what_is_there_and_writes_nothing(ports, started, clock):
    office, _, visit = started
    ports[1].write(office.practice.id, change(visit, office.owner), clock())
    with pytest.raises(Stale) as stale:
        ports[1].write(
            office.practice.id,
            change(visit, office.practitioner, typed="50 cm", value=500.0),
            clock(),
        )
    assert (stale.value.current.typed, stale.value.current.version) == ("46 cm", 1)
    assert ports[1].load_snapshot(office.practice.id, visit.id).visit.revision == 1


def test_an_id_of_another_change_is_refused(ports, started, clock):
    office, _, visit = started
    first = change(visit, office.owner)
    ports[1].write(office.practice.id, first, clock())
    with pytest.raises(ReusedChange):
        ports[1].write(
            office.practice.id,
            replace(first, typed="99 cm", value=990.0, expected_version=1),
            clock(),
        )


def test_emptied_is_held_as_nothing(ports, started, clock):
    office, _, visit = started
    entry, _ = ports[1].write(
        office.practice.id, change(visit, office.owner, typed="", value=None), clock()
    )
    assert entry.value is None
    assert ports[1].load_snapshot(office.practice.id, visit.id).values == {"look.found.seat": None}


def test_another_practice_sees_nothing(ports, started, clock):
    office, client, visit = started
    ports[1].add_report(signed := report(visit, clock), copies())
    other = make_office(ports[0]).practice.id
    for look in (
        lambda: ports[1].client(other, client.id),
        lambda: ports[1].write(other, change(visit, office.owner), clock()),
        lambda: ports[1].open(other, visit.id),
        lambda: ports[1].load_snapshot(other, visit.id),
        lambda: ports[1].report_pdf(other, signed.id, "client"),
    ):
        with pytest.raises(NotFound):
            look()
    assert (ports[1].clients(other), ports[1].visits(other)) == ([], [])
    assert [line.client for line in ports[1].visits(office.practice.id)] == [client]


def test_a_version_is_signed_once_and_kept_byte_for_byte(ports, started, clock):
    office, _, visit = started
    first = report(visit, clock)
    ports[1].add_report(first, copies(b"%PDF-1"))
    sent = [ports[1].add_report(first, copies(pdf)) for pdf in (b"%PDF-2", b"%PDF-9")]
    assert {one.copies["client"] for one in sent} == {copies(b"%PDF-1")["client"].sha256}  # once
    with pytest.raises(AlreadyThere):
        ports[1].add_report(report(visit, clock), copies(b"%PDF-2"))
    ports[1].write(office.practice.id, change(visit, office.owner), clock())
    with pytest.raises(MovedOn):
        ports[1].add_report(report(visit, clock, number=2), copies(b"%PDF-3"))
    second = report(visit, clock, number=2, revision=1)
    ports[1].add_report(second, copies(b"%PDF-3"))
    assert ports[1].report_of(visit.id, second.id).number == 2
    assert ports[1].report_of(new_id(), second.id) is None
    kept, pdf = ports[1].report_pdf(office.practice.id, first.id, "client")
    assert (kept.content, pdf) == ({"client": "Odile"}, b"%PDF-1")
    assert ports[1].report_pdf(office.practice.id, first.id, "record")[1] is None
    assert ports[1].last_report(office.practice.id, visit.id).number == 2
    assert ports[1].last_report(make_office(ports[0]).practice.id, visit.id) is None
    assert [head.number for head in ports[1].open(office.practice.id, visit.id)[3]] == [1, 2]
    working = ports[1].load_snapshot(office.practice.id, visit.id)
    assert (working.versions, working.signed_revision) == (2, 1)


def test_what_is_new_counts_once_however_often_it_is_sent(ports, started, clock):
    office, client, visit = started
    records, mine = ports[1], office.practice.id
    assert records.add_client(client) == client
    assert records.add_visit(visit) == visit
    assert (len(records.clients(mine)), len(records.visits(mine))) == (1, 1)
    for add, one in ((records.add_client, client), (records.add_visit, visit)):
        with pytest.raises(AlreadyThere):
            add(replace(one, practice_id=make_office(ports[0]).practice.id))


def test_a_client_is_corrected_upon_a_version_and_erased_whole(ports, started, clock):
    office, client, visit = started
    records, mine = ports[1], office.practice.id
    moved = records.change_client(replace(client, name="Odile Marrick-Lowe"))
    assert (moved.name, moved.version) == ("Odile Marrick-Lowe", client.version + 1)
    with pytest.raises(Stale) as stale:
        records.change_client(replace(client, name="Other"))
    assert stale.value.current == moved
    records.write(mine, change(visit, office.owner), clock())
    records.add_report(report(visit, clock, revision=1), copies(b"%PDF-1"))
    with pytest.raises(HoldsSomething):
        records.drop_visit(mine, visit.id)


def test_an_empty_visit_is_deleted_and_can_be_made_again(ports, started, clock):
    office, _, visit = started
    records, mine = ports[1], office.practice.id
    with pytest.raises(NotFound):
        records.drop_visit(new_id(), visit.id)
    records.drop_visit(mine, visit.id)
    assert records.visits(mine) == []
    records.add_visit(visit)
    assert len(records.visits(mine)) == 1


def test_a_line_tells_what_is_said_of_warning_signs(ports, started, clock):
    office, _, visit = started
    for path, value in (
        ("ask.sign.fever", "yes"),
        ("ask.sign.fever.done", None),
        ("ask.warning", "none"),
        ("ask.reason", "Neck"),
    ):
        ports[1].write(
            office.practice.id,
            change(visit, office.owner, path=path, typed=value or "", value=value),
            clock(),
        )
    (line,) = ports[1].visits(office.practice.id)
    assert line.signs == {
        "ask.sign.fever": "yes",
        "ask.sign.fever.done": None,
        "ask.warning": "none",
    }


def test_of_many_at_once_exactly_one_wins(started_on_postgres):
    records, office, visit, clock = started_on_postgres

    def put(job):
        version, number = job
        mine = change(visit, office.owner, typed=f"{number}", value=1.0, expected_version=version)
        try:
            records.write(office.practice.id, mine, clock())
        except Stale:
            return 0
        return 1

    with ThreadPoolExecutor(8) as pool:
        for version in range(10):
            assert sum(pool.map(put, [(version, number) for number in range(8)])) == 1
    assert records.load_snapshot(office.practice.id, visit.id).visit.revision == 10


def test_the_last_visit_of_each_client_at_a_shared_workstation(ports, started, clock):
    office, client, visit = started
    records, practice = ports[1], office.practice.id
    later = replace(visit, id=new_id(), started_on=visit.started_on + timedelta(days=7))
    other = replace(client, id=new_id(), name="Bram Tolliver")
    theirs = replace(visit, id=new_id(), client_id=other.id)
    records.add_client(other)
    for one in (later, theirs):
        records.add_visit(one)
    for one in (visit, later, theirs):
        at = {"path": "look.workstation", "typed": "a-desk", "value": "a-desk"}
        records.write(practice, change(one, office.owner, **at), clock())
    assert records.visits_at(practice, "a-desk") == [theirs.id, later.id]  # by name
    assert records.visits_at(practice, "another") == []
    assert records.visits_at(new_id(), "a-desk") == []


def test_the_visit_before_is_the_last_one_in_which_something_was_set(ports, started, clock):
    office, _, visit = started
    records, mine = ports[1], office.practice.id
    assert records.visit_before(mine, visit.id) is None
    days = {name: visit.started_on - timedelta(days=many) for name, many in BEFORE.items()}
    past = {
        name: records.add_visit(replace(visit, id=new_id(), started_on=day))
        for name, day in days.items()
    }
    for name in ("long ago", "set"):
        path = "set.seated.seat"
        records.write(mine, change(past[name], office.owner, path=path), clock())
    assert records.visit_before(mine, visit.id) == past["set"].id
    assert records.visit_before(mine, past["set"].id) == past["long ago"].id
    records.add_report(report(past["only looked at"], clock), copies())
    assert records.visit_before(mine, visit.id) == past["only looked at"].id
    assert records.visit_before(make_office(ports[0]).practice.id, visit.id) is None


BEFORE = {"long ago": 90, "set": 30, "only looked at": 10}


def test_lists_hold_what_waits_and_are_searched_a_page_at_a_time(ports, started, clock):
    office, client, visit = started
    records, mine, day = ports[1], office.practice.id, clock().date()
    others = [replace(client, id=new_id(), name=f"Odile {n:03d}", email="") for n in range(3)]
    for n, one in enumerate(others):
        records.add_client(one)
        add = replace(visit, id=new_id(), client_id=one.id, started_on=day - timedelta(days=n))
        records.add_visit(add)
    signed = replace(visit, id=new_id(), client_id=others[0].id, started_on=day - timedelta(400))
    records.add_visit(signed)
    records.add_report(report(signed, clock), copies())

    def waiting(**more):
        asked = {"soon": day, "latest": 20, "most": 100, "member_id": None} | more
        return {one.id: one for one in records.visits_waiting(mine, **asked)}

    assert waiting()[signed.id].signed
    assert not waiting()[visit.id].signed
    assert signed.id not in waiting(latest=0)
    follow = change(
        signed, office.owner, path="report.follow_up", typed="x", value=f"{day.isoformat()}"
    )
    records.write(mine, follow, clock())
    assert not waiting()[signed.id].signed  # changed since
    flag = change(visit, office.owner, path="ask.sign.night", typed="yes", value="yes")
    records.write(mine, flag, clock())
    assert [one.id for one in waiting().values() if one.flagged] == [visit.id]
    assert waiting(member_id=new_id()) == {}
    assert records.last_visits(mine, [others[0].id])[others[0].id][0] == day
    assert [id for id, name, _ in records.client_names(mine) if name.startswith("Odile 0")] == [
        other.id for other in others
    ]
    assert {one for one, *_ in records.visit_keys(mine)} == {
        line.visit.id for line in records.visits(mine)
    }
    assert [one.visit.id for one in records.visits(mine, of=[visit.id])] == [visit.id]
    assert len(records.visits(mine, client_id=others[0].id)) == 2
    assert records.clients(mine, [client.id]) == [client]
