import pytest
from hypothesis import given
from hypothesis import strategies as st

from gentle_plumb.core.errors import FieldError, UnknownName, UnreadableValue, ValueOutOfRange
from gentle_plumb.core.fit import fit, working_order
from gentle_plumb.core.pace import RHYTHMS, day_totals
from gentle_plumb.core.record import FIELDS, case_from, field_of, progress, read_typed
from gentle_plumb.demo.clients import DEMO_CLIENTS
from gentle_plumb.demo.load import body_readings

SEAT = field_of("look.found.seat")


def demo_entries(name):
    client = next(one for one in DEMO_CLIENTS if one.name.startswith(name))
    typed = {**client.entries, **body_readings(client)}
    return {path: read_typed(field_of(path), text) for path, text in typed.items() if text}


def test_refusal_names_field_value_range_and_unit():
    with pytest.raises(ValueOutOfRange) as refused:
        read_typed(SEAT, "4.62", unit="cm")
    error = refused.value
    assert (error.field, error.value, error.low, error.high, error.unit) == (
        "look.found.seat", "4.62", 250, 900, "mm"
    )  # fmt: skip
    assert error.message == "Seat, loaded: 4.6 cm is outside 25.0 to 90.0 cm."


@pytest.mark.parametrize(
    ("path", "typed", "error"),
    [
        ("ask.hours.typing", "25", ValueOutOfRange),
        ("ask.hours.typing", "lots", UnreadableValue),
        ("ask.eyewear", "monocle", UnknownName),
        ("report.follow_up", "2026-02-30", UnreadableValue),
        ("report.follow_up", "20261214", UnreadableValue),
        ("ask.reason", "x" * 4001, ValueOutOfRange),
    ],
)
def test_what_does_not_fit_its_field_is_refused(path, typed, error):
    with pytest.raises(error):
        read_typed(field_of(path), typed)


@given(st.sampled_from(sorted(FIELDS)), st.text(max_size=30))
def test_any_text_is_read_or_refused_in_words(path, typed):
    told = None
    try:
        value = read_typed(field_of(path), typed)
    except FieldError as error:
        told = error
    if told is None:
        assert value is None or isinstance(value, float | str)
    else:
        assert told.message
        assert told.field == path


def test_emptied_is_unknown_again():
    assert read_typed(SEAT, "  ") is None


def test_entries_make_the_case_they_say():
    case = case_from(demo_entries("Nadia"), sex="female")
    assert case.workstation.desk.surface.fixed
    assert case.workstation.desk.surface.low == 720
    assert (case.lower_lens, case.workstation.mouse.hand) == ("progressive", "left")
    assert case.found_seated.keys == 740
    assert case.body.values["popliteal_height"].source == "measured"


def test_two_readings_apart_wait_for_the_third():
    entries = {"measure.popliteal_height.first": 400.0, "measure.popliteal_height.second": 430.0}
    assert "popliteal_height" not in case_from(entries).body.values
    settled = case_from(entries | {"measure.popliteal_height.third": 428.0})
    assert settled.body.mm("popliteal_height") == 428


def test_swapped_ends_of_a_range_are_put_right():
    chair = case_from(
        {"look.chair.seat_min": 520.0, "look.chair.seat_max": 400.0}
    ).workstation.chair
    assert (chair.seat.low, chair.seat.high) == (400, 520)


def test_beads_fill_by_what_is_there_and_name_what_is_not():
    entries = demo_entries("Yara")
    case = case_from(entries, sex="female")
    result = fit(case)
    order = working_order(case, result)
    beads = progress(entries, result, order, signed=False)
    assert {step: bead.ready for step, bead in beads.items()} == {
        "ask": True, "look": True, "measure": True, "work": True, "set": False, "pace": False,
        "report": False,
    }  # fmt: skip
    assert beads["set"].next == "Surface"
    del entries["measure.stature.second"]
    assert progress(entries, result, order, signed=False)["measure"].next == "Stature"


@given(st.sampled_from(sorted(RHYTHMS)), st.floats(0, 24))
def test_totals_of_a_rhythm_add_up_to_the_hours(name, hours):
    rhythm = RHYTHMS[name]
    totals = day_totals(rhythm, hours)
    assert totals.sit + totals.stand + totals.move == pytest.approx(hours * 60)
    assert totals.longest_sit <= rhythm.sit
    assert totals.changes <= hours * 60 / rhythm.cycle * 3 + 3


def test_a_day_has_no_25_hours():
    with pytest.raises(ValueOutOfRange):
        day_totals(RHYTHMS["up_every_30"], 25)
