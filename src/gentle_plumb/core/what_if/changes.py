"""What became of rows and findings between two settings."""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..assessment import Assessment
from ..catalogue import QUANTITIES
from ..findings import Finding, effect_of
from ..fit import AimedSettings, FitResult, FitRow, Posture, PostureFit
from ..language import msg
from ..plans import total_of, what_is_left
from ..presentation import apart_text, hard_limit_words, value_text
from ..record import Field, fields
from ..tolerances import SAME_DEG, SAME_MM
from ..units import LengthUnit
from ..words import bare_degrees, say_amount, say_degrees, say_joint
from .analysis import VisitAnalysis

POSTURES: tuple[Posture, Posture] = ("seated", "standing")
FOUND_AT: dict[Posture, dict[str, Field[float]]] = {
    "seated": {
        key: field
        for key, field in fields.found.by_quantity.items()
        if key in fields.settings.setting["seated"]
    },
    "standing": fields.found.standing,
}
"""The fields of what is set, as found, by posture and quantity."""


@dataclass(frozen=True, kw_only=True)
class SettingChange:
    """A row or joint that is otherwise than before: both numbers, and by how much."""

    id: str
    posture: str
    label: str
    unit: str
    before: str
    after: str
    by: str


@dataclass(frozen=True, kw_only=True)
class FindingSummary:
    """What would be off if it were set like this, in one line."""

    id: str
    text: str


def summary_of(finding: Finding) -> FindingSummary:
    """Return a finding in short: its title, and the posture where it is standing."""
    where = ", standing" if finding.posture == "standing" else ""
    return FindingSummary(id=finding.id, text=f"{finding.title}{where}")


def off_in(analysis: VisitAnalysis) -> dict[str, Finding]:
    """What is off, by its id; what the practitioner has dismissed is not."""
    return {
        finding.id: finding
        for finding in analysis.findings
        if finding.state == "off" and finding.verdict != "dismissed"
    }


def _with_errors_of(was: PostureFit, now: PostureFit) -> PostureFit:
    old = {row.key: row for row in was.rows}
    return replace(
        now,
        rows=tuple(
            row.replace(
                sd=old_row.sd,
                shares=old_row.shares,
                estimated=old_row.estimated,
                retake=old_row.retake,
            )
            if (old_row := old.get(row.key)) is not None and row.target is not None
            else row
            for row in now.rows
        ),
    )


def carry_over_uncertainty(before: VisitAnalysis, after: VisitAnalysis) -> VisitAnalysis:
    """The later analysis with the earlier one's errors: settings that are tried don't change them."""
    reuse = after.visit_input.reuse

    def carried(place: str, was: FitResult, now: FitResult) -> FitResult:
        seated, standing = was.seated, was.standing
        return replace(
            now,
            seated=reuse.last(4, (place, "seated"), _with_errors_of, seated, now.seated),
            standing=reuse.last(4, (place, "standing"), _with_errors_of, standing, now.standing),
        )

    result = carried("result", before.result, after.result)
    same = after.stands == after.result and before.stands == before.result
    return replace(
        after,
        result=result,
        stands=result if same else carried("stands", before.stands, after.stands),
    )


def out_of_band_messages(analysis: VisitAnalysis, unit: LengthUnit) -> list[FindingSummary]:
    """Return what would be off if everything were set like this, the hard limits first."""
    assessment = analysis.assessment
    summaries = [
        FindingSummary(id=f"hard.{index}", text=text)
        for index, text in enumerate(hard_limit_words(assessment.hard_limits("aimed"), unit))
    ]
    for assessed in assessment.aimed:
        if assessed.possible:
            summaries += _settings_off(assessed, unit)
            summaries += _joints_off(assessed)
    return summaries


def _settings_off(assessed: Assessment, unit: LengthUnit) -> list[FindingSummary]:
    summaries = []
    for state in assessed.settings:
        quantity, excess = state.quantity, state.excess
        if not excess or not quantity.judged or abs(excess) < SAME_MM:
            continue
        effect = effect_of(assessed, state)
        if effect is None:
            continue
        where = ", standing" if assessed.posture == "standing" else ""
        apart = say_amount(quantity, abs(excess), unit)
        side = quantity.over if excess > 0 else quantity.under
        summaries.append(
            FindingSummary(
                id=f"{assessed.posture}.{quantity.key}",
                text=msg(
                    "{label}{where} {apart} {side} its range: {effect}.",
                    label=quantity.label,
                    where=where,
                    apart=apart,
                    side=side,
                    effect=effect,
                ),
            )
        )
    return summaries


def _joints_off(assessed: Assessment) -> list[FindingSummary]:
    summaries = []
    standing = assessed.posture == "standing"
    for joint in assessed.joints:
        if joint.excess_deg and not (standing and joint.joint == "upper_arm"):
            side = msg("over") if joint.excess_deg > 0 else msg("under")
            words = say_joint(joint.joint, joint.angle or 0.0, 1)
            summaries.append(
                FindingSummary(
                    id=f"{assessed.posture}.joint.{joint.joint}",
                    text=msg(
                        "{words}{what}: {abs} {side} its range.",
                        words=words,
                        what=", standing" if standing else "",
                        abs=say_degrees(abs(joint.excess_deg), 1),
                        side=side,
                    ),
                )
            )
    return summaries


def residual_strain(analysis: VisitAnalysis) -> tuple[float, float | None]:
    """Degrees and strain minutes a day that stay outside the bands as set."""
    result = analysis.result
    stands = result.standing.possible and analysis.case.workstation.desk.kind == "sit_stand"
    settled = AimedSettings(
        seated=analysis.computed[0],
        standing=None,
        joints_seated=result.seated.joints_set,
        joints_standing=result.standing.joints_set if stands else (),
    )
    return total_of(what_is_left(analysis.case, settled))


def day_strain(analysis: VisitAnalysis, standing_hours: float) -> tuple[float | None, float | None]:
    """Strain minutes a day of the joints: as found, and as set with so many hours standing."""
    result, case = analysis.result, analysis.case
    stands = result.standing.possible and standing_hours > 0
    settings = AimedSettings(
        seated=case.found_seated,
        standing=None,
        joints_seated=result.seated.joints_found,
        joints_standing=result.standing.joints_found if case.standing_hours else (),
    )
    aimed = AimedSettings(
        seated=analysis.computed[0],
        standing=None,
        joints_seated=result.seated.joints_set,
        joints_standing=result.standing.joints_set if stands else (),
    )
    day = replace(case, standing_hours=standing_hours)
    return total_of(what_is_left(case, settings))[1], total_of(what_is_left(day, aimed))[1]


def setting_changes(before: FitResult, after: FitResult, unit: LengthUnit) -> list[SettingChange]:
    """Every setting and joint that is otherwise, in mm and degrees."""
    changes = []
    for posture in POSTURES:
        was, now = before.of(posture), after.of(posture)
        if not (was.possible and now.possible):
            continue
        old = {row.key: row for row in was.rows}
        for row in now.rows:
            change = row_moved(old.get(row.key), row, unit)
            changes += [change] if change else []
        angles = {joint.joint: joint for joint in was.joints_set}
        for joint in now.joints_set:
            then = angles[joint.joint].angle
            if then is None or joint.angle is None or abs(joint.angle - then) < SAME_DEG:
                continue
            if posture == "standing" and joint.joint == "upper_arm":
                continue
            by = joint.angle - then
            changes.append(
                SettingChange(
                    id=f"joint.{joint.joint}",
                    posture=posture,
                    label=joint.label,
                    unit="°",
                    before=bare_degrees(then, 1),
                    after=bare_degrees(joint.angle, 1),
                    by=f"{'+' if by > 0 else '−'}{abs(by):.1f}",
                )
            )
    return changes


def row_moved(old: FitRow | None, row: FitRow, unit: LengthUnit) -> SettingChange | None:
    """Return how a row is otherwise than before; None where it is not."""
    was = old.setting if old is not None else None
    if row.setting is None or was is None or abs(row.setting - was) < SAME_MM:
        return None
    if row.key in QUANTITIES and QUANTITIES[row.key].built_in:
        return None
    return SettingChange(
        id=row.key,
        posture=row.posture,
        label=row.label,
        unit={"deg": "°", "%": "%", "mm": unit}[row.unit],
        before=value_text(row, was, unit) or "",
        after=value_text(row, row.setting, unit) or "",
        by=apart_text(row, row.setting - was, unit) or "",
    )
