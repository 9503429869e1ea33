import pytest
from hypothesis import given
from hypothesis import strategies as st

from gentle_plumb.core.errors import UnreadableValue
from gentle_plumb.core.units import format_difference, format_length, parse_length


@pytest.mark.parametrize(
    ("typed", "mm"),
    [
        ("46.2", 462),
        ("462mm", 462),
        ("46,2 cm", 462),
        ("18 3/16 in", 461.9625),
        ("1'6\"", 457.2),
        ("1 ft 6 in", 457.2),
        ("0.46 m", 460),
        ("18½ in", 469.9),
        ('3/4"', 19.05),
        ("-3 mm", -3),
        ("−2,5", -25),
        (".5", 5),
        ("5'", 1524),
        (" 46 CM ", 460),
    ],
)
def test_reads_what_a_tape_shows(typed, mm):
    assert parse_length(typed) == pytest.approx(mm)


@pytest.mark.parametrize(
    "typed",
    ["", "cm", "forty", "46.2.1", "46 kg", "1'14\"", "3/0 in", "5 6", "1e9", "46 cm 2", "9" * 40],
)
def test_what_is_no_length_is_refused_with_field_and_value(typed):
    with pytest.raises(UnreadableValue) as refused:
        parse_length(typed, field="seat")
    assert (refused.value.field, refused.value.value) == ("seat", typed)


@given(st.floats(-3000, 3000), st.sampled_from(["mm", "cm", "in"]))
def test_what_is_shown_reads_back_within_half_a_step(mm, unit):
    step = {"mm": 1, "cm": 1, "in": 0.254}[unit]
    shown = format_length(mm, unit, with_unit=True)
    assert parse_length(shown) == pytest.approx(mm, abs=step / 2 + 1e-6)


def test_bare_numbers_are_in_the_unit_on_show():
    assert parse_length("18", default="in") == pytest.approx(457.2)


def test_differences_in_words():
    words = [format_difference(value, "cm", up="up", down="down") for value in (40, -35, 0.3)]
    assert words == ["up 4.0", "down 3.5", "0.0"]
