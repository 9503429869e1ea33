"""Lists, tables, what was measured before, and what comes in."""

from dataclasses import replace
from datetime import timedelta

import pytest

from conftest import make_office, new_id
from contract.givens import change
from gentle_plumb.services.errors import AlreadyThere, NotFound, Stale
from gentle_plumb.services.models import ImportBatch, MeasuringList, PopulationTable, TableRow


def own_list(office, name="Counter", **given):
    usual = {
        "id": new_id(),
        "practice_id": office.practice.id,
        "name": name,
        "dimensions": ("hand_length", "stature"),
    }
    return MeasuringList(**usual | given)


def table(office, clock, name="Staff"):
    rows = (TableRow(dimension="stature", sex="female", mean_mm=1640, sd_mm=60.5),)
    return PopulationTable(
        id=new_id(),
        practice_id=office.practice.id,
        name=name,
        origin="made up",
        rows=rows,
        added_by="Owner",
        added_at=clock(),
    )


def test_lists_are_kept_changed_upon_their_version_and_stay_in_their_practice(ports, started):
    office, store = started[0], ports[3]
    stranger = make_office(ports[0])
    kept = own_list(office)
    store.add_list(kept)
    store.add_list(own_list(stranger))
    with pytest.raises(AlreadyThere):
        store.add_list(own_list(office))
    longer = replace(kept, dimensions=("stature",))
    assert store.change_list(longer).version == 2
    with pytest.raises(Stale) as stale:
        store.change_list(kept)
    assert stale.value.current.dimensions == ("stature",)
    with pytest.raises(NotFound):
        store.drop_list(stranger.practice.id, kept.id)
    assert store.lists(office.practice.id) == [replace(longer, version=2)]
    store.drop_list(office.practice.id, kept.id)
    assert store.lists(office.practice.id) == []


def test_tables_come_back_as_they_were(ports, started, clock):
    office, store = started[0], ports[3]
    kept = table(office, clock)
    store.add_table(kept)
    with pytest.raises(AlreadyThere):
        store.add_table(table(office, clock))
    assert store.tables(office.practice.id) == [kept]
    with pytest.raises(NotFound):
        store.drop_table(make_office(ports[0]).practice.id, kept.id)
    store.drop_table(office.practice.id, kept.id)
    assert store.tables(office.practice.id) == []


def read(ports, visit, member, clock, path, mm, version=0):
    said = mm if isinstance(mm, str) else float(mm)
    ports[1].write(
        visit.practice_id,
        change(
            visit,
            member,
            path=f"measure.{path}",
            typed=str(mm),
            value=said,
            expected_version=version,
        ),
        clock(),
    )


def test_a_visit_brings_its_list_its_table_and_what_was_measured_before(ports, started, clock):
    office, client, first = started
    read(ports, first, office.owner, clock, "stature.first", 1660)
    ports[1].write(office.practice.id, change(first, office.owner), clock())
    visit = replace(
        first,
        id=new_id(),
        started_on=first.started_on + timedelta(days=90),
        errors={"stature": 4.5},
    )
    other = replace(client, id=new_id(), name="Bram")
    ports[1].add_visit(visit)
    ports[1].add_client(other)
    ports[1].add_visit(replace(first, id=new_id(), client_id=other.id))
    kept, listed = table(office, clock), own_list(office)
    ports[3].add_table(kept)
    ports[3].add_list(listed)
    read(ports, visit, office.owner, clock, "table", str(kept.id))
    read(ports, visit, office.owner, clock, "list", str(listed.id))
    working = ports[1].load_snapshot(office.practice.id, visit.id)
    assert (working.table, working.listed, working.visit.errors) == (kept, listed, {"stature": 4.5})
    assert [(one.visit_id, one.values) for one in working.earlier] == [
        (first.id, {"measure.stature.first": 1660})
    ]
    assert ports[1].load_snapshot(office.practice.id, first.id).earlier == ()
    read(ports, visit, office.owner, clock, "list", "full", version=1)
    read(ports, visit, office.owner, clock, "table", str(new_id()), version=1)
    working = ports[1].load_snapshot(office.practice.id, visit.id)
    assert (working.table, working.listed) == (None, None)


def test_pairs_of_readings_count_for_who_took_both(ports, started, clock):
    office, _, visit = started
    owner, colleague = office.owner, office.practitioner
    for name, takers, more in (
        ("stature", (owner, owner), {}),
        ("hand_length", (owner, colleague), {}),
        ("knee_height", (colleague, colleague), {"origin": "measured"}),
        ("foot_length", (owner, owner), {"origin": "carried_over"}),
        ("hand_breadth", (owner, owner), {"taken_by": "Somebody"}),
    ):
        read(ports, visit, takers[0], clock, f"{name}.first", 500)
        read(ports, visit, takers[1], clock, f"{name}.second", 496.5)
        for what, said in more.items():
            read(ports, visit, takers[0], clock, f"{name}.{what}", said)
    found = ports[3].differences(office.practice.id)
    assert {(one.member_id, one.dimension, one.mm) for one in found} == {
        (owner.id, "stature", 3.5),
        (colleague.id, "knee_height", 3.5),
    }
    assert [
        difference.dimension for difference in ports[3].differences(office.practice.id, owner.id)
    ] == ["stature"]
    assert ports[3].differences(make_office(ports[0]).practice.id) == []


def test_an_import_is_written_whole_or_not_at_all(ports, started, clock):
    office, client, visit = started
    read(ports, visit, office.owner, clock, "stature.first", 1660)
    new = replace(client, id=new_id(), name="Bram", origin_id="b7")
    theirs = replace(visit, id=new_id(), client_id=new.id, origin_id="v7")
    changes = (
        change(theirs, office.owner, path="measure.stature.first", typed="170 cm", value=1700.0),
        change(visit, office.owner, path="measure.stature.first", typed="171 cm", value=1710.0),
    )
    with pytest.raises(Stale):
        ports[1].import_batch(
            office.practice.id,
            ImportBatch(clients=(new,), visits=(theirs,), changes=changes),
            clock(),
        )
    assert ports[1].clients(office.practice.id) == [client]
    whole = ImportBatch(clients=(new,), visits=(theirs,), changes=changes[:1])
    ports[1].import_batch(office.practice.id, whole, clock())
    found = {
        one[1].name: [e.typed for e in one[2]] for one in ports[1].measured(office.practice.id)
    }
    assert found == {"Bram": ["170 cm"], "Odile Marrick": ["1660"]}
    assert [one[0].id for one in ports[1].measured(office.practice.id, {visit.id})] == [visit.id]
    twice = ImportBatch(clients=(replace(new, id=new_id()),), visits=(), changes=())
    with pytest.raises(AlreadyThere):
        ports[1].import_batch(office.practice.id, twice, clock())
