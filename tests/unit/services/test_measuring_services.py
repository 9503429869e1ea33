"""Measuring across visits, lists, tables, instruments."""

from dataclasses import replace

import pytest

from conftest import weeks_on
from gentle_plumb.core.errors import FieldError
from gentle_plumb.core.visit import spoken_date
from gentle_plumb.devices.stand_ins import LengthStandIn
from gentle_plumb.services.errors import NoAnswer, NotFound
from gentle_plumb.services.instruments import InstrumentService
from gentle_plumb.services.models import InstrumentReading, InstrumentState, NewList, NewTable
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import body_of, body_readings
from plumb_demo.people import NO_FLAGS
from unit.services.world import measured_visit, view_of


def test_a_visit_starts_with_how_well_its_practitioner_repeats(world):
    for index in range(12):
        measured_visit(world, f"C{index}", popliteal_height=("40.0", "41.4"))
    _, visit = measured_visit(world, "Last")
    errors = world.records.visit(world.office.practice.id, visit).errors
    own, house = 14 / 2**0.5, 8 / (1.96 * 2**0.5)
    assert errors["popliteal_height"] == pytest.approx(
        ((12 * own**2 + 10 * house**2) / 22) ** 0.5, abs=0.001
    )
    found = {one.dimension: one for one in world.measuring.precision(world.office.owner, "mm")}
    assert (found["popliteal_height"].pairs, found["popliteal_height"].over_limit) == (12, 12)
    world.type(visit, "measure.popliteal_height.first", "40")
    world.type(visit, "measure.popliteal_height.second", "40")
    view = {
        one.dimension: one
        for one in world.visits.results(world.office.owner, visit, "mm")[1].measured
    }
    assert view["popliteal_height"].plus_minus == f"{2 * errors['popliteal_height'] / 2**0.5:.0f}"


def later_visit(world, clock, client, days):
    clock.pass_by(days=days)
    return world.visits.start(world.office.owner, world.office.practice, client.id).id


def test_a_later_visit_knows_the_earlier_one_and_can_carry_it_over(world, clock):
    client, _ = measured_visit(world, knee_height=("50.0", "50.2"))
    day = spoken_date(clock().date().isoformat())
    visit = later_visit(world, clock, client, 200)
    past = view_of(world, visit, "knee_height").past[0]
    assert (past.value, past.day) == ("50.1", day)
    for what, typed in (("origin", "carried_over"), ("taken_on", past.on), ("first", past.typed)):
        world.type(visit, f"measure.knee_height.{what}", typed)
    view = view_of(world, visit, "knee_height")
    assert view.source == f"Carried over from {day}, 7 months old"
    assert (view.value, view.done, view.doubts) == ("50.1", True, [])
    assert len(view.history) > 4
    third = later_visit(world, clock, client, 10)
    assert [one.day for one in view_of(world, third, "knee_height").past] == [day]
    world.type(third, "measure.knee_height.first", "54.6")
    assert "Adults don’t grow" in view_of(world, third, "knee_height").doubts[0].text


def test_lists_and_tables_are_the_visits_to_choose(world):
    owner = world.office.owner
    _, visit = measured_visit(world, stature=("161", "161"))
    own = world.measuring.add_list(
        owner, NewList(name="Counter", dimensions=("stature", "hand_length"))
    )
    assert own.dimensions == ("hand_length", "stature")
    world.type(visit, "measure.list", str(own.id))
    workup = world.visits.results(owner, visit, "cm")[1]
    assert [one.dimension for one in workup.measured if one.listed] == ["hand_length", "stature"]
    assert next(step for step in workup.steps if step.step == "measure").needed == 2
    lines = "dimension,sex,mean_mm,sd_mm\nstature,female,1700,50\n"
    table = world.measuring.add_table(owner, NewTable(name="Tall", origin="made up", text=lines))
    before = view_of(world, visit, "stature").percentile
    world.type(visit, "measure.table", str(table.id))
    assert (before, view_of(world, visit, "stature").percentile) == ("50th", "4th")
    with pytest.raises(FieldError):
        world.measuring.add_list(owner, NewList(name="Odd", dimensions=("wingspan",)))


class FakeInstrument:
    """Answers, or says why not."""

    def __init__(self, trouble=None):
        self.trouble, self.asked = trouble, []

    def state(self):
        if self.trouble:
            raise NoAnswer(self.trouble)
        return InstrumentState(id="tape", name="tape", unit="cm", battery=80)

    def set_unit(self, unit):
        return replace(self.state(), unit=unit)

    def read(self, *, subject, dimension):
        self.asked.append((subject, dimension))
        return InstrumentReading(amount="46.2", unit="cm")


def test_an_instrument_learns_neither_name_nor_number(world):
    tape, rod = FakeInstrument(), FakeInstrument("The height rod is not responding.")
    service = InstrumentService(world.records, {"tape": tape, "rod": rod})
    client, visit = measured_visit(world)
    owner = world.office.owner
    assert [(one.id, one.trouble) for one in service.every()] == [
        ("tape", None),
        ("rod", "The height rod is not responding."),
    ]
    assert service.read(owner, visit, "tape", "stature").typed == "46.2 cm"
    subject, dimension = tape.asked[0]
    assert dimension == "stature"
    assert client.name not in subject
    assert str(client.id)[:8] not in subject
    assert service.set_unit("tape", "in").unit == "in"
    with pytest.raises(NotFound):
        service.read(owner, visit, "laser", "stature")
    with pytest.raises(FieldError):
        service.read(owner, visit, "tape", "wingspan")


def test_the_report_says_what_was_measured_and_where_it_is_from(world, clock):
    client, _ = measured_visit(world, knee_height=("50.0", "50.2"))
    first = clock().date().isoformat()
    visit = later_visit(world, clock, client, 100)
    for path, typed in (
        ("stature.first", "161"),
        ("stature.origin", "self_measured"),
        ("knee_height.first", "50.1"),
        ("knee_height.origin", "carried_over"),
        ("knee_height.taken_on", first),
        ("hand_length.first", "17.4"),
        ("hand_length.second", "17.6"),
        ("foot_length.skip", "clothing"),
    ):
        world.type(visit, f"measure.{path}", typed)
    draft = world.reports.draft(
        world.office.owner, world.office.practice, visit, "cm"
    ).content.record.model_dump(mode="json")
    said = {line["label"]: (line["value"], line["how"]) for line in draft["body"]}
    assert said == {
        "Stature": ("161.0 cm", "Measured by the client"),
        "Hand length": ("17.5 cm", "mean of two"),
        "Knee height": ("50.1 cm", f"Carried over from {spoken_date(first)}, 3 months old"),
        "Foot length": ("", "left out: clothing is in the way"),
    }


def test_an_unsure_stature_is_helped_by_the_rest(world):
    _, visit = measured_visit(world, stature=("161",), elbow_height_standing=("109", "109"))
    alone = view_of(world, visit, "popliteal_height")
    assert alone.basis.startswith("from ")
    assert "elbow height, standing" in alone.basis
    world.type(visit, "measure.stature.second", "161")
    sure = view_of(world, visit, "popliteal_height")
    assert sure.basis == "from stature"
    assert float(alone.estimate) > float(sure.estimate) == 40


def test_a_doubt_does_not_keep_a_report_from_being_signed_but_is_said_in_it(world, clock):
    _, visit = measured_visit(world, stature=("161", "161"), thigh_clearance=("6.1", "6.1"))
    for path, typed in NO_FLAGS.items():
        world.type(visit, path, typed)
    world.type(visit, "report.follow_up", weeks_on(clock))
    world.reports.sign(world.office.owner, world.office.practice, visit, "cm")
    assert "Open queries: thigh clearance." in world.press.printed[-1]["notes"]
    world.type(visit, "ask.consent.notes", "yes")
    world.type(visit, "measure.thigh_clearance.kept", "Measured again")
    world.type(visit, "measure.thigh_clearance.kept_at", "6.1")
    draft = world.reports.draft(
        world.office.owner, world.office.practice, visit, "cm"
    ).content.record.model_dump(mode="json")
    assert not [note for note in draft["notes"] if "doubt" in note]


def test_withdrawn_lists_and_tables_leave_the_visit_whole(world):
    owner = world.office.owner
    _, visit = measured_visit(world, stature=("161", "161"))
    own = world.measuring.add_list(owner, NewList(name="Counter", dimensions=("stature",)))
    table = world.measuring.add_table(
        owner,
        NewTable(
            name="Tall",
            origin="made up",
            text="dimension,sex,mean_mm,sd_mm\nstature,female,1700,50\n",
        ),
    )
    world.type(visit, "measure.list", str(own.id))
    world.type(visit, "measure.table", str(table.id))
    world.measuring.drop_list(owner, own.id)
    world.measuring.drop_table(owner, table.id)
    workup = world.visits.results(owner, visit, "cm")[1]
    assert workup.table_name == "British adults of 19 to 65"
    assert {one.dimension for one in workup.measured if one.listed} == set(workup.needed)


def test_the_simulated_tape_measures_the_demos_own_clients():
    client = DEMO_CLIENTS[0]
    tape = LengthStandIn("tape", {"w": body_of(client)}, troubles=False)
    for name, typed in body_readings(client).items():
        dimension = name.split(".")[1]
        answer = tape.answer(f"READ {dimension} w\n".encode()).decode().split()
        assert float(answer[1]) == pytest.approx(float(typed), abs=2.2)
