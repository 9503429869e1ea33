"""To and from plain values, as JSON has them: how server and page hand a visit to the bench."""

from __future__ import annotations

import json
from collections.abc import Mapping, Sequence
from dataclasses import fields, is_dataclass
from datetime import date
from typing import Any

from ..body import BRITISH_ADULTS, Spread, Table
from ..drawing import Mark, Scene, SceneRequest
from ..language import Language, language_of
from ..plans import Prices
from ..visit import Measuring, PhotoFile
from .ahead import AheadRequest, AheadSession, TypedChange
from .session import WhatIfRequest, WhatIfSession
from .visit_input import VisitInput

_ENCODER = json.JSONEncoder(separators=(",", ":"), ensure_ascii=False)
_NAMES: dict[type, tuple[str, ...]] = {}
_FLAT: set[type] = {Mark}
"""Kinds whose fields are all plain: a drawing has hundreds of marks."""


def _names(kind: type) -> tuple[str, ...]:
    names = _NAMES.get(kind)
    if names is None:
        if not is_dataclass(kind):
            raise TypeError(f"{kind.__name__} has no plain form")
        names = _NAMES[kind] = tuple(field.name for field in fields(kind))
    return names


def to_jsonable(value: Any) -> Any:
    """Dataclasses as mappings, tuples as lists, all the way down."""
    if value is None or isinstance(value, (str, float, int)):
        return value
    if isinstance(value, (list, tuple)):
        return [to_jsonable(part) for part in value]
    if isinstance(value, Mapping):
        return {key: to_jsonable(part) for key, part in value.items()}
    kind = type(value)
    if kind in _FLAT:
        return vars(value)
    return {name: to_jsonable(getattr(value, name)) for name in _names(kind)}


def visit_input_to_json(visit_input: VisitInput) -> dict[str, Any]:
    """A visit as plain values; the program's own table is left out."""
    table = visit_input.measuring.table
    return {
        "values": dict(visit_input.values),
        "today": visit_input.today.isoformat(),
        "sex": visit_input.sex,
        "practice": dict(visit_input.practice),
        "errors": dict(visit_input.measuring.errors),
        "table": None if table is BRITISH_ADULTS else to_jsonable(table),
        "photos": to_jsonable(visit_input.photos),
        "prices": to_jsonable(visit_input.prices),
        "place": visit_input.place,
        "as_of": visit_input.as_of.isoformat() if visit_input.as_of is not None else None,
    }


def visit_input_from_json(plain: Mapping[str, Any]) -> VisitInput:
    """A visit from plain values."""
    table = BRITISH_ADULTS
    if plain["table"] is not None:
        kept = plain["table"]
        table = Table(
            name=kept["name"],
            origin=kept["origin"],
            r_stature=kept["r_stature"],
            stats={
                name: {sex: Spread(**spread) for sex, spread in by.items()}
                for name, by in kept["stats"].items()
            },
        )
    return VisitInput(
        values=plain["values"],
        today=date.fromisoformat(plain["today"]),
        sex=plain["sex"],
        practice=plain["practice"],
        measuring=Measuring(errors=plain["errors"], table=table),
        photos=tuple(PhotoFile(**photo) for photo in plain["photos"]),
        prices=Prices(**plain["prices"]),
        place=plain["place"],
        as_of=date.fromisoformat(plain["as_of"]) if plain["as_of"] is not None else None,
    )


def request_from_json(plain: Mapping[str, Any]) -> WhatIfRequest:
    """What is tried, from plain values."""
    return WhatIfRequest(**{**plain, "scene": SceneRequest(**plain["scene"])})


def ahead_from_json(plain: Mapping[str, Any]) -> AheadRequest:
    """Read a request to draw ahead from plain values."""
    return AheadRequest(
        changes=tuple(TypedChange(**change) for change in plain["changes"]),
        unit=plain["unit"],
        scene=SceneRequest(**plain["scene"]),
    )


def as_json(value: Any, language: Language) -> str:
    """A dataclass as JSON, its words in a language."""
    return _ENCODER.encode(language.say(to_jsonable(value)))


def _members(value: Any, language: Language, **made: str) -> str:
    """A dataclass as JSON, some of its fields already made."""
    texts = (
        f'"{name}":{made.get(name) or as_json(getattr(value, name), language)}'
        for name in _names(type(value))
    )
    return f"{{{','.join(texts)}}}"


class _Parts:
    """The JSON of a list, put together anew only where a part is otherwise than last time."""

    def __init__(self, language: Language) -> None:
        self._language = language
        self._last: list[tuple[Any, str]] = []

    def text(self, parts: Sequence[Any]) -> str:
        last = self._last
        now = []
        for index, part in enumerate(parts):
            old = last[index] if index < len(last) else None
            if old and (part is old[0] or vars(part) == vars(old[0])):
                now.append(old)
            else:
                now.append((part, as_json(part, self._language)))
        self._last = now
        return f"[{','.join(text for _, text in now)}]"


class JsonWhatIfSession:
    """A visit that is tried on and drawn ahead, spoken to in JSON: what the page's worker holds."""

    def __init__(self, given: str, language: str = "en") -> None:
        self._language = language_of(language)
        self._ahead = AheadSession(visit_input_from_json(json.loads(given)))
        self._bench = WhatIfSession(self._ahead.visit_input)
        self._rows, self._joints, self._marks = (_Parts(self._language) for _ in range(3))

    def try_out(self, request: str) -> str:
        """What a try comes to. While a hand moves, most rows and marks are as they were."""
        tried = self._bench.try_out(request_from_json(json.loads(request)))
        return _members(
            tried,
            self._language,
            rows=self._rows.text(tried.rows),
            joints=self._joints.text(tried.joints),
            scene=self._scene(tried.scene),
        )

    def draw_ahead(self, request: str) -> str:
        """Draw the visit with what has just been typed."""
        return self._scene(self._ahead.draw(ahead_from_json(json.loads(request))))

    def keep(self, values: str) -> None:
        """Add values that the server has saved: a JSON object, by path."""
        self._ahead.keep(json.loads(values))
        self._bench = WhatIfSession(self._ahead.visit_input)

    def settle(self, request: str) -> None:
        """Prepare the next drawing during a pause in typing."""
        self._ahead.settle(ahead_from_json(json.loads(request)))

    def _scene(self, scene: Scene) -> str:
        return _members(scene, self._language, marks=self._marks.text(scene.marks))
