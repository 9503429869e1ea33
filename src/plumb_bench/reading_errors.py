"""How many slips the questions catch: planted in a generated population, counted one by one."""

from __future__ import annotations

import random
from collections import Counter
from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

from gentle_plumb.core.body import (
    DIMENSIONS,
    TWINS,
    Body,
    BodyValue,
    PlausibilityDoubt,
    Sex,
    house_error,
    made_up_body,
    neighbours,
    questions,
)
from gentle_plumb.core.errors import FieldError
from gentle_plumb.core.record import fields, read_typed
from gentle_plumb.core.units import parse_length

SHARE = 0.05
SEED = 20261125
UNIT = (2.54, 1 / 2.54, 10.0, 0.1)
Plant = Literal[
    "factor 2.54",
    "factor 10",
    "fields swapped",
    "any two swapped",
    "standing for sitting",
    "digits swapped",
]
PLANTS: tuple[Plant, ...] = (
    "factor 2.54",
    "factor 10",
    "fields swapped",
    "any two swapped",
    "standing for sitting",
    "digits swapped",
)
SWAP_MATTERS_MM = 30.0
"""Fields whose values differ by less than this are not exchanged: the slip would move nothing that
a tape could tell."""


@dataclass(frozen=True)
class Planted:
    """What became of one kind: how many, how many questioned, and how many with the right way out."""

    kind: str
    count: int
    asked: int
    right: int

    @property
    def rate(self) -> float:
        """Share questioned, in percent."""
        return 100 * self.asked / self.count if self.count else 0.0


def _digits(mm: float, chance: random.Random) -> float:
    text = f"{mm:.0f}"
    index = chance.choice([i for i in range(len(text) - 1) if text[i] != text[i + 1]] or [0])
    return float(text[:index] + text[index + 1] + text[index] + text[index + 2 :])


def plant(
    body: dict[str, float], chance: random.Random
) -> tuple[dict[str, float], dict[str, tuple[str, float]]]:
    """Slips in one body: the values as typed, and by dimension what was planted and what is true."""
    typed = dict(body)
    planted: dict[str, tuple[str, float]] = {}
    for name, mm in body.items():
        if name in planted or chance.random() >= SHARE:
            continue
        kind = chance.choice(PLANTS)
        if kind == "factor 2.54":
            typed[name] = mm * chance.choice(UNIT[:2])
        elif kind == "factor 10":
            typed[name] = mm * chance.choice(UNIT[2:])
        elif kind == "digits swapped":
            typed[name] = _digits(mm, chance)
        else:
            pairs = [pair for pair in neighbours() if name in pair]
            if kind == "any two swapped":
                pairs = [(name, other) for other in body if other != name]
            if kind == "standing for sitting":
                pairs = [pair for pair in TWINS.items() if name in pair]
            other = [a if b == name else b for a, b in pairs]
            other = [
                text
                for text in other
                if text not in planted and text in body and abs(body[text] - mm) >= SWAP_MATTERS_MM
            ]
            if not other:
                continue
            with_it = chance.choice(other)
            if kind in ("fields swapped", "any two swapped"):
                typed[with_it] = mm
                planted[with_it] = (kind, body[with_it])
            typed[name] = body[with_it]
        if abs(typed[name] - mm) < 1:
            continue
        planted[name] = (kind, mm)
    return typed, planted


def _right(
    name: str, mm: float, truth: float, found: Iterable[PlausibilityDoubt], outside: bool
) -> bool:
    """Whether one tap puts the true value there: a question's, or one the field itself offers."""
    if not outside:
        return any(
            question.slip is not None
            and question.slip.mm is not None
            and abs(question.slip.mm - truth) < 2
            for question in found
        )
    for typed in (
        f"{mm / 10:.3f}",
        f"{mm:.2f} mm",
        f"{mm / 25.4:.4f} in",
    ):  # as it may have been typed
        try:
            read_typed(fields.measure.dimension[name].first, typed, unit="cm")
        except FieldError as refused:
            offered = [parse_length(choice) for choice in refused.choices]
            if refused.belongs or any(abs(value - truth) < 2 for value in offered):
                return True
    return False


def count_slips(
    people: int, *, seed: int = SEED, sex_known: bool = True
) -> tuple[list[Planted], float]:
    """Plant and count.

    Returns
    -------
    list of Planted, float
        One line a kind, and the share of true values that were questioned, in percent. A value
        outside its field's range counts as questioned: the field asks with the likely readings.

    """
    chance = random.Random(seed)  # noqa: S311
    counts: Counter[str] = Counter()
    asked: Counter[str] = Counter()
    right: Counter[str] = Counter()
    true_values = true_asked = 0
    for index in range(people):
        sex: Sex = "female" if index % 2 else "male"
        body = made_up_body(lambda: chance.gauss(0, 1), sex=sex)
        read = {
            name: round(
                mm + chance.gauss(0, house_error(DIMENSIONS[name].repeat_limit_mm) / 2**0.5)
            )
            for name, mm in body.items()
        }
        typed, planted = plant({name: float(mm) for name, mm in read.items()}, chance)
        outside = {
            name
            for name, mm in typed.items()
            if not DIMENSIONS[name].low_mm <= mm <= DIMENSIONS[name].high_mm
        }
        taken = {
            name: BodyValue(mm=mm, sd_mm=3.0, source="measured")
            for name, mm in typed.items()
            if name not in outside
        }
        all_questions: dict[str, list[PlausibilityDoubt]] = {}
        for question in questions(Body(values=taken, sex=sex if sex_known else None)):
            all_questions.setdefault(question.dimension, []).append(question)
            if question.kind == "relation":
                for other in question.others:
                    all_questions.setdefault(other, []).append(question)
        for name in typed:
            doubted = name in outside or name in all_questions
            if name not in planted:
                true_values += 1
                true_asked += doubted
                continue
            kind, truth = planted[name]
            counts[kind] += 1
            asked[kind] += doubted
            right[kind] += _right(
                name, typed[name], truth, all_questions.get(name, ()), name in outside
            )
    lines = [Planted(kind, counts[kind], asked[kind], right[kind]) for kind in PLANTS]
    return lines, 100 * true_asked / true_values


PEOPLE = 10_000
NOTES: dict[str, str] = {
    "factor 2.54": "inches for centimetres and the other way round",
    "factor 10": "millimetres for centimetres and the other way round",
    "fields swapped": "two neighbours in the order of measuring, or the seated and standing twin, "
    "exchanged; only where they differ by 30 mm or more",
    "any two swapped": "the same with any two fields: the questions don’t look for these, but both "
    "values have to go with the rest",
    "standing for sitting": "the twin’s value typed instead",
    "digits swapped": "two neighbouring digits; no bar: most of them move the value by less than "
    "bodies differ",
}
BARS = {"factor 2.54": 95.0, "factor 10": 95.0, "fields swapped": 95.0}


def slips_document(
    people: int, known: tuple[list[Planted], float], unknown: tuple[list[Planted], float]
) -> str:
    """The table for docs/, in Markdown, with how it was measured."""
    rows = [
        f"| {line.kind} | {line.count} | {line.rate:.1f} % | {100 * line.right / max(1, line.count):.1f} % "
        f"| {other.rate:.1f} % | {f'at least {BARS[line.kind]:.0f} %' if line.kind in BARS else 'none'} "
        f"| {NOTES[line.kind]} |"
        for line, other in zip(known[0], unknown[0], strict=True)
    ]
    return "\n".join(
        [
            "# How many slips are asked about",
            "",
            "Written by `./plumb bench`; not by hand.",
            "",
            f"{people:,} bodies, half women and half men, are drawn from the program’s own table under",
            "the one-factor model of `core/body/factor.py` (each correlation is the product of the two with",
            "stature). A body that breaks a relation of `core/body/relations.py` is drawn again. Each of the",
            "24 dimensions is read with the house’s error of a mean of two. One value in twenty gets a slip,",
            "of a kind drawn by lot. All 24 values of a body are then asked about together, as in a visit.",
            "",
            "| planted | how many | asked about | with the right way out | sex not given | bar | what it is |",
            "|---|---|---|---|---|---|---|",
            *rows,
            "",
            f"Of the true values beside them {known[1]:.2f} % were asked about ({unknown[1]:.2f} % with sex not",
            "given); the bar is under 3 %. A value outside its field’s range counts as asked about: the field",
            "does not take it, and offers what may have been meant. The right way out is counted where one",
            "tap puts the true value there, within 2 mm.",
            "",
            "What this does not show: real bodies hang together closer than the model, so slips stand out",
            "more and true values less; a client of another population than the table’s is asked about more",
            f"often. Chance starts from {SEED}, so everybody gets the same numbers.",
            "",
        ]
    )
