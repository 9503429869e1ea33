"""The terms a target is made of, and how they read: ``450 = 440 popliteal height + 25 shoe − 15 relief``."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..language import filled, joined
from ..units import LengthUnit, format_length


@dataclass(frozen=True, kw_only=True)
class Term:
    """One summand of a target: ``value`` signed, in the target's unit."""

    label: str
    value: float


def total(terms: Sequence[Term]) -> float:
    """The sum, unrounded."""
    return sum(term.value for term in terms)


def terms_parts(terms: Sequence[Term], unit: LengthUnit = "mm") -> tuple[str, str]:
    """Return the sum and its terms in words. Rounding is carried along, so that they add up.

    Examples
    --------
    >>> terms_parts([Term(label="popliteal height", value=440), Term(label="shoe", value=25)], "cm")
    ('46.5', '44.0 popliteal height + 2.5 shoe')

    """
    grain = {"mm": 1.0, "cm": 1.0, "in": 0.254}[unit]
    running, shown = 0.0, 0
    parts: list[str] = []
    for term in terms:
        running += term.value
        step = round(running / grain) - shown
        shown += step
        if step == 0 and len(terms) > 1:
            continue
        text = filled("{abs} {label}", abs=format_length(abs(step) * grain, unit), label=term.label)
        if not parts:
            parts.append(text if step >= 0 else filled("−{text}", text=text))
        else:
            parts.append(filled("{what} {text}", what="+" if step >= 0 else "−", text=text))
    return format_length(shown * grain, unit), joined(" ", parts)


def terms_text(terms: Sequence[Term], unit: LengthUnit = "mm") -> str:
    """Return the sum and its terms as one line.

    Examples
    --------
    >>> terms_text([Term(label="popliteal height", value=440), Term(label="shoe", value=25),
    ...             Term(label="relief", value=-15)])
    '450 = 440 popliteal height + 25 shoe − 15 relief'

    """
    return " = ".join(terms_parts(terms, unit))
