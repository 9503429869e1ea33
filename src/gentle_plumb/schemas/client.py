"""What is asked about visits and their reports."""

from __future__ import annotations

from typing import Annotated
from uuid import UUID

from pydantic import Field

from .common import RequestModel


class NewVisit(RequestModel):
    """A new visit; ``id`` is made on the page, ``from_visit`` is one of the same client that it follows up."""

    id: UUID
    client_id: UUID
    from_visit: UUID | None = None


class Discarding(RequestModel):
    """Whether a draft is thrown away, or taken back."""

    discarded: bool


class Signature(RequestModel):
    """What is signed: the visit as it stood at this revision."""

    revision: Annotated[int, Field(ge=0, le=2_000_000_000)]
