"""A worked case as tables for people at a terminal."""

from __future__ import annotations

from rich.console import Console
from rich.table import Table

from ..core.fit import FitRow, PostureFit, limit_text, notes_in
from ..core.language import filled, joined, msg
from ..core.plans import PlanSet
from ..core.presentation import apart_text, move_views, plan_views, terms_words, value_text
from ..core.units import LengthUnit
from .case_format import CaseWorked

UNIT_OF = {"deg": "°", "%": " %"}


def _value(row: FitRow, value: float | None, unit: LengthUnit) -> str:
    text = value_text(row, value, unit)
    return "–" if text is None else f"{text}{UNIT_OF.get(row.unit, f' {unit}')}"


def _posture(posture: PostureFit, unit: LengthUnit) -> Table:
    table = Table(title=posture.posture.title(), title_justify="left")
    for heading in (
        "",
        "target",
        "setting",
        "found",
        "change",
        msg("made of"),
        msg("limit and cost"),
    ):
        left = heading in ("", msg("made of"), msg("limit and cost"))
        table.add_column(heading, justify="left" if left else "right")
    for row in posture.rows:
        said = [limit_text(limit, unit) for limit in row.limits]
        if row.cost is not None and row.cost.excess_deg:
            said.append(row.cost.text)
        change = apart_text(row, row.change, unit)
        table.add_row(
            row.label,
            _value(row, row.target, unit),
            _value(row, row.setting, unit),
            _value(row, row.found, unit),
            change or "–",
            (terms_words(row, unit) if row.terms else row.reason) or "",
            joined("; ", said),
        )
    return table


def print_table(console: Console, case_worked: CaseWorked, unit: LengthUnit) -> None:
    """Print both postures, the moves between them, notes, plans with cautions, and purchases."""

    def say(words: str) -> None:
        console.print(words, markup=False)

    result = case_worked.result
    for posture in (result.seated, result.standing):
        if posture.possible:
            console.print(_posture(posture, unit))
        elif posture.why_not:
            say(posture.why_not)
    for move in move_views(result.moves, unit):
        way = (
            msg(
                "{seated} to {standing} {unit} ({by})",
                seated=move.seated,
                standing=move.standing,
                unit=unit,
                by=move.by,
            )
            if move.by
            else move.both
        )
        say(f"{move.label}: {way}")
    for note in notes_in(case_worked.case, result, unit):
        say(note)
    _print_plans(console, case_worked.plan_set, unit)


def _print_plans(console: Console, plan_set: PlanSet, unit: LengthUnit) -> None:
    shown, fixes = plan_views(plan_set, unit)
    plans = Table(title=msg("Plans"), title_justify="left")
    for heading in ("", msg("does not fit"), "added", "price", msg("outside bands"), msg("a day")):
        plans.add_column(heading)
    for plan in shown:
        plans.add_row(
            plan.label,
            "\n".join(plan.shortfalls) or "–",
            "\n".join(view.label for view in plan.added) or "nothing",
            "\n".join(view.price for view in plan.added),
            "\n".join(
                [
                    plan.excess,
                    *(
                        filled(
                            "{label}, {posture}: {excess}",
                            label=view.label,
                            posture=view.posture,
                            excess=view.excess,
                        )
                        for view in plan.left
                    ),
                ]
            ),
            plan.minutes or "–",
        )
    console.print(plans)
    for caution in dict.fromkeys(caution for plan in shown for caution in plan.cautions):
        console.print(caution, markup=False)
    for fix in fixes:
        console.print(
            msg(
                "{label} ({price}): {removes}; {left} left",
                label=fix.label,
                price=fix.price,
                removes=fix.removes,
                left=fix.left,
            ),
            markup=False,
        )
