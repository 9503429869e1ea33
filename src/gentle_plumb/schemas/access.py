"""One-time links, clients open to some only, erasures and papers of a period."""

from __future__ import annotations

from datetime import date
from typing import Annotated
from uuid import UUID

from pydantic import Field, StringConstraints

from ..services.models import Role
from ..services.models.texts import Address, Line, Name, Password
from ..services.paper_models import Copy
from .common import RequestModel

Token = Annotated[
    str, StringConstraints(min_length=20, max_length=100, pattern=r"^[A-Za-z0-9_-]+$")
]


class NewInvitation(RequestModel):
    """Who is to come in, and as what."""

    email: Address
    name: Name
    title: Line = ""
    role: Role


class LinkToken(RequestModel):
    """The token of a one-time link."""

    token: Token


class ChosenPassword(LinkToken):
    """The token of a one-time link, and the password chosen."""

    password: Password


class ForgottenPassword(RequestModel):
    """Whose password is forgotten."""

    email: Annotated[str, StringConstraints(strip_whitespace=True, max_length=200)]


class AccessChange(RequestModel):
    """Who is to see a client."""

    restricted: bool
    members: Annotated[frozenset[UUID], Field(max_length=500)] = frozenset()
    knowing: bool = Field(
        default=False, description="Leave out somebody with an open visit, having been told so."
    )


class ProofRequest(RequestModel):
    """The name that is to stand on the proof: it is kept nowhere."""

    client: Name


class PapersRequest(RequestModel):
    """Which copy, of everything signed on the days of which period."""

    since: date
    until: date
    which: Copy = "client"
