"""Tables kept as data: what can't be is refused with file, entry and part."""

from dataclasses import dataclass
from typing import Literal

import pytest

from gentle_plumb.core import tables
from gentle_plumb.core.choices import Hand
from gentle_plumb.core.findings.rules import rules_in
from gentle_plumb.core.tables import TableError, csv_table, entries_of, entry


@dataclass(frozen=True, kw_only=True)
class Thing:
    id: str
    size: float
    sides: tuple[Hand, ...] = ()
    kind: Literal["flat", "tall"] = "flat"
    parts: tuple[tuple[str, int], ...] = ()
    marked: bool = False


def thing(**given):
    return entry(Thing, {"id": "a", "size": 1, **given}, "things.toml: a", {})


def test_an_entry_becomes_its_class():
    made = thing(sides=["left", "right"], parts={"x": 2}, kind="tall")
    assert made == Thing(
        id="a", size=1.0, sides=(Hand.LEFT, Hand.RIGHT), kind="tall", parts=(("x", 2),)
    )


@pytest.mark.parametrize(
    ("given", "words"),
    [
        ({"colour": "red"}, "things.toml: a: there is no colour"),
        ({"size": "large"}, "things.toml: a: size: 'large' can’t be: it is no float"),
        ({"size": True}, "things.toml: a: size: True can’t be: it is no float"),
        ({"kind": "round"}, "kind: 'round' can’t be: it is none of flat, tall"),
        ({"sides": ["middle"]}, r"sides: \['middle'\] can’t be: 'middle' is not a valid Hand"),
        ({"parts": [["x", 1, 2]]}, "it has 3 parts in place of 2"),
        ({"marked": "yes"}, "marked: 'yes' can’t be: it is no bool"),
    ],
)
def test_what_can_not_be_is_refused_with_its_place(given, words):
    with pytest.raises(TableError, match=words):
        thing(**given)


def test_what_is_missing_is_named():
    with pytest.raises(TableError, match=r"things.toml: a: size is missing"):
        entry(Thing, {"id": "a"}, "things.toml: a", {})


def written(monkeypatch, tmp_path, name, text):
    (tmp_path / name).write_text(text)
    monkeypatch.setattr(tables, "files", lambda _: tmp_path)


def test_a_file_that_is_none_is_refused(monkeypatch, tmp_path):
    written(monkeypatch, tmp_path, "things.toml", "[a\n")
    with pytest.raises(TableError, match=r"things.toml: "):
        entries_of(Thing, "anywhere", "things.toml")
    written(monkeypatch, tmp_path, "things.csv", "id,size\na,1,2\n")
    with pytest.raises(TableError, match=r"things.csv, line 2"):
        csv_table("anywhere", "things.csv")


RULE = """
[odd]
kind = "range"
mechanism = "unsafe"
title = "Age"
why = "Why."
advice = "Do."
field = "look.chair.age"
source = "house-room"
most = 10
"""


@pytest.mark.parametrize(
    ("old", "new", "words"),
    [
        ('kind = "range"', 'kind = "hunch"', "kind is none of"),
        ("look.chair.age", "look.chair.colour", "field: "),
        ("house-room", "hearsay", "source: 'hearsay'"),
        ("most = 10", 'most = "elbow.middle"', "most: 'elbow.middle'"),
        ('"unsafe"', '"gloom"', "mechanism: 'gloom'"),
    ],
)
def test_a_rule_names_only_what_there_is(monkeypatch, tmp_path, old, new, words):
    written(monkeypatch, tmp_path, "odd.toml", RULE)
    assert vars(rules_in("odd.toml")[0])["most"] == 10
    written(monkeypatch, tmp_path, "odd.toml", RULE.replace(old, new))
    with pytest.raises(TableError, match=words):
        rules_in("odd.toml")
