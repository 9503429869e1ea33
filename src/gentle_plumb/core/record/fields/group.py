"""Where fields stand in the record: a group makes them with their paths."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, fields, is_dataclass, replace
from types import ModuleType
from typing import TypedDict, Unpack

from ...catalogue import Quantity
from ...language import filled, msg
from .field import C, Field, FieldOptions, K, Kind, SpanField, StepId, step_of


class _Here(TypedDict):
    id: str
    step: StepId
    group: str
    section: str
    label: str


@dataclass(frozen=True)
class FieldGroup:
    """Where fields stand: the path they begin with, their group and section on the form.

    Its methods make the fields; ``name`` is the last part of the path, empty for the path itself.
    Lengths in mm.
    """

    path: str
    group: str
    section: str = ""

    def _here(self, name: str, label: str) -> _Here:
        """Where a field of this group stands."""
        return {
            "id": f"{self.path}.{name}" if name else self.path,
            "step": step_of(self.path),
            "group": self.group,
            "section": self.section,
            "label": label,
        }

    def length(
        self, name: str, label: str, low: float, high: float, **more: Unpack[FieldOptions]
    ) -> Field[float]:
        """Make a length; range in mm."""
        return Field(**self._here(name, label), kind="length", low=low, high=high, **more)

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
            **self._here(name, label), kind="number", unit=unit, low=low, high=high, **more
        )

    def choice(
        self, name: str, label: str, answers: type[C], **more: Unpack[FieldOptions]
    ) -> Field[C]:
        """Make a choice of an enumeration's members."""
        return Field(
            **self._here(name, label),
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
            **self._here(name, label),
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

    def time(self, name: str, label: str, **more: Unpack[FieldOptions]) -> Field[float]:
        """Make a time of day, minutes after midnight."""
        field: Field[float] = Field(
            **self._here(name, label), kind="time", low=0, high=24 * 60, **more
        )
        return field

    def point(
        self, name: str, label: str, most_px: float, **more: Unpack[FieldOptions]
    ) -> Field[str]:
        """Make a point of a picture: ``x y`` in px from its upper left corner."""
        field = self._written(name, label, "point", **more)
        return replace(field, unit="px", low=0, high=most_px)

    def _written(
        self, name: str, label: str, kind: Kind, **more: Unpack[FieldOptions]
    ) -> Field[str]:
        return Field(**self._here(name, label), kind=kind, **more)

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
        lower = self.length(
            f"{name}_min", filled("{label}, {ends}", label=label, ends=ends[0]), low, high, **more
        )
        upper = self.length(
            f"{name}_max", filled("{label}, {ends}", label=label, ends=ends[1]), low, high, **more
        )
        return SpanField(replace(lower, pair=label), upper, step)

    def turn(
        self, name: str, label: str, low: float, high: float, **more: Unpack[FieldOptions]
    ) -> SpanField:
        """Make both ends of a range of degrees."""
        lower = self.amount(
            f"{name}_min", msg("{label}, least", label=label), "°", low, high, **more
        )
        upper = self.amount(
            f"{name}_max", msg("{label}, most", label=label), "°", low, high, **more
        )
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
            found += fields_in(*(getattr(holder, field.name) for field in fields(holder)))
    return tuple(dict.fromkeys(found))


def _holds_fields(value: object) -> bool:
    return isinstance(value, Field | Mapping | tuple) or (
        is_dataclass(value) and not isinstance(value, type | FieldGroup)
    )
