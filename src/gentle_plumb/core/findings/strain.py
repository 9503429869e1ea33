"""Strain minutes: hours a day times degrees outside the band, capped, added up by region.

One strain minute is one minute with a joint 30 degrees outside its band; 15 degrees for two
minutes are as much. A joint is counted once, by its strongest evidence; the rest is shown and not
added. It is a way to rank what to do first: no diagnosis, and no forecast of injury.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from math import floor

from .finding import Finding

CAP_DEG = 30.0
"""Degrees outside a band that count in full; more count no more. Source: house-strain."""

REGION_LABELS: dict[str, str] = {
    "eyes": "Eyes",
    "neck": "Neck",
    "shoulder": "Shoulders",
    "forearm": "Elbows and forearms",
    "wrist": "Wrists and hands",
    "upper_back": "Upper back",
    "lower_back": "Lower back",
    "hip": "Hips and thighs",
    "knee": "Knees",
    "foot": "Feet",
}
REGION_OF_JOINT: dict[str, str] = {
    "neck": "neck",
    "upper_arm": "shoulder",
    "elbow": "forearm",
    "wrist": "wrist",
    "trunk": "lower_back",
    "hip": "hip",
    "knee": "knee",
}
"""Where a joint's strain is felt. Source: house-strain."""


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
    """The arithmetic in words.

    >>> sum_text(hours=4, share=0.5, over_deg=45)
    '4 h × 60 × 0.5 of the time × 30° (capped) ÷ 30° = 120 min'

    """
    part = f" × {share:g} of the time" if share != 1 else ""
    over = min(abs(over_deg), CAP_DEG)
    capped = " (capped)" if abs(over_deg) > CAP_DEG else ""
    minutes = strain_minutes(hours=hours, share=share, over_deg=over_deg)
    return f"{hours:.3g} h × 60{part} × {over:.3g}°{capped} ÷ {CAP_DEG:.0f}° = {whole_minutes(minutes)} min"


@dataclass(frozen=True, kw_only=True)
class StrainPart:
    """One joint's share of a region: the evidence counted, its sum, and what was left out."""

    joint: str
    posture: str
    title: str
    minutes: float
    sum: str
    counted: bool


@dataclass(frozen=True, kw_only=True)
class Strain:
    """A region's strain minutes a day, with the parts they come from."""

    region: str
    label: str
    minutes: float
    parts: tuple[StrainPart, ...]
    felt: tuple[str, ...] = ()


def strain_by_region(findings: Iterable[Finding]) -> tuple[Strain, ...]:
    """Add findings up by region, the greatest first.

    Parameters
    ----------
    findings : iterable of Finding
        Dismissed ones do not count.

    """
    by_joint: dict[tuple[str, str, str], list[Finding]] = {}
    for found in findings:
        if found.state != "off" or not found.joint or found.minutes is None:
            continue
        if found.over_deg is None or found.verdict == "dismissed":
            continue
        region = REGION_OF_JOINT.get(found.joint, found.region)
        by_joint.setdefault((region, found.joint, found.posture), []).append(found)
    parts: dict[str, list[StrainPart]] = {}
    felt: dict[str, tuple[str, ...]] = {}
    for (region, joint, posture), members in by_joint.items():
        members.sort(key=lambda one: -(one.minutes or 0.0))
        felt.setdefault(region, members[0].felt)
        parts.setdefault(region, []).extend(
            StrainPart(
                joint=joint,
                posture=posture,
                title=one.title,
                minutes=one.minutes or 0.0,
                sum=one.sum or "",
                counted=index == 0,
            )
            for index, one in enumerate(members)
        )
    regions = [
        Strain(
            region=region,
            label=REGION_LABELS.get(region, region),
            parts=tuple(found),
            minutes=sum(part.minutes for part in found if part.counted),
            felt=felt.get(region, ()),
        )
        for region, found in parts.items()
    ]
    return tuple(sorted(regions, key=lambda one: -one.minutes))
