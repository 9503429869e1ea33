"""Row of the text's size."""

from __future__ import annotations

from collections.abc import Sequence
from math import ceil, radians, tan

from ..body import Body
from ..errors import MissingInput
from ..language import msg, numeral
from ..tolerances import ROUNDING
from .case import Case
from .result import FitRow
from .rows import about, kept, set_row, target_row
from .screen_rows import CAPITAL_ARCMIN, LEAST_ARCMIN
from .terms import Term

CAPITAL_PX = 11.2
"""Capitals of a usual 16-pixel text at 100 %, px. Source: house-text."""
SCALE_STEP = 25.0


def capital_mm(distance: float, arcmin: float = CAPITAL_ARCMIN) -> float:
    """Height of a capital that covers so many minutes of arc at a distance, mm.

    >>> round(capital_mm(625), 2)
    3.64
    """
    return distance * tan(radians(arcmin / 60))


def scale_row(case: Case, distance: float | None) -> FitRow:
    """Display scale at which usual text is large enough at this distance."""
    screen = case.workstation.screen
    subject = about(
        "scale",
        "seated",
        source="house-text",
        why=msg("Enlarge text rather than lean: capitals should be 20 arc minutes high."),
    )

    def raw() -> float:
        if distance is None:
            raise MissingInput("distance", msg("The eye distance is not known yet."))
        if screen.width is None or screen.pixels_across is None:
            raise MissingInput(
                "pixels", msg("The screen’s size and pixels across are not recorded.")
            )
        return 100 * capital_mm(distance) / (CAPITAL_PX * screen.width / screen.pixels_across)

    def terms(_: Body) -> Sequence[Term]:
        needed = raw()
        step = max(100.0, ceil(needed / SCALE_STEP - ROUNDING) * SCALE_STEP)
        capital = msg(
            "for capitals of {capital_mm} mm",
            capital_mm=numeral(f"{capital_mm(distance or 0.0):.1f}"),
        )
        return (
            Term(label=capital, value=needed),
            Term(label=msg("to the next step"), value=step - needed),
        )

    row = target_row(
        case,
        subject,
        terms,
        lambda _: (raw() * LEAST_ARCMIN / CAPITAL_ARCMIN, None),
        found=case.found_seated.scale,
    )
    return kept(case, set_row(row, row.target), "scale")
