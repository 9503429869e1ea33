"""The electric desk near the client: where it stands, moving it while a button is held, its keys."""

from __future__ import annotations

from .models import DeskMotion, DeskState, Member
from .permissions import require_writer
from .ports import DeskController


class DeskService:
    """What is done with a desk. Nothing of it is kept here, and nothing moves by itself."""

    def __init__(self, desk: DeskController) -> None:
        self._desk = desk

    def state(self, member: Member) -> DeskState:
        """Where it stands and what it can do; raises NotAllowed, NoAnswer."""
        require_writer(member)
        return self._desk.state()

    def hold(self, member: Member, target: float) -> DeskMotion:
        """Let it go on towards a height of its display, mm; raises NotAllowed, NoAnswer."""
        require_writer(member)
        return self._desk.hold(target)

    def stop(self, member: Member) -> DeskMotion:
        """Stop it at once; raises NotAllowed, NoAnswer."""
        require_writer(member)
        return self._desk.stop()

    def save(self, member: Member, key: int) -> float:
        """Save where it stands on a key, read back; mm. Raises NotAllowed, NoAnswer."""
        require_writer(member)
        return self._desk.save(key)
