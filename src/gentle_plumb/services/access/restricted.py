"""Clients that are open to some of the practice only: a colleague, a neighbour, whoever asks for it."""

from __future__ import annotations

from collections.abc import Set
from uuid import UUID

from ...core.language import msg
from ..account_ports import Accounts
from ..errors import NotAllowed, ShutsOut
from ..models import ClientAccess, Member
from .ports import ClientAccesses

HIDDEN = msg("Access to this client is restricted. Ask their practitioner or an owner.")


class AccessService:
    """Says who sees a client, and sees to it."""

    def __init__(self, accesses: ClientAccesses, accounts: Accounts) -> None:
        self._accesses, self._accounts = accesses, accounts

    def hidden(self, member: Member) -> frozenset[UUID]:
        """The clients that a member does not see."""
        return self._accesses.hidden(member.practice_id, member.id)

    def require(self, member: Member, client_id: UUID) -> None:
        """Raises NotAllowed for a client that is open to others only."""
        if client_id in self.hidden(member):
            raise NotAllowed(HIDDEN)

    def of(self, member: Member, client_id: UUID) -> ClientAccess:
        """Who sees a client; raises NotAllowed, NotFound."""
        access = self._accesses.of(member.practice_id, client_id)
        if member.role != "owner":
            self.require(member, client_id)
        return access

    def restricted(self, member: Member) -> list[ClientAccess]:
        """Clients that some see only, for an owner, who keeps the lists; raises NotAllowed."""
        return self._accesses.restricted(member.practice_id)

    def put(
        self,
        member: Member,
        client_id: UUID,
        *,
        restricted: bool,
        members: Set[UUID],
        knowing: bool = False,
    ) -> ClientAccess:
        """Open a client to some members only, or to all.

        An owner decides for every client, anybody who works with clients for those they see.

        Raises
        ------
        NotAllowed
            For readers and assistants; where nobody named may see health data; where one who is no owner
            would shut themselves out.
        ShutsOut
            Where somebody with an open visit is left out, and this is not done ``knowing`` so.
        NotFound

        """
        held = self.of(member, client_id)
        there = {one.id: one for one in self._accounts.members(member.practice_id)}
        named = frozenset(members & there.keys()) if restricted else frozenset()
        if restricted and not any(there[one].sees_health for one in named):
            raise NotAllowed(msg("Select at least one member who can see health data."))
        if restricted and member.role != "owner" and member.id not in named:
            raise NotAllowed(msg("You would lose access yourself. Ask an owner to do this."))
        left_out = [there[one].name for one in held.working - named if one in there]
        if restricted and left_out and not knowing:
            raise ShutsOut(sorted(left_out))
        changed = ClientAccess(
            client_id=client_id, client=held.client, restricted=restricted, members=named
        )
        self._accesses.put(member.practice_id, changed)
        return changed
