"""What several requests share."""

from __future__ import annotations

from typing import Any, Literal

from pydantic import BaseModel, ConfigDict, model_validator

from ..core.plain_text import check_texts

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
