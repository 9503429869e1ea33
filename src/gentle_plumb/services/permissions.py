"""Who may do what."""

from __future__ import annotations

from ..core.language import msg
from .errors import NotAllowed
from .models import OFFICE, WRITERS, Member


def require_writer(member: Member) -> None:
    """Raises NotAllowed for readers and assistants."""
    if member.role == "assistant":
        raise NotAllowed(
            msg("Only members who work with the client can do this. An owner can change your role.")
        )
    if member.role not in WRITERS:
        raise NotAllowed(msg("You have read-only access."))


def require_office(member: Member) -> None:
    """Raises NotAllowed for readers: names, contact data and the shelf are kept by all others."""
    if member.role not in OFFICE:
        raise NotAllowed(msg("You have read-only access."))


def require_health(member: Member) -> None:
    """Raises NotAllowed for readers to whom the owner has not granted it."""
    if not member.sees_health:
        raise NotAllowed(
            msg(
                "This contains health data. An owner can give you access under Practice; you can open the workplace copy."
            )
        )
