"""Words in models: kept as they were made, and said in a reader's language."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import fields, is_dataclass, replace
from typing import Annotated, Any, TypeVar

from pydantic import BaseModel, WrapValidator

from ..core.language import Language, Text

T = TypeVar("T")


def _kept(value: Any, otherwise: Callable[[Any], Any]) -> Any:
    return value if isinstance(value, Text) else otherwise(value)


Said = Annotated[str, WrapValidator(_kept)]
"""The type of a model's field that holds words: it keeps a text that can be said in any language."""


def spoken(value: T, language: Language) -> T:
    """Return a value with all words in it in one language: models, dataclasses, mappings and lists all through."""
    return value if language.english else _spoken(value, language)


def _spoken(value: Any, language: Language) -> Any:
    if isinstance(value, str):
        return language.say(value)
    if isinstance(value, BaseModel):
        return value.model_copy(
            update={
                name: _spoken(getattr(value, name), language) for name in type(value).model_fields
            }
        )
    if is_dataclass(value) and not isinstance(value, type):
        return replace(
            value,
            **{
                each.name: _spoken(getattr(value, each.name), language)
                for each in fields(value)
                if each.init
            },
        )
    if isinstance(value, dict):
        return {key: _spoken(part, language) for key, part in value.items()}
    if isinstance(value, tuple):
        parts = [_spoken(part, language) for part in value]
        return type(value)(*parts) if hasattr(value, "_fields") else tuple(parts)
    if isinstance(value, list):
        return [_spoken(part, language) for part in value]
    return value
