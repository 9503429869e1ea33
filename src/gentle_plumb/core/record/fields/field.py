"""What a field is, and short ways to write one down.

A field is an object: the record is read with it (``record[fields.chair.kind]``), and its answer
has its type. Its path (``look.chair.kind``) is what the page, the database and open files call it.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, fields, is_dataclass, replace
from math import inf
from types import ModuleType
from typing import Generic, Literal, TypedDict, TypeVar, Unpack

from ...catalogue import Quantity
from ...choices import Choice, one_of

StepId = Literal["ask", "look", "measure", "work", "set", "pace", "report"]
Kind = Literal["length", "number", "choice", "text", "date", "point"]
When = tuple[tuple[str, tuple[str, ...]], ...]
Value = float | str | None
"""What a record holds under a path: mm, a number, an answer, a text; None once cleared."""
T_co = TypeVar("T_co", covariant=True)
C = TypeVar("C", bound=Choice)
K = TypeVar("K", bound=str)

STEPS: dict[StepId, str] = {
    "ask": "Ask",
    "look": "Look",
    "measure": "Measure",
    "work": "Work out",
    "set": "Set",
    "pace": "Pace",
    "report": "Report",
}


@dataclass(frozen=True, kw_only=True, eq=False)
class Field(Generic[T_co]):
    """One field, and the type of its answer.

    ``low`` and ``high`` are in mm for a length, in ``unit`` for a number. ``part`` is the part of
    the drawing it belongs to; ``needed`` counts for the step's progress; ``section`` is the part of
    its step; ``when`` names answers without which it makes no sense (all of them must hold);
    ``health`` marks what is kept only with consent to health notes and never goes to the
    workplace; ``pair`` is the name of the range whose lower end it is; ``noted_only`` marks what is
    kept for the record and decides nothing; ``members`` are the answers of a choice by wire text.
    """

    id: str
    step: StepId
    group: str
    label: str
    kind: Kind
    section: str = ""
    help: str = ""
    unit: str = ""
    low: float | None = None
    high: float | None = None
    choices: tuple[tuple[str, str], ...] = ()
    needed: bool = False
    part: str = ""
    when: When = ()
    health: bool = False
    pair: str = ""
    noted_only: bool = False
    members: Mapping[str, T_co] | None = None

    def read(self, value: Value) -> T_co | None:
        """Return a recorded value as this field's type; None where there is none or it does not fit."""
        if value is None:
            return None
        if self.members is not None:
            return self.members.get(value) if isinstance(value, str) else None
        if self.kind in ("length", "number"):
            return float(value) if not isinstance(value, str) else None  # type: ignore[return-value]  # T_co is float
        return value if isinstance(value, str) else None  # type: ignore[return-value]  # T_co is str

    @property
    def ends(self) -> tuple[float, float]:
        """Lowest and highest value that is accepted; the whole line where there is no range."""
        low, high = self.low, self.high
        return (-inf if low is None else low), (inf if high is None else high)

    def among(self, *answers: str) -> When:
        """Return the condition that this field has one of these answers."""
        return ((self.id, tuple(str(answer) for answer in answers)),)

    def open_or(self, *answers: str) -> When:
        """Return the condition that this field has one of these answers, or none yet."""
        return ((self.id, ("", *(str(answer) for answer in answers))),)


@dataclass(frozen=True, eq=False)
class SpanField:
    """Both ends of a range, and the step it goes in where that is asked."""

    low: Field[float]
    high: Field[float]
    step: Field[float] | None = None

    @property
    def ends(self) -> tuple[float, float]:
        """Lowest and highest value that is accepted."""
        return self.low.ends


class FieldOptions(TypedDict, total=False):
    """What a field may say beyond its name, label and kind: see :class:`Field`."""

    help: str
    needed: bool
    part: str
    when: When
    health: bool
    noted_only: bool


def step_of(path: str) -> StepId:
    """Return the step a path belongs to; KeyError where there is none."""
    step = one_of(STEPS, path.split(".", 1)[0])
    if step is None:
        raise KeyError(path)
    return step


@dataclass(frozen=True)
class Place:
    """Where fields stand: the path they begin with, their group and section on the form.

    Its methods make the fields; ``name`` is the last part of the path, empty for the path itself.
    Lengths in mm.
    """

    path: str
    group: str
    section: str = ""

    def _id(self, name: str) -> str:
        return f"{self.path}.{name}" if name else self.path

    def length(
        self, name: str, label: str, low: float, high: float, **more: Unpack[FieldOptions]
    ) -> Field[float]:
        """Make a length; range in mm."""
        return Field(
            id=self._id(name),
            step=step_of(self.path),
            group=self.group,
            section=self.section,
            label=label,
            kind="length",
            low=low,
            high=high,
            **more,
        )

    def amount(
        self,
        name: str,
        label: str,
        unit: str,
        low: float,
        high: float,
        **more: Unpack[FieldOptions],
    ) -> Field[float]:
        """Make a plain number with its unit."""
        return Field(
            id=self._id(name),
            step=step_of(self.path),
            group=self.group,
            section=self.section,
            label=label,
            kind="number",
            unit=unit,
            low=low,
            high=high,
            **more,
        )

    def choice(
        self, name: str, label: str, answers: type[C], **more: Unpack[FieldOptions]
    ) -> Field[C]:
        """Make a choice of an enumeration's members."""
        return Field(
            id=self._id(name),
            step=step_of(self.path),
            group=self.group,
            section=self.section,
            label=label,
            kind="choice",
            choices=tuple(answers.labels().items()),
            members={str(answer): answer for answer in answers},
            **more,
        )

    def pick(
        self, name: str, label: str, options: Mapping[K, str], **more: Unpack[FieldOptions]
    ) -> Field[K]:
        """Make a choice of the entries of a table; ``options`` maps each to its label."""
        return Field(
            id=self._id(name),
            step=step_of(self.path),
            group=self.group,
            section=self.section,
            label=label,
            kind="choice",
            choices=tuple((str(key), text) for key, text in options.items()),
            members={str(key): key for key in options},
            **more,
        )

    def quantity(
        self, quantity: Quantity, label: str, *, name: str = "", **more: Unpack[FieldOptions]
    ) -> Field[float]:
        """Make a field of a quantity, with its unit and range; ``name`` where it is not its key."""
        name = name or quantity.key
        if quantity.unit == "mm":
            return self.length(name, label, quantity.low, quantity.high, **more)
        unit = "°" if quantity.unit == "deg" else "%"
        return self.amount(name, label, unit, quantity.low, quantity.high, **more)

    def words(self, name: str, label: str, **more: Unpack[FieldOptions]) -> Field[str]:
        """Make a free text."""
        return self._written(name, label, "text", **more)

    def date(self, name: str, label: str, **more: Unpack[FieldOptions]) -> Field[str]:
        """Make a day, ISO."""
        return self._written(name, label, "date", **more)

    def point(
        self, name: str, label: str, most_px: float, **more: Unpack[FieldOptions]
    ) -> Field[str]:
        """Make a point of a picture: ``x y`` in px from its upper left corner."""
        made = self._written(name, label, "point", **more)
        return replace(made, unit="px", low=0, high=most_px)

    def _written(
        self, name: str, label: str, kind: Kind, **more: Unpack[FieldOptions]
    ) -> Field[str]:
        return Field(
            id=self._id(name),
            step=step_of(self.path),
            group=self.group,
            section=self.section,
            label=label,
            kind=kind,
            **more,
        )

    def span(
        self,
        name: str,
        label: str,
        low: float,
        high: float,
        *,
        ends: tuple[str, str] = ("lowest", "highest"),
        step: Field[float] | None = None,
        **more: Unpack[FieldOptions],
    ) -> SpanField:
        """Make both ends of a range, mm; ``step`` is the field of the step it goes in."""
        lower = self.length(f"{name}_min", f"{label}, {ends[0]}", low, high, **more)
        upper = self.length(f"{name}_max", f"{label}, {ends[1]}", low, high, **more)
        return SpanField(replace(lower, pair=label), upper, step)

    def turn(
        self, name: str, label: str, low: float, high: float, **more: Unpack[FieldOptions]
    ) -> SpanField:
        """Make both ends of a range of degrees."""
        lower = self.amount(f"{name}_min", f"{label}, least", "°", low, high, **more)
        upper = self.amount(f"{name}_max", f"{label}, most", "°", low, high, **more)
        return SpanField(replace(lower, pair=label), upper)


def fields_in(*holders: object) -> tuple[Field[object], ...]:
    """Return every field in modules, mappings, tuples and dataclasses, each once, in the order written."""
    found: list[Field[object]] = []
    for holder in holders:
        if isinstance(holder, Field):
            found.append(holder)
        elif isinstance(holder, ModuleType):
            own = [value for name, value in vars(holder).items() if name[0] != "_"]
            found += fields_in(*(one for one in own if _holds_fields(one)))
        elif isinstance(holder, Mapping):
            found += fields_in(*holder.values())
        elif isinstance(holder, tuple):
            found += fields_in(*holder)
        elif is_dataclass(holder) and not isinstance(holder, type):
            found += fields_in(*(getattr(holder, one.name) for one in fields(holder)))
    return tuple(dict.fromkeys(found))


def _holds_fields(value: object) -> bool:
    return isinstance(value, Field | Mapping | tuple) or (
        is_dataclass(value) and not isinstance(value, type | Place)
    )
