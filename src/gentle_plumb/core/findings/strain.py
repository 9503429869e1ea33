"""Strain minutes: hours a day times degrees outside the band, capped, added up by region.

One strain minute is one minute with a joint 30 degrees outside its band; 15 degrees for two
minutes are as much. A joint is counted once, by its strongest evidence; the rest is shown and not
added. It is a way to rank what to do first: no diagnosis, and no forecast of injury.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from ..assessment import whole_minutes
from ..catalogue import JOINTS, REGIONS
from .finding import Finding


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
    """A region's strain minutes a day, the sum of its parts as they are shown: whole minutes each."""

    region: str
    label: str
    minutes: float
    parts: tuple[StrainPart, ...]
    discomfort: tuple[str, ...] = ()


def strain_by_region(findings: Iterable[Finding]) -> tuple[Strain, ...]:
    """Add findings up by region, the greatest first.

    Parameters
    ----------
    findings : iterable of Finding
        Dismissed ones do not count.

    """
    by_joint: dict[tuple[str, str, str], list[Finding]] = {}
    for finding in findings:
        if finding.state != "off" or not finding.joint or finding.minutes is None:
            continue
        if finding.over_deg is None or finding.verdict == "dismissed":
            continue
        region = region_of(finding.joint, finding.region)
        by_joint.setdefault((region, finding.joint, finding.posture), []).append(finding)
    parts: dict[str, list[StrainPart]] = {}
    felt: dict[str, tuple[str, ...]] = {}
    for (region, joint, posture), members in by_joint.items():
        members.sort(key=lambda finding: -(finding.minutes or 0.0))
        felt.setdefault(region, members[0].discomfort)
        parts.setdefault(region, []).extend(
            StrainPart(
                joint=joint,
                posture=posture,
                title=finding.title,
                minutes=finding.minutes or 0.0,
                sum=finding.sum or "",
                counted=index == 0,
            )
            for index, finding in enumerate(members)
        )
    regions = [
        Strain(
            region=region,
            label=REGIONS.get(region, region),
            parts=tuple(strain_parts),
            minutes=sum(whole_minutes(part.minutes) for part in strain_parts if part.counted),
            discomfort=felt.get(region, ()),
        )
        for region, strain_parts in parts.items()
    ]
    return tuple(sorted(regions, key=lambda strain: -strain.minutes))


def region_of(joint: str, region: str) -> str:
    """Return where a joint's strain is felt; ``region`` where no joint pays."""
    return JOINTS[joint].region if joint in JOINTS else region
