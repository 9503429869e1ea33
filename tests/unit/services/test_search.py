"""Finding by a few letters, with typing errors."""

from __future__ import annotations

import pytest

from gentle_plumb.services.search import likeness


@pytest.mark.parametrize(
    "typed", ["odile", "mar od", "ODI", "Ódile Marrick", "odlie", "marrik", "odille marick"]
)
def test_what_is_meant_is_found(typed):
    assert likeness(typed, "Odile Marrick", "Chart compiler, desk 14")


@pytest.mark.parametrize("typed", ["xdi", "orick", "odile tolliver", "ches", "desk 15", ""])
def test_what_is_not_meant_is_not_found(typed):
    assert not likeness(typed, "Odile Marrick", "Chart compiler, desk 14")


def test_the_fewer_errors_the_better():
    names = ("Odile Marrick", "Odila Merrick")
    assert likeness("odile marrick", names[0]) == 1.0
    assert likeness("odile marrick", names[0]) > likeness("odile marrick", names[1]) > 0
