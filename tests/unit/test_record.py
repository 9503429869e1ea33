from types import SimpleNamespace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from gentle_plumb.core.errors import FieldError, UnknownName, UnreadableValue, ValueOutOfRange
from gentle_plumb.core.fit import dimensions_needed, fit, working_order
from gentle_plumb.core.record import FIELDS, Record, field_of, paths_of, read_typed
from gentle_plumb.core.record.shelf import SHELF
from gentle_plumb.core.visit import case_from, display_offset, progress, raised_red_flags
from plumb_demo.clients import DEMO_CLIENTS
from plumb_demo.load import body_readings

SEAT = field_of("look.found.seat")


def demo_entries(name):
    client = next(demo_client for demo_client in DEMO_CLIENTS if demo_client.name.startswith(name))
    typed = {**client.entries, **body_readings(client)}
    return {path: read_typed(field_of(path), text) for path, text in typed.items() if text}


def test_refusal_names_field_value_range_and_unit():
    with pytest.raises(ValueOutOfRange) as refused:
        read_typed(SEAT, "4.62", unit="cm")
    error = refused.value
    assert (error.field, error.value, error.low, error.high, error.unit) == (
        "look.found.seat",
        "4.62",
        250,
        900,
        "mm",
    )
    assert error.message == "Seat height, client seated: 4.6 cm is outside 25.0 to 90.0 cm."


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
    case = case_from(Record(demo_entries("Nadia")), sex="female")
    assert case.workstation.desk.surface.fixed
    assert case.workstation.desk.surface.low == 720
    assert (case.lower_lens, case.workstation.mouse.hand) == ("progressive", "left")
    assert case.found_seated.keys == 740
    assert case.body.values["popliteal_height"].source == "measured"


def test_two_readings_apart_wait_for_the_third():
    entries = {"measure.popliteal_height.first": 400.0, "measure.popliteal_height.second": 430.0}
    assert "popliteal_height" not in case_from(Record(entries)).body.values
    settled = case_from(Record(entries | {"measure.popliteal_height.third": 428.0}))
    assert settled.body.mm("popliteal_height") == 428


def test_swapped_ends_of_a_range_are_put_right():
    chair = case_from(
        Record({"look.chair.seat_min": 520.0, "look.chair.seat_max": 400.0})
    ).workstation.chair
    assert (chair.seat.low, chair.seat.high) == (400, 520)


def test_beads_fill_by_what_is_there_and_name_what_is_not():
    entries = demo_entries("Yara")
    case = case_from(Record(entries), sex="female")
    result = fit(case)
    open_step = SimpleNamespace(what="Surface", settled=False)
    order = [SimpleNamespace(what="Seat", settled=True), open_step]
    beads = progress(Record(entries), result, order, listed=dimensions_needed(case), signed=False)
    assert {step: bead.ready for step, bead in beads.items()} == {
        "ask": True,
        "look": True,
        "measure": True,
        "work": True,
        "set": False,
        "pace": False,
        "report": False,
    }
    assert (beads["set"].next, beads["set"].done, beads["set"].needed) == ("Surface", 1, 2)
    del entries["measure.popliteal_height.second"]
    assert (
        progress(Record(entries), result, order, listed=dimensions_needed(case), signed=False)[
            "measure"
        ].next
        == "Popliteal height"
    )


def test_a_path_may_name_one_of_many():
    field = field_of("look.photo.4f2a-11.ear")
    assert (field.label, read_typed(field, " 812.5, 344 ")) == ("Ear", "812.5 344.0")
    for typed, error in (
        ("812.5", UnreadableValue),
        ("-4 7", UnreadableValue),
        ("4 99999", ValueOutOfRange),
    ):
        with pytest.raises(error):
            read_typed(field, typed)
    for path in ("look.photo.a.b.ear", "look.photo..ear", "look.photo.a.nose", "work.own.a"):
        with pytest.raises(UnknownName):
            field_of(path)


def test_fields_apply_by_what_is_said_already():
    def shown(**said):
        entries = {path.replace("_", ".", 1): value for path, value in said.items()}
        return {
            f.id
            for f in FIELDS.values()
            if Record({f"look.{k}": v for k, v in entries.items()}).applies(f)
        }

    assert "look.desk.surface_min" in shown(**{"desk.kind": "sit_stand"})
    assert "look.desk.surface_min" not in shown(**{"desk.kind": "fixed"})
    assert "look.platform.desk" in shown(**{"desk.kind": "platform"})
    assert "look.chair.seat_min" not in shown(**{"chair.kind": "wheelchair"})
    assert "look.screen2.diagonal" in shown(**{"screen2.kind": "monitor"})
    assert "look.screen2.diagonal" not in shown()


@pytest.mark.parametrize(
    ("entries", "surface", "kind"),
    [
        ({"look.desk.kind": "counter", "look.found.surface": 910.0}, (910, 910), "fixed"),
        (
            {
                "look.desk.kind": "platform",
                "look.platform.desk": 720.0,
                "look.platform.keys_min": 20.0,
                "look.platform.keys_max": 420.0,
            },
            (740, 1140),
            "sit_stand",
        ),
        (
            {"look.desk.kind": "cart", "look.cart.tray_min": 760.0, "look.cart.tray_max": 1160.0},
            (760, 1160),
            "sit_stand",
        ),
        (
            {
                "look.desk.kind": "fixed",
                "look.tray.there": "yes",
                "look.tray.desk": 740.0,
                "look.tray.below_min": 50.0,
                "look.tray.below_max": 180.0,
            },
            (560, 690),
            "fixed",
        ),
        ({"look.desk.kind": "platform"}, None, "sit_stand"),
    ],
    ids=["counter", "platform", "cart", "tray", "unknown"],
)
def test_what_the_keyboard_stands_on_for_every_kind_of_desk(entries, surface, kind):
    desk = case_from(Record(entries)).workstation.desk
    assert (desk.surface and (desk.surface.low, desk.surface.high)) == surface
    assert desk.kind == kind


def test_a_wheelchairs_seat_is_never_moved_and_nothing_is_aimed_at_standing():
    entries = demo_entries("Otis")
    case = case_from(Record(entries), sex="male")
    result = fit(case)
    seat = result.row("seated", "seat")
    assert (seat.setting, seat.found) == (530, 530)
    assert not result.standing.possible
    assert {row.posture for row in working_order(case, result)} == {"seated"}


def test_a_raised_laptop_with_keys_apart_is_a_screen_and_one_with_its_own_is_not():
    raised = case_from(Record(demo_entries("Pia"))).workstation.screen
    assert (raised.kind, raised.top_above_surface.high) == ("monitor", 450)
    assert case_from(Record(demo_entries("Jonas"))).workstation.screen.kind == "laptop"


def test_one_pair_of_readings_tells_how_far_the_display_is_off():
    entries = demo_entries("Odile")
    assert display_offset(Record(entries)) == 20
    assert display_offset(Record(entries | {"look.desk.display_tape": None})) is None
    assert display_offset(Record(entries | {"look.desk.display": "no"})) is None


def test_the_shelf_holds_only_what_its_pieces_can_read():
    for kind in SHELF.values():
        allowed = set(paths_of(kind.piece))
        for path, typed in kind.values.items():
            assert path in allowed, kind.id
            assert read_typed(field_of(path), typed) is not None
    assert paths_of("window") == []


def test_signs_are_the_gravest_first_with_what_waits():
    entries = {
        "ask.sign.calf": "yes",
        "ask.sign.chest": "yes",
        "ask.sign.chest.done": " ",
        "ask.sign.fall": "no",
        "ask.warning": "clinician",
        "ask.warning_done": "Phoned her doctor.",
        "ask.warning_by": "Ines",
        "ask.warning_to": "Her own doctor",
        "ask.warning_call_back": "2026-12-01",
    }
    found = raised_red_flags(Record(entries))
    assert [(sign.id, sign.urgency, sign.done) for sign in found] == [
        ("chest", "urgent", None),
        ("calf", "same_day", None),
        ("other", "clinician", "Referred to Her own doctor. Phoned her doctor. (Ines)"),
    ]
    assert [sign.waits_for for sign in found] == ["ask.sign.chest.to", "ask.sign.calf.to", ""]
    assert found[2].call_back == "2026-12-01"


def test_an_attribute_of_another_kind_of_piece_counts_no_more():
    chair = {"look.chair.seat_min": 420.0, "look.chair.seat_max": 530.0, "look.chair.sink": 20.0}
    task = case_from(Record(chair | {"look.chair.kind": "task"})).workstation.chair.seat
    stool = case_from(Record(chair | {"look.chair.kind": "stool"})).workstation.chair.seat
    assert (task.low, task.high) == (400, 510)
    assert (stool.low, stool.high) == (420, 530)
