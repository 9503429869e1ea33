import random
from statistics import pstdev

import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.stats import chi2, norm

from gentle_plumb.core.body import (
    BRITISH_ADULTS,
    DIMENSIONS,
    NEEDED,
    Body,
    BodyValue,
    Spread,
    Table,
    dimension,
    estimate_from_stature,
    house_error,
    in_order,
    made_up_body,
    precision_of,
    resolve_readings,
)
from gentle_plumb.core.body.factor import factor_of
from gentle_plumb.core.body.precision import chi_square_quantile
from gentle_plumb.core.body.relations import broken
from gentle_plumb.core.errors import MissingDimension, UnknownName
from strategies import mean_body


def measured(**mm):
    return {name: BodyValue(mm=value, sd_mm=3, source="measured") for name, value in mm.items()}


def test_one_changes_posture_once_and_every_dimension_says_how_it_is_taken():
    postures = [entry.posture for entry in DIMENSIONS.values()]
    assert postures == sorted(postures)  # seated before standing
    for entry in DIMENSIONS.values():
        assert entry.how
        assert entry.start != entry.end
        assert entry.mistakes
        assert entry.low_mm < entry.high_mm
    assert in_order(["stature", "popliteal_height", "stature"]) == ("popliteal_height", "stature")
    with pytest.raises(UnknownName):
        dimension("wingspan")


def test_third_reading_settles_two_that_disagree():
    two = resolve_readings([400, 420], repeat_limit_mm=8)
    three = resolve_readings([400, 420, 418], repeat_limit_mm=8)
    assert (two.value_mm, two.needs_third, two.spread_mm) == (None, True, 20)
    assert (three.value_mm, three.needs_third, three.by) == (418, False, "median")


@given(st.lists(st.floats(100, 2000), min_size=1, max_size=3), st.floats(1, 20), st.floats(0.1, 20))
def test_result_lies_within_its_readings_and_is_never_surer_than_the_tape(readings, limit, error):
    resolved = resolve_readings(readings, repeat_limit_mm=limit, error_mm=error)
    if resolved.value_mm is not None:
        assert min(readings) - 1e-9 <= resolved.value_mm <= max(readings) + 1e-9
        assert resolved.sd_mm >= 3


def test_exactly_the_limit_still_agrees():
    assert resolve_readings([400, 408], repeat_limit_mm=8).value_mm == 404


def test_a_clumsy_hand_makes_the_mean_less_sure():
    usual = resolve_readings([400, 402], repeat_limit_mm=8)
    clumsy = resolve_readings([400, 402], repeat_limit_mm=8, error_mm=9)
    assert usual.sd_mm == 3
    assert clumsy.sd_mm == pytest.approx(9 / 2**0.5)


@given(st.lists(st.floats(-30, 30), min_size=1, max_size=60))
def test_the_technical_error_and_its_interval_are_those_of_the_book(differences):
    found = precision_of(differences, repeat_limit_mm=8)
    pairs = len(differences)
    error = (sum(d * d for d in differences) / (2 * pairs)) ** 0.5
    assert found.error_mm == pytest.approx(error)
    assert found.low_mm == pytest.approx(error * (pairs / chi2.ppf(0.95, pairs)) ** 0.5, rel=1e-6)
    assert found.high_mm == pytest.approx(error * (pairs / chi2.ppf(0.05, pairs)) ** 0.5, rel=1e-6)
    assert found.over_limit == sum(abs(d) > 8 for d in differences)


@pytest.mark.parametrize("freedom", [1, 2, 7, 40, 400])
def test_chi_square_against_scipy(freedom):
    for share in (0.05, 0.5, 0.95):
        expected = chi2.ppf(share, freedom)
        assert chi_square_quantile(share, freedom) == pytest.approx(expected, rel=1e-8)


def test_own_error_counts_as_pairs_come_in():
    house = house_error(8)
    few, many = (precision_of([6.0] * n, repeat_limit_mm=8) for n in (1, 400))
    own = 6 / 2**0.5
    assert house < few.held_against(8) < many.held_against(8) < own
    assert many.held_against(8) == pytest.approx(own, rel=0.01)
    assert precision_of([], repeat_limit_mm=8) is None


def test_estimate_is_the_mean_at_mean_stature_and_carries_its_error():
    guess = estimate_from_stature("popliteal_height", stature_mm=1672, sex="female")
    assert guess.value_mm == pytest.approx(400 + 0.80 * 27)  # one standard deviation taller
    assert guess.sd_mm == pytest.approx(27 * 0.6)


@pytest.mark.parametrize("name", ["elbow_height_sitting", "lumbar_height_sitting"])
def test_what_stature_does_not_tell_needs_the_tape(name):
    with pytest.raises(MissingDimension, match="measure it"):
        estimate_from_stature(name, stature_mm=1700)


def test_elbow_height_is_guessed_only_for_one_who_insists():
    values = measured(stature=1610)
    insisting = Body(values=values, sex="female", guessed=frozenset({"elbow_height_sitting"}))
    assert not Body(values=values, sex="female").has("elbow_height_sitting")
    guess = insisting.value("elbow_height_sitting")
    assert (guess.source, guess.mm) == ("estimated", 235)
    assert guess.sd_mm == pytest.approx(29 * (1 - 0.22**2) ** 0.5)


def test_without_stature_the_others_tell_what_they_can():
    body = Body(values=measured(elbow_height_standing=1051, popliteal_height=427), sex="female")
    stature = body.value("stature")  # both one standard deviation over the mean
    assert stature.basis == ("elbow_height_standing", "popliteal_height")
    assert 1650 < stature.mm < 1690
    assert stature.sd_mm < 62 * 0.45
    with pytest.raises(MissingDimension):
        Body(values=measured(hip_breadth_sitting=370), sex="female").value("stature")


@given(
    st.lists(
        st.sampled_from([n for n in DIMENSIONS if DIMENSIONS[n].stats]),
        min_size=2,
        max_size=6,
        unique=True,
    ),
    st.data(),
)
def test_the_factor_is_the_full_covariance_worked_out_the_long_way(names, data):
    """Conditional mean and variance by Gauss elimination on r_i r_j, against the short sums."""
    target, *known = names
    z = {name: data.draw(st.floats(-3, 3)) for name in known}
    spread = {name: BRITISH_ADULTS.spread(name, "male") for name in names}
    values = {n: (spread[n].mean_mm + z[n] * spread[n].sd_mm, 5.0) for n in known}
    r = {name: BRITISH_ADULTS.r(name) for name in names}

    def covariance(a, b):
        return 1 + (5.0 / spread[a].sd_mm) ** 2 if a == b else r[a] * r[b]

    rows = [[covariance(a, b) for b in known] + [z[a], r[a] * r[target]] for a in known]
    size = len(known)
    for i in range(size):
        pivot = rows[i][i]
        rows[i] = [value / pivot for value in rows[i]]
        for j in range(size):
            if j != i:
                rows[j] = [v - rows[j][i] * w for v, w in zip(rows[j], rows[i], strict=True)]
    mean = sum(r[known[i]] * r[target] * rows[i][size] for i in range(size))
    variance = 1 - sum(r[known[i]] * r[target] * rows[i][size + 1] for i in range(size))
    found = factor_of(values, table=BRITISH_ADULTS, sex="male").expected(target)
    assert (found.mm - spread[target].mean_mm) / spread[target].sd_mm == pytest.approx(
        mean, abs=1e-6
    )
    assert (found.sd_mm / spread[target].sd_mm) ** 2 == pytest.approx(variance, abs=1e-6)


def test_mixed_population_is_wider_than_either():
    entry = DIMENSIONS["stature"]
    mixed = entry.spread(None)
    assert mixed.mean_mm == 1675
    assert mixed.sd_mm > max(entry.stats["male"].sd_mm, entry.stats["female"].sd_mm)


def test_percentiles_are_shares_of_the_population():
    z = (1672 - 1610) / 62
    assert BRITISH_ADULTS.percentile("stature", 1672, "female") == pytest.approx(100 * norm.cdf(z))
    both = BRITISH_ADULTS.percentile("stature", 1675, None)
    shares = norm.cdf(1675, 1610, 62) + norm.cdf(1675, 1740, 70)
    assert both == pytest.approx(50 * shares)
    assert BRITISH_ADULTS.percentile("lumbar_height_sitting", 190, None) is None


def test_another_table_moves_estimates_and_what_it_lacks_comes_from_the_own_one():
    tall = Table(
        name="Tall",
        origin="made up",
        r_stature={"popliteal_height": 1.0},
        stats={
            "stature": {"female": Spread(mean_mm=1800, sd_mm=50)},
            "popliteal_height": {"female": Spread(mean_mm=470, sd_mm=20)},
        },
    )
    body = Body(values=measured(stature=1850), sex="female", table=tall)
    assert body.mm("popliteal_height") == pytest.approx(490)
    assert body.value("popliteal_height").sd_mm == 0
    own = Body(values=measured(stature=1850), sex="female")
    assert body.mm("knee_height") == own.mm("knee_height")


def test_measured_goes_before_estimated():
    body = mean_body("male", hand_length=200)
    without = Body(values={"stature": body.values["stature"]}, sex="male")
    assert body.value("hand_length").source == "measured"
    assert without.value("hand_length").source == "estimated"
    assert without.mm("hand_length") == pytest.approx(190)


def test_uncertainty_of_a_sum_adds_in_squares():
    body = mean_body(popliteal_height=400)
    sd, shares = body.uncertainty(lambda b: b.mm("popliteal_height") + 2 * b.mm("thigh_clearance"))
    assert shares == pytest.approx({"popliteal_height": 3, "thigh_clearance": 6})
    assert sd == pytest.approx(45**0.5)


def test_made_up_bodies_are_the_tables_and_never_at_odds_with_themselves():
    chance = random.Random(5)
    people = [made_up_body(lambda: chance.gauss(0, 1), sex="female") for _ in range(400)]
    assert all(next(broken(body), None) is None for body in people)
    statures = [body["stature"] for body in people]
    assert sum(statures) / 400 == pytest.approx(1610, abs=12)
    assert pstdev(statures) == pytest.approx(62, rel=0.15)
    assert set(NEEDED) <= set(people[0])


@given(
    st.dictionaries(st.sampled_from(sorted(DIMENSIONS)), st.floats(-3, 3), min_size=2, max_size=8)
)
def test_what_the_others_say_is_what_is_said_without_it(z):
    values = {}
    for name, one in z.items():
        spread = BRITISH_ADULTS.spread(name, "female") or Spread(mean_mm=190, sd_mm=30)
        values[name] = (spread.mean_mm + one * spread.sd_mm, 3.0)
    whole = factor_of(values, table=BRITISH_ADULTS, sex="female")
    for name in values:
        short, long = whole.expected_of(name), whole.without(name).expected(name, read_sd_mm=3.0)
        assert short.mm == pytest.approx(long.mm, rel=1e-6)
        assert short.sd_mm == pytest.approx(long.sd_mm, rel=1e-6)
    assert 0 <= whole.share_explained < 1
