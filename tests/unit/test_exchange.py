"""Measurements out and in: what went out comes back the same, and nothing broken gets in."""

import json
from dataclasses import replace
from datetime import date
from uuid import uuid4

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import ValidationError

from gentle_plumb.core.body import DIMENSIONS
from gentle_plumb.documents.exchange import COLUMNS, FORMATS, csv_template, exchange_format
from gentle_plumb.services.errors import BadFile
from gentle_plumb.services.measuring import read_table
from gentle_plumb.services.models import MeasurementSheet

WHOLE = ("csv_readings", "json", "fhir")
words = st.text(
    st.characters(codec="utf-8", exclude_categories=("C", "Z")), min_size=1, max_size=20
)


@st.composite
def sheets(draw):
    entries = {}
    for name in draw(
        st.lists(st.sampled_from(sorted(DIMENSIONS)), min_size=1, max_size=4, unique=True)
    ):
        entry, start = DIMENSIONS[name], f"measure.{name}."
        for which in draw(
            st.sampled_from(
                [
                    (),
                    ("first",),
                    ("first", "second"),
                    ("first", "second", "third"),
                    ("first", "second", "other"),
                ]
            )
        ):
            mm = draw(st.integers(int(entry.low_mm), int(entry.high_mm)))
            shown = draw(st.sampled_from([f"{mm} mm", f"{mm / 10:g} cm", f"{mm / 25.4:.2f} in"]))
            entries[f"{start}{which}"] = shown
        about = {
            "origin": st.sampled_from(["measured", "carried_over", "self_measured"]),
            "taken_on": st.dates(date(2000, 1, 1)).map(str),
            "taken_by": words,
            "kept": words,
            "with": st.sampled_from(["tape", "rod", "calliper"]),
            "skip": st.just("clothing"),
            "kept_at": st.just("400 mm"),
        }
        for part in draw(st.sets(st.sampled_from(sorted(about)), min_size=1)):
            entries[f"{start}{part}"] = draw(about[part])
    if draw(st.booleans()):
        entries |= {
            "measure.posture": "erect",
            "measure.footwear": "shoes",
            "measure.heel": "25 mm",
        }
    return MeasurementSheet(
        client_id=str(draw(st.uuids())),
        name=draw(words),
        work=draw(st.just("") | words),
        sex=draw(st.sampled_from([None, "female", "male"])),
        visit_id=str(draw(st.uuids())),
        on=draw(st.dates(date(1990, 1, 1))),
        entries=entries,
    )


@pytest.mark.parametrize("format", WHOLE)
@settings(max_examples=40, deadline=None)
@given(st.lists(sheets(), min_size=1, max_size=3))
def test_what_went_out_comes_back_the_same(format, given):
    label, read = exchange_format(FORMATS[format].write(given))
    assert (read.troubles, read.left_out) == ([], [])
    assert read.sheets == given
    assert label in FORMATS[format].label


@given(st.lists(sheets(), min_size=1, max_size=3))
def test_the_row_a_client_file_is_a_fixed_point(given):
    once = FORMATS["csv_clients"].write(given)
    read = exchange_format(once)[1]
    assert read.troubles == []
    assert FORMATS["csv_clients"].write(read.sheets) == once


def sheet(**entries):
    return MeasurementSheet(
        client_id="c1",
        name="Odile",
        sex="female",
        work="",
        visit_id="v1",
        on=date(2026, 11, 25),
        entries=entries or {"measure.stature.first": "166.2 cm"},
    )


def test_a_cell_never_is_a_formula():
    bad = MeasurementSheet(**{**vars(sheet()), "name": "=HYPERLINK(1)", "work": "'quoted"})
    raw = FORMATS["csv_readings"].write([bad])
    assert b",'=HYPERLINK" in raw
    assert exchange_format(raw)[1].sheets == [bad]


@pytest.mark.parametrize(
    ("old", "new", "trouble"),
    [
        ("2026-11-25", "11/25/2026", ("2", "visit_on", "can’t be read as a day")),
        ("stature", "wingspan", ("2", "dimension", "no dimension of the catalogue")),
        ("first", "fourth", ("2", "reading", "none of first")),
        ("1662,166.2 cm", "1700,166.2 cm", ("2", "value_mm", "is not 1700 mm")),
        ("female", "f", ("2", "sex", "none of female")),
        (",first,", ",first,9,", ("2", "", "as many cells as line 1")),
        ("visit_on", "day", ("1", "visit_on", "is missing from the first line")),
        ("Odile", "", ("2", "client", "empty")),
    ],
)
def test_a_broken_csv_is_refused_whole_with_line_and_reason(old, new, trouble):
    raw = FORMATS["csv_readings"].write([sheet()]).decode()
    assert old in raw
    read = exchange_format(raw.replace(old, new, 1).encode())[1]
    found = [(line, field) for line, field, reason in read.troubles if trouble[2] in reason]
    assert trouble[:2] in found


def test_a_reading_twice_and_a_file_in_another_code_are_refused():
    raw = FORMATS["csv_readings"].write([sheet()])
    twice = raw + raw.split(b"\r\n")[1] + b"\r\n"
    assert [t[0] for t in exchange_format(twice)[1].troubles] == ["3"]
    assert "UTF-8" in exchange_format(raw.replace(b"Odile", b"Od\xefle"))[1].troubles[0][2]


def test_every_column_of_a_file_is_explained():
    header = csv_template().decode("utf-8-sig").split("\r\n")[0].split(",")
    assert sorted(", ".join(COLUMNS).split(", ")) == sorted(header)


def test_the_template_is_read_as_it_is_and_days_with_points_are_days():
    read = exchange_format(csv_template())[1]
    assert (read.troubles, read.left_out) == ([], [])
    assert read.sheets[0].entries["measure.stature.first"] == "168,5 cm"
    raw = csv_template().replace(b"2026-11-25", b"5.11.2026")
    assert exchange_format(raw)[1].sheets[0].on == date(2026, 11, 5)


def test_semicolons_and_unknown_columns_are_understood():
    raw = "client;visit_on;stature_mm;shoe size\nOdile;2026-11-25;1662;39\n"
    read = exchange_format(raw.encode())[1]
    assert read.sheets[0].entries == {"measure.stature.first": "1662 mm"}
    assert [(field, reason) for _, field, reason in read.left_out] == [
        ("shoe size", "unknown column")
    ]


def fhir(**changed):
    document = json.loads(FORMATS["fhir"].write([sheet()]))
    document["entry"][1]["resource"].update(changed)
    return document


def test_fhir_speaks_loinc_and_ucum():
    seen = fhir()["entry"][1]["resource"]
    assert seen["code"]["coding"][0] == {
        "system": "http://loinc.org",
        "code": "8302-2",
        "display": "Body height",
    }
    assert seen["valueQuantity"] == {
        "value": 1662,
        "unit": "mm",
        "code": "mm",
        "system": "http://unitsofmeasure.org",
    }


@pytest.mark.parametrize(
    ("quantity", "mm"),
    [({"value": 166.2, "code": "cm"}, "1662 mm"), ({"value": 65.5, "code": "[in_i]"}, "1663.7 mm")],
)
def test_a_body_height_of_another_system_is_a_stature(quantity, mm):
    foreign = {
        "resourceType": "Bundle",
        "type": "collection",
        "entry": [
            {
                "fullUrl": "urn:uuid:1",
                "resource": {
                    "resourceType": "Patient",
                    "id": "p7",
                    "name": [{"given": ["Odile"], "family": "Marrick"}],
                },
            },
            {
                "resource": {
                    "resourceType": "Observation",
                    "status": "final",
                    "code": {"coding": [{"system": "http://loinc.org", "code": "8302-2"}]},
                    "subject": {"reference": "Patient/p7"},
                    "valueQuantity": quantity,
                    "effectiveDateTime": "2026-03-02T10:00:00+01:00",
                }
            },
            {
                "resource": {
                    "resourceType": "Observation",
                    "status": "final",
                    "valueString": "x",
                    "code": {"coding": [{"system": "http://loinc.org", "code": "29463-7"}]},
                    "subject": {"reference": "Patient/p7"},
                }
            },
        ],
    }
    read = exchange_format(json.dumps(foreign).encode())[1]
    assert read.troubles == []
    assert [(one.name, one.on, one.entries["measure.stature.first"]) for one in read.sheets] == [
        ("Odile Marrick", date(2026, 3, 2), mm)
    ]
    assert [field for _, field, _ in read.left_out] == ["29463-7"]


@pytest.mark.parametrize(
    "changed",
    [
        {"status": 7},
        {"subject": {"reference": "urn:uuid:nobody"}},
        {"code": None},
        {
            "component": [
                {
                    "code": {"coding": [{"system": "urn:gentle-plumb:part", "code": "first"}]},
                    "valueQuantity": {"value": 3, "code": "kg"},
                }
            ]
        },
    ],
)
def test_a_broken_bundle_is_refused_with_the_place(changed):
    read = exchange_format(json.dumps(fhir(**changed)).encode())[1]
    assert read.troubles
    assert all("entry" in place for place, _, _ in read.troubles)


def test_one_entry_of_each_shape_is_checked_before_it_goes_out():
    last = replace(sheet(), client_id="c2", visit_id="v2", name="")  # a name of nothing is no FHIR
    with pytest.raises(ValidationError, match="display"):
        FORMATS["fhir"].write([sheet(), last])


def test_an_observation_that_was_taken_back_is_left_out():
    read = exchange_format(json.dumps(fhir(status="entered-in-error")).encode())[1]
    assert [(field, reason) for _, field, reason in read.left_out] == [
        ("entered-in-error", "withdrawn by its author")
    ]


@pytest.mark.parametrize(
    "raw", [b"", b"{", b"[]", b'{"format": "other"}', b"\x00\x01", b"a,b\n1\n"]
)
def test_what_is_no_measurement_is_refused(raw):
    assert exchange_format(raw)[1].troubles


GOOD = (
    "dimension,sex,mean_mm,sd_mm,r_stature\nstature,female,1610,62,\nhand_length,male,190,10,0.6\n"
)


def test_a_table_is_read_and_checked_line_by_line():
    rows = read_table(GOOD)
    assert rows == read_table(GOOD.replace("\n", "\r")) == read_table(GOOD.replace("\n", "\r\n"))
    assert [(row.dimension, row.sex, row.mean_mm, row.r) for row in rows] == [
        ("stature", "female", 1610, None),
        ("hand_length", "male", 190, 0.6),
    ]


@pytest.mark.parametrize(
    ("old", "new", "trouble"),
    [
        ("1610", "16.1", ("2", "mean_mm", "outside 1120 to 2240 mm")),
        ("female", "woman", ("2", "sex", "neither")),
        ("62", "900", ("2", "sd_mm", "outside 1 to 805 mm")),
        ("0.6", "1.6", ("3", "r_stature", "outside 0 to 1")),
        ("hand_length", "nose", ("3", "dimension", "no dimension")),
        ("62", "abc", ("2", "sd_mm", "no number")),
        ("mean_mm", "mean", ("1", "mean_mm", "column missing")),
        ("hand_length,male,190,10", "stature,female,1600,60", ("3", "dimension", "twice")),
        ("1610", "nan", ("2", "mean_mm", "no number")),
        ("1610", "1" * 140_000, ("2", "", "field larger")),
    ],
)
def test_a_bad_table_names_line_column_and_reason(old, new, trouble):
    with pytest.raises(BadFile) as refused:
        read_table(GOOD.replace(old, new, 1))
    wrong = refused.value.lines[0]
    assert (wrong.line, wrong.field) == trouble[:2]
    assert trouble[2] in wrong.reason


def test_ids_of_no_shape_come_back_as_they_are():
    odd = MeasurementSheet(
        **{**vars(sheet()), "client_id": f"ward 7/{uuid4()}", "visit_id": "№ 12"}
    )
    for format in WHOLE:
        assert exchange_format(FORMATS[format].write([odd]))[1].sheets == [odd], format
