"""Strain minutes: hours a day times degrees outside the band, capped.

One strain minute is one minute with a joint 30 degrees outside its band; 15 degrees for two minutes
are as much. It is a way to rank what to do first: no diagnosis, and no forecast of injury.
"""

from __future__ import annotations

from math import floor

from ..language import msg, numeral

CAP_DEG = 30.0
"""Degrees outside a band that count in full; more count no more. Source: house-strain."""


def strain_minutes(*, hours: float, share: float, over_deg: float) -> float:
    """Strain minutes a day.

    Parameters
    ----------
    hours : float
        Hours a day of the tasks, 0 to 24.
    share : float
        Share of that time it is there, 0 to 1.
    over_deg : float
        Degrees outside the band, either way.

    >>> strain_minutes(hours=4, share=0.5, over_deg=-15)
    60.0

    """
    return hours * 60 * share * min(abs(over_deg), CAP_DEG) / CAP_DEG


def whole_minutes(minutes: float) -> int:
    """Strain minutes as they are shown, halves up, the same wherever they stand.

    >>> whole_minutes(178.5), whole_minutes(94.5), whole_minutes(0.2)
    (179, 95, 0)

    """
    return floor(minutes + 0.5)


def sum_text(*, hours: float, share: float, over_deg: float) -> str:
    r"""The arithmetic in words.

    >>> sum_text(hours=4, share=0.5, over_deg=45)
    '4\xa0h × 60 × 0.5 of the time × 30° (capped) ÷ 30° = 120\xa0min'

    """
    part = msg(" × {share} of the time", share=numeral(f"{share:g}")) if share != 1 else ""
    over = min(abs(over_deg), CAP_DEG)
    capped = " (capped)" if abs(over_deg) > CAP_DEG else ""
    minutes = strain_minutes(hours=hours, share=share, over_deg=over_deg)
    return msg(
        "{hours}\xa0h × 60{part} × {over}°{capped} ÷ {cap_deg}° = {minutes}\xa0min",
        hours=numeral(f"{hours:.3g}"),
        part=part,
        over=numeral(f"{over:.3g}"),
        capped=capped,
        cap_deg=numeral(f"{CAP_DEG:.0f}"),
        minutes=whole_minutes(minutes),
    )
