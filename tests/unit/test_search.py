"""The exact search, against every pair of the lattice and against a general solver."""

from dataclasses import replace
from math import ceil, floor

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from gentle_plumb.core.errors import MissingInput
from gentle_plumb.core.fit.costs import elbow_over, gaze_over, legs_at
from gentle_plumb.core.fit.hand_costs import HandCosts
from gentle_plumb.core.fit.model import search_model
from gentle_plumb.core.fit.search import search
from gentle_plumb.core.fit.search_model import SearchModel
from gentle_plumb.core.policy import Band
from gentle_plumb.core.workstation import Span
from plumb_bench.reference_solver import solve_with_milp
from strategies import cases, spans, usual_case


@st.composite
def models(draw):
    """Small models, so that every pair can be tried."""
    surface = draw(spans(560, 800))
    seat = draw(spans(380, 560))
    return SearchModel(
        together=True,  # a general solver weighs all degrees at once
        elbow=draw(st.floats(150, 300)),
        reach=draw(st.floats(300, 450)),
        keyboard=draw(st.floats(5, 40)),
        elbow_target=95,
        elbow_band=Band(low=90, high=110),
        seat=Span(low=seat.low, high=min(seat.high, seat.low + 60)),
        surface=Span(low=surface.low, high=min(surface.high, surface.low + 60)),
        legs=draw(st.floats(350, 560)),
        thigh_length=draw(st.floats(400, 560)),
        eye=draw(st.none() | st.floats(600, 900)),
        distance=draw(st.floats(400, 800)),
        lift=draw(st.none() | spans(200, 600)),
        least_gap=draw(st.none() | st.floats(120, 260)),
    )


def cost(model, seat, surface):
    gap = surface - seat
    return (
        elbow_over(model, gap)[0]
        + gaze_over(model, seat, surface)[0]
        + legs_at(model, seat).excess_deg
    )


@settings(max_examples=60, deadline=None)
@given(models())
def test_no_pair_of_the_lattice_costs_less(model):
    found = search(model)
    assert found.excess_deg == pytest.approx(cost(model, found.seat, found.surface), abs=1e-5)
    seats = range(ceil(model.seat.low), floor(model.seat.high) + 1)
    surfaces = range(ceil(model.surface.low), floor(model.surface.high) + 1)
    least = -1e9 if model.least_gap is None or found.thighs_pressed else model.least_gap
    best = min(
        (cost(model, seat, z) for seat in seats for z in surfaces if z - seat >= least),
        default=None,
    )
    if best is not None and not found.thighs_pressed:
        assert found.excess_deg <= best + 1e-5


@settings(max_examples=200, deadline=None)
@given(models(), st.floats(-150, 450), st.floats(0, 300), spans(-20, 20), st.sampled_from((90, 95)))
def test_no_gap_of_a_window_costs_the_hands_less(model, least, width, slopes, target):
    slopes = slopes if slopes.step is None else Span(low=slopes.low, high=slopes.low)
    model = replace(model, slopes=slopes, elbow_target=target)
    costs = HandCosts(model)
    gaps = [least, *map(float, range(ceil(least), floor(least + width) + 1)), least + width]
    best = costs.at(costs.best(least, least + width))
    assert best <= min(costs.at(gap) for gap in gaps)
    places = gaps[:: max(1, len(gaps) // 7)]
    assert costs.at(costs.best_of(places)) == min(costs.at(gap) for gap in places)


@settings(max_examples=12, deadline=None)
@given(models())
def test_same_optimum_as_a_general_solver(model):
    found = search(model)
    assume(not found.thighs_pressed)
    try:
        reference = solve_with_milp(model)
    except ValueError:
        assume(False)
    assert found.excess_deg <= reference + 1e-5
    whole = replace(found, seat=round(found.seat), surface=round(found.surface))
    if (whole.seat, whole.surface) == (found.seat, found.surface):
        assert found.excess_deg == pytest.approx(reference, abs=1e-5)


@settings(max_examples=80, deadline=None)
@given(cases())
def test_hard_limits_hold_whatever_the_case(case):
    try:
        model = search_model(case, "seated")
    except MissingInput:
        return
    found = search(model)
    if model.seat is not None:
        assert model.seat.low <= found.seat <= model.seat.high
    if model.surface is not None:
        assert model.surface.low - 1e-6 <= found.surface <= model.surface.high + 1e-6
    if model.least_gap is not None and not found.thighs_pressed:
        assert found.surface - found.seat >= model.least_gap - 1e-6


def test_all_free_puts_the_seat_to_the_legs_and_the_elbow_on_target():
    model = replace(
        search_model(usual_case(), "seated"), seat=None, surface=None, least_gap=None, lift=None
    )
    found = search(model)
    assert (found.seat, found.excess_deg, found.footrest) == (410, 0, False)
    assert elbow_over(model, found.surface - found.seat)[1] == pytest.approx(0, abs=1e-6)


def test_a_fixed_desk_raises_the_chair_to_the_hands():
    model = replace(
        search_model(usual_case(surface=(740,), seat=(400, 650), thickness=5), "seated")
    )
    found = search(model)
    assert (found.seat, found.footrest) == (pytest.approx(560), True)  # thighs stop it: 740 - 180


def test_no_room_for_the_thighs_is_said():
    assert search(search_model(usual_case(surface=(560,), seat=(480,)), "seated")).thighs_pressed
