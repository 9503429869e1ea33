"""A client who comes again: what is taken over, what is asked anew, and what has become of them."""

from datetime import timedelta

import pytest

from conftest import weeks_on
from gentle_plumb.core.record import FAMILIES, FIELDS, field_of, read_typed, typed_of
from gentle_plumb.services.errors import NotFound
from gentle_plumb.services.follow_ups import ANEW, COPIED, FollowUpService, paper_since
from gentle_plumb.services.models import NewClient
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import body_readings
from plumb_demo.people import NO_FLAGS

FIRST = {
    **NO_FLAGS,
    "ask.consent.notes": "yes",
    "ask.reason": "Stiff neck",
    "ask.care.dizziness": "yes",
    "ask.discomfort.nape": "6",
    "ask.hours.typing": "5",
    "ask.shoe_seated": "2.5",
    "look.chair.seat_min": "42",
    "look.chair.seat_max": "53",
    "look.found.seat": "46",
    "look.found.surface": "73",
    "look.keyboard.feet": "out",
    "look.habit.head_ahead": "seen",
    "measure.popliteal_height.first": "41",
    "measure.popliteal_height.second": "41.2",
    "pace.rhythm": "up_every_30",
    "pace.start": "8:30",
    "set.seated.seat": "42",
    "set.seated.surface": "66",
}


@pytest.fixture
def again(world, clock):
    """A first visit signed, and the service a month later."""
    visit = world.visit()
    for path, typed in {**FIRST, "report.follow_up": weeks_on(clock)}.items():
        if typed is not None:
            world.type(visit, path, typed)
    world.reports.sign(world.office.owner, world.office.practice, visit, "cm")
    clock.now += timedelta(days=30)
    return visit, FollowUpService(world.records, world.visits, clock)


def begun(world, again, id=None):
    visit, service = again
    office = world.office
    client = world.records.visit(office.practice.id, visit).client_id
    return service.begin(office.owner, office.practice, visit, client_id=client, id=id)


def test_what_is_known_is_taken_over_and_what_matters_is_asked_anew(world, again):
    now = begun(world, again)
    held = world.records.load_snapshot(world.office.practice.id, now.id).values
    assert held["ask.hours.typing"] == 5
    assert (held["look.chair.seat_min"], held["look.keyboard.feet"]) == (420, "out")
    assert (held["pace.rhythm"], held["pace.start"]) == ("up_every_30", 510)
    assert held["measure.popliteal_height.origin"] == "carried_over"
    assert held["measure.popliteal_height.first"] == 411
    assert "measure.popliteal_height.second" not in held
    anew = ("ask.consent", "ask.sign", "ask.warning", "ask.care", "ask.discomfort", "ask.reason")
    for start in (*anew, "look.found", "look.habit", "set.", "report."):
        assert not [path for path in held if path.startswith(start)], start
    assert not [path for path in held if FIELDS[path].health]
    assert begun(world, again, id=now.id).id == now.id  # sent again: once
    entries = {
        entry.path: entry.typed
        for entry in world.visits.open(world.office.owner, now.id).entries.values()
    }
    for path, typed in entries.items():
        assert read_typed(field_of(path), typed) == held[path], path


def test_what_has_become_of_them_is_said_and_noise_is_no_news(world, again):
    now, service, owner = begun(world, again), again[1], world.office.owner
    world.type(now.id, "ask.consent.notes", "yes")
    for path, typed in {
        "ask.discomfort.nape": "2",
        "look.found.seat": "42.3",
        "look.found.surface": "68.5",
    }.items():
        world.type(now.id, path, typed)
    since = service.since(owner, now.id, "cm")
    lines = {one.path: one for one in since.left}
    assert (lines["look.found.seat"].left, lines["look.found.seat"].drift) == ("42.0\xa0cm", "")
    assert lines["look.found.surface"].drift == "2.5\xa0cm up since"
    assert read_typed(field_of("look.found.seat"), lines["look.found.seat"].typed) == 420
    assert any(line.endswith("then 6 of 10, now 2 of 10") for line in since.discomfort)
    told = [*since.resolved, *since.unchanged, *since.not_assessed]
    then = world.visits.results(owner, again[0], "cm")[1].causes
    assert len(told) == len(then)
    assert "The wrists are bent" in since.unchanged  # the feet of the keys are still out
    assert "The screen is hard to read when sitting back" in since.not_assessed  # nobody looked
    paper = world.reports.draft(owner, world.office.practice, now.id, "cm").content.client.since
    assert [line.split(":")[0] for line in paper.drift] == ["Surface, sitting"]
    assert service.since(owner, again[0], "cm") is None


def test_every_beginning_of_a_path_is_one_of_a_field():
    ids = [*FIELDS, *FAMILIES]
    for start in (*COPIED, *ANEW):
        assert any(id.startswith(start) for id in ids), start


def test_only_the_same_client_is_followed_up(world, again):
    visit, service = again
    office = world.office
    other = world.visits.add_client(office.owner, NewClient(name="Elif"))
    with pytest.raises(NotFound, match="another client"):
        service.begin(office.owner, office.practice, visit, client_id=other.id, id=None)


@pytest.mark.parametrize(
    ("path", "value"),
    [("look.found.seat", 431.25), ("pace.start", 545.0), ("ask.hours.typing", 2.5)],
)
def test_what_is_written_reads_back_as_the_same(path, value):
    field = field_of(path)
    assert read_typed(field, typed_of(field, value)) == pytest.approx(value)


def test_what_was_there_for_a_time_is_asked_about_and_said(world, clock):
    visit, office = world.visit(), world.office
    owner = office.owner
    yara = next(demo_client for demo_client in DEMO_CLIENTS if demo_client.name.startswith("Yara"))
    said = {**yara.entries, **body_readings(yara), **NO_FLAGS, "set.seated.seat": "47"}
    for path, typed in {**said, "report.follow_up": weeks_on(clock)}.items():
        if typed:
            world.type(visit, path, typed)
    world.reports.sign(owner, office.practice, visit, "cm")
    clock.now += timedelta(days=30)
    service = FollowUpService(world.records, world.visits, clock)
    now = begun(world, (visit, service))
    pieces = service.since(owner, now.id, "cm").temporary
    assert pieces, "nothing temporary was planned"
    assert {piece.now for piece in pieces} == {""}
    world.type(now.id, pieces[0].path, "replaced")
    since = service.since(owner, now.id, "cm")
    assert since.temporary[0].now == "replaced"
    assert f"{pieces[0].label}: replaced" in paper_since(since).temporary
