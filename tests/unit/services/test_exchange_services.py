"""What goes out and comes in."""

import json
from uuid import uuid4

import pytest

from gentle_plumb.documents.exchange import FORMATS
from gentle_plumb.services.errors import BadFile
from gentle_plumb.services.models import MOST_TROUBLES
from unit.services.world import World, measured_visit, view_of


@pytest.mark.parametrize("format", ["csv_readings", "json", "fhir"])
def test_a_practice_takes_in_what_another_gave_out_and_gives_out_the_same(world, clock, format):
    _, visit = measured_visit(world, stature=("161.2", "161.4"), hand_length=("6 7/8 in", "17.4"))
    world.type(visit, "measure.knee_height.skip", "time")
    world.type(visit, "measure.posture", "erect")
    raw, *_ = world.exchange.export(world.office.owner, format)
    other = World(clock)
    preview = other.exchange.import_batch(other.office.owner, raw)
    assert [(one.client, one.client_known, one.values, one.new) for one in preview.understood] == [
        ("Odile", False, 4, 4)
    ]
    assert other.exchange.export(other.office.owner, format)[0] == raw
    again = other.exchange.import_batch(other.office.owner, raw)
    assert [(one.client_known, one.visit_known, one.new) for one in again.understood] == [
        (True, True, 0)
    ]
    assert other.exchange.export(other.office.owner, format)[0] == raw
    home = world.exchange.look(world.office.owner, raw)
    assert [(one.visit_known, one.new) for one in home.understood] == [(True, 0)]


def test_a_file_that_says_otherwise_is_refused_whole_and_nothing_is_written(world, clock):
    _, visit = measured_visit(world, stature=("161.2", "161.4"))
    raw = world.exchange.export(world.office.owner, "csv_readings")[0].decode()
    line = raw.splitlines()[1]
    extra = line.replace(",stature,first,1612,161.2 cm", ",hand_length,first,175,17.5 cm")
    for changed, reason in (
        (raw.replace("1612,161.2 cm", "1622,162.2 cm") + extra, "here it is “161.2 cm” already"),
        (raw + extra.replace("175,17.5 cm", "1750,175 cm"), "outside 100 to 270 mm"),
        (raw + extra.replace("Odile", "Somebody"), "differs from line 2"),
        (
            raw + extra.replace("175,17.5", "1750,175") + "\r\n" + extra.replace("2026", "x"),
            "outside 100",
        ),
    ):
        preview = world.exchange.look(world.office.owner, changed.encode())
        assert any(reason in line.reason for line in preview.troubles), preview.troubles
        with pytest.raises(BadFile):
            world.exchange.import_batch(world.office.owner, changed.encode())
    assert world.exchange.export(world.office.owner, "csv_readings")[0].decode() == raw
    added = world.exchange.import_batch(world.office.owner, (raw + extra).encode())
    assert [one.new for one in added.understood] == [1]
    assert view_of(world, visit, "hand_length").value == "17.5"


def test_every_format_ships_and_names_its_file(world):
    measured_visit(world, stature=("161.2", "161.4"))
    for format in FORMATS:
        raw, media, name, clients = world.exchange.export(world.office.owner, format)
        assert raw
        assert "/" in media
        assert "." in name
        assert len(clients) == 1


def sheet_file(*sheets):
    usual = {"client": "Tove", "visit_on": "2026-10-02"}
    whole = [{**usual, "dimensions": {"stature": {"first": "169 cm"}}, **sheet} for sheet in sheets]
    return json.dumps(
        {"format": "gentle-plumb.measurements", "version": 1, "sheets": whole}
    ).encode()


def troubles(world, *sheets):
    found = world.exchange.look(world.office.owner, sheet_file(*sheets))
    return [(line.line, line.field) for line in found.troubles]


def test_whom_a_file_means_is_never_guessed(world, clock):
    client, visit = measured_visit(world, "Tove", stature=("169", "169"))
    named = world.exchange.look(
        world.office.owner, sheet_file({"visit_on": clock().date().isoformat()})
    )
    assert [(one.client_known, one.visit_known, one.new) for one in named.understood] == [
        (True, True, 0)
    ]
    measured_visit(world, "Tove", stature=("170", "170"))
    assert troubles(world, {}) == [("sheet 1", "client")]  # two of that name
    assert troubles(world, {"client_id": str(client.id)}) == []
    assert troubles(world, {"client_id": str(client.id), "client": "Bo"}) == [("sheet 1", "client")]
    theirs = {"client_id": "elsewhere", "visit_id": str(visit), "client": "Ann"}
    assert ("sheet 1", "visit_id") in troubles(world, theirs)
    moved = {"client_id": str(client.id), "visit_id": str(visit), "visit_on": "2026-01-01"}
    assert troubles(world, moved) == [("sheet 1", "visit_on")]


def test_a_file_can_not_say_a_thing_twice_or_in_signs_nobody_sees(world):
    assert troubles(world, {}, {}) == [("sheet 2", "stature.first")]
    assert troubles(world, {"client": "To\u0007ve"}) == [("sheet 1", "client")]
    assert troubles(world, {"dimensions": {"stature": {"taken_on": "2026-10-02"}}}) == []
    odd = {"dimensions": {"hand_length": {"skip": "lunch"}}}
    assert troubles(world, odd) == [("sheet 1", "hand_length.skip")]


def test_several_visits_of_one_new_client_become_one_client(world):
    world.exchange.import_batch(
        world.office.owner, sheet_file({}, {"visit_on": "2026-11-02"}, {"client": "Bo"})
    )
    names = [
        (line.client, line.started_on.month) for line in world.visits.visits(world.office.owner)
    ]
    assert sorted(names) == [("Bo", 10), ("Tove", 10), ("Tove", 11)]
    assert [client.name for client in world.visits.clients(world.office.owner)] == ["Bo", "Tove"]


def test_a_large_file_asks_the_record_by_set_and_tells_no_end_of_troubles(world, monkeypatch):
    _, visit = measured_visit(world, stature=("161.2", "161.4"))
    raw = world.exchange.export(world.office.owner, "csv_readings")[0].decode()
    head, line = raw.splitlines()[:2]
    mine = (str(visit), str(world.records.visit_by_id[visit].client_id))
    asked = []
    for name in ("measured", "visits", "clients", "open", "load_snapshot"):
        monkeypatch.setattr(world.records, name, counted(asked, name, getattr(world.records, name)))

    def others(number, typed):
        lines = [head]
        for _ in range(number):
            one = line
            for known in mine:
                one = one.replace(known, str(uuid4()))
            lines.append(one.replace("1612,161.2 cm", typed))
        return "\r\n".join(lines).encode()

    calls = []
    for number in (3, 400):
        asked.clear()
        assert (
            len(world.exchange.look(world.office.owner, others(number, "1612,161.2 cm")).understood)
            == number
        )
        calls.append(len(asked))
    assert calls[0] == calls[1]
    troubles = world.exchange.look(world.office.owner, others(700, "9612,961.2 cm")).troubles
    assert len(troubles) == MOST_TROUBLES + 1
    assert troubles[-1].reason == "and 500 more of the kind"


def counted(asked, name, method):
    def call(*args, **named):
        asked.append(name)
        return method(*args, **named)

    return call
