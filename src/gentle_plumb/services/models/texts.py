"""Kinds of text and number that several models take from outside."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Annotated, Any
from uuid import UUID, uuid4

from pydantic import ConfigDict, Field, StringConstraints, model_validator

from ...core.plain_text import check_texts
from ..passwords import LEAST_PASSWORD

_ONE_LINE = r"^[^\x00-\x1f]*$"
_ADDRESS = r"[^@\s\x00-\x1f]+@[^@\s\x00-\x1f]+"

Name = Annotated[
    str, StringConstraints(strip_whitespace=True, min_length=1, max_length=200, pattern=_ONE_LINE)
]
Line = Annotated[str, StringConstraints(strip_whitespace=True, max_length=200, pattern=_ONE_LINE)]
Address = Annotated[
    str, StringConstraints(strip_whitespace=True, max_length=200, pattern=f"^{_ADDRESS}$")
]
Email = Annotated[
    str, StringConstraints(strip_whitespace=True, max_length=200, pattern=f"^({_ADDRESS})?$")
]
"""An address, or none."""
Password = Annotated[str, StringConstraints(min_length=LEAST_PASSWORD, max_length=200)]
Version = Annotated[int, Field(ge=1, le=2_000_000_000)]
"""How often a thing was changed, and once for its beginning."""


class FromOutside:
    """Base of what is sent to the program: nothing unknown is taken silently, and every text can be written.

    Raises UnreadableValue with the field's path where a text can't.
    """

    __pydantic_config__ = ConfigDict(extra="forbid")

    @model_validator(mode="before")
    @classmethod
    def _whole_texts(cls, given: Any) -> Any:
        check_texts(given)
        return given


@dataclass(frozen=True, kw_only=True)
class New(FromOutside):
    """Something new; its ``id`` is made on the page, so that it counts once however often it is sent."""

    id: UUID = field(default_factory=uuid4)


@dataclass(frozen=True, kw_only=True)
class Changed(FromOutside):
    """Something changed upon the version that was seen."""

    version: Version
