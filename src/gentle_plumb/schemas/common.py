"""Kinds of text that several requests share."""

from __future__ import annotations

from typing import Annotated, Any, Literal
from uuid import UUID

from pydantic import BaseModel, ConfigDict, StringConstraints, model_validator

from ..core.plain_text import check_texts
from ..services.papers import Check, Papers
from ..services.passwords import LEAST_PASSWORD
from ..services.reports import DraftReport

Name = Annotated[
    str,
    StringConstraints(
        strip_whitespace=True, min_length=1, max_length=200, pattern=r"^[^\x00-\x1f]*$"
    ),
]
Line = Annotated[
    str, StringConstraints(strip_whitespace=True, max_length=200, pattern=r"^[^\x00-\x1f]*$")
]
Password = Annotated[str, StringConstraints(min_length=LEAST_PASSWORD, max_length=200)]
Address = Annotated[
    str,
    StringConstraints(
        strip_whitespace=True, max_length=200, pattern=r"^[^@\s\x00-\x1f]+@[^@\s\x00-\x1f]+$"
    ),
]
Email = Annotated[
    str,
    StringConstraints(
        strip_whitespace=True, max_length=200, pattern=r"^([^@\s\x00-\x1f]+@[^@\s\x00-\x1f]+)?$"
    ),
]
"""An address, or none."""
Sex = Literal["female", "male"]
PlaceId = Literal["main", "2", "3", "4"]
"""Which of a visit's places."""


class RequestModel(BaseModel):
    """Base of what comes in: nothing unknown is taken silently, and every text can be written.

    Raises UnreadableValue with the field's path where a text is not.
    """

    model_config = ConfigDict(extra="forbid")

    @model_validator(mode="before")
    @classmethod
    def _whole_texts(cls, given: Any) -> Any:
        check_texts(given)
        return given


class New(RequestModel):
    """Something new; its ``id`` is made on the page, so that it counts once however often it is sent."""

    id: UUID


class Draft(BaseModel):
    """What every copy says at a revision, what is looked at before a signature, and what it would sign."""

    content: Papers
    missing: list[dict[str, str]]
    checks: list[Check]
    summary: list[str]
    revision: int

    @classmethod
    def of(cls, draft: DraftReport) -> Draft:
        """From the report as it would be signed."""
        return cls(
            content=draft.content,
            checks=draft.checks,
            summary=draft.summary,
            revision=draft.revision,
            missing=[{"field": path, "detail": words} for path, words in draft.missing],
        )
