"""Bodies and workstations to put together by hand; lengths in cm, as the record keeps them."""

from __future__ import annotations

from typing import Any

Values = dict[str, Any]
MEDIAN = {
    "popliteal_height": 44.0,
    "elbow_height_sitting": 24.0,
    "eye_height_sitting": 78.0,
    "thigh_clearance": 15.0,
    "elbow_fingertip_length": 46.0,
    "hand_length": 18.5,
    "buttock_popliteal_length": 49.0,
    "shoulder_elbow_length": 35.0,
    "shoulder_breadth_biacromial": 38.0,
    "shoulder_breadth_bideltoid": 46.0,
    "shoulder_height_sitting": 60.0,
    "knee_height": 54.0,
    "abdominal_depth_sitting": 25.0,
    "hip_breadth_sitting": 37.0,
    "stature": 172.0,
}


def mm(**given: Any) -> Values:
    """Lengths in cm as the record keeps them; what is no number stays."""
    return {
        path.replace("__", "."): one * 10 if isinstance(one, float | int) else one
        for path, one in given.items()
    }


def body(stature: float = 172.0, **own: float) -> Values:
    """A body of this stature, everything else in proportion but what is given."""
    of = {name: round(at * stature / 172, 1) for name, at in MEDIAN.items()} | own
    return {f"measure.{name}.first": at * 10 for name, at in of.items()}


def chair(low: float = 40.0, high: float = 53.0, **more: Any) -> Values:
    asked = {
        "kind": "task",
        **mm(seat_min=low, seat_max=high, depth_min=38, depth_max=48),
        **mm(lumbar_kind="free", lumbar_min=15, lumbar_max=26, armrests="none"),
        "backrest_min": 90.0,
        "backrest_max": 115.0,
        **mm(**more),
    }
    return {f"look.chair.{key}": one for key, one in asked.items()}


def desk(
    low: float, high: float | None = None, *, thick: float = 3.0, at: float | None = None
) -> Values:
    moves = high is not None
    given = mm(surface_min=low, surface_max=high or low, thickness=thick, depth=80, width=160)
    asked = {"kind": "sit_stand" if moves else "fixed", "under": "free", **given}
    found = low if at is None else at
    return {f"look.desk.{key}": one for key, one in asked.items()} | mm(look__found__surface=found)


def monitor(low: float, high: float, held: str = "stand", id: str = "screen") -> Values:
    asked = {"kind": "monitor", "diagonal": 24.0, "aspect": "16:9", "held": held}
    asked |= mm(top_min=low, top_max=high)
    return {f"look.{id}.{key}": one for key, one in asked.items()}


def found(**value: float) -> Values:
    return {
        f"look.found.{key}": at if key.endswith(("tilt", "bearing")) else at * 10
        for key, at in value.items()
    }


def room(**things: tuple[float, int]) -> Values:
    """Things at hand: the height of one, and how many."""
    result: Values = {}
    for name, (height, many) in things.items():
        at = f"look.support.{name}"
        result |= {at: "yes", f"{at}.height": height * 10, f"{at}.count": float(many)}
    return result
