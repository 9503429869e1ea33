"""Entries, changes and versions."""

from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace

import pytest

from conftest import make_office
from contract.givens import change, report
from gentle_plumb.services.errors import (
    AlreadyThere,
    NotFound,
    ReusedChange,
    StaleChange,
)


def test_a_change_is_held_with_what_was_typed_and_who_typed(ports, started, clock):
    office, _, visit = started
    entry, revision = ports[1].write(office.practice.id, change(visit, office.owner), clock())
    assert (entry.value, entry.typed, entry.version, entry.changed_by, revision) == (
        460, "46 cm", 1, "Owner", 1
    )  # fmt: skip
    assert ports[1].open(office.practice.id, visit.id)[2] == [entry]
    assert ports[1].working(office.practice.id, visit.id).values == {"look.found.seat": 460}


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
    with pytest.raises(StaleChange) as stale:
        ports[1].write(
            office.practice.id,
            change(visit, office.practitioner, typed="50 cm", value=500.0),
            clock(),
        )
    assert (stale.value.entry.typed, stale.value.entry.version) == ("46 cm", 1)
    assert ports[1].working(office.practice.id, visit.id).visit.revision == 1


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
    assert ports[1].working(office.practice.id, visit.id).values == {"look.found.seat": None}


def test_another_practice_sees_nothing(ports, started, clock):
    office, client, visit = started
    ports[1].add_report(signed := report(visit, clock), b"%PDF")
    other = make_office(ports[0]).practice.id
    for look in (
        lambda: ports[1].client(other, client.id),
        lambda: ports[1].write(other, change(visit, office.owner), clock()),
        lambda: ports[1].open(other, visit.id),
        lambda: ports[1].working(other, visit.id),
        lambda: ports[1].report_pdf(other, signed.id),
    ):
        with pytest.raises(NotFound):
            look()
    assert (ports[1].clients(other), ports[1].visits(other)) == ([], [])
    assert [line.client for line in ports[1].visits(office.practice.id)] == [client]


def test_a_version_is_signed_once_and_kept_byte_for_byte(ports, started, clock):
    office, _, visit = started
    first = report(visit, clock)
    ports[1].add_report(first, b"%PDF-1")
    with pytest.raises(AlreadyThere):
        ports[1].add_report(report(visit, clock), b"%PDF-2")
    ports[1].add_report(report(visit, clock, number=2, revision=4), b"%PDF-3")
    kept, pdf = ports[1].report_pdf(office.practice.id, first.id)
    assert (kept.content, pdf) == ({"client": "Odile"}, b"%PDF-1")
    assert [head.number for head in ports[1].open(office.practice.id, visit.id)[3]] == [1, 2]
    working = ports[1].working(office.practice.id, visit.id)
    assert (working.versions, working.signed_revision) == (2, 4)


def test_a_line_tells_what_is_said_of_warning_signs(ports, started, clock):
    office, _, visit = started
    for path, value in (("ask.sign.fever", "yes"), ("ask.sign.fever.done", None),
                        ("ask.warning", "none"), ("ask.reason", "Neck")):  # fmt: skip
        ports[1].write(office.practice.id, change(visit, office.owner, path=path, typed=value or "",
                                                  value=value), clock())  # fmt: skip
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
        except StaleChange:
            return 0
        return 1

    with ThreadPoolExecutor(8) as pool:
        for version in range(10):
            assert sum(pool.map(put, [(version, number) for number in range(8)])) == 1
    assert records.working(office.practice.id, visit.id).visit.revision == 10
