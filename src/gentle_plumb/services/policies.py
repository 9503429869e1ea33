"""House rules: the practice's named bundles of positions, and the one new visits begin with."""

from __future__ import annotations

from collections.abc import Mapping
from uuid import UUID, uuid4

from ..core.policy import check_rule_set, policy_of, standing_policy_of
from .models import Member, StoredRuleSet
from .permissions import require_writer
from .ports import PolicyStore


class PolicyService:
    """What a practice has chosen where practitioners disagree."""

    def __init__(self, store: PolicyStore) -> None:
        self._store = store

    def bundles(self, member: Member) -> list[StoredRuleSet]:
        """Every bundle of the practice, by name."""
        return self._store.bundles(member.practice_id)

    def chosen(self, member: Member) -> dict[str, str]:
        """What a visit that begins now goes by: the default bundle's positions, if there is one."""
        mine = self._store.bundles(member.practice_id)
        return next((dict(one.choices) for one in mine if one.is_default), {})

    def add(
        self,
        member: Member,
        *,
        id: UUID | None = None,
        name: str,
        choices: Mapping[str, str],
        is_default: bool,
    ) -> StoredRuleSet:
        """Keep a bundle; the same id sent again makes no second one.

        Raises NotAllowed, FieldError, AlreadyThere.
        """
        require_writer(member)
        made = StoredRuleSet(
            id=id or uuid4(),
            practice_id=member.practice_id,
            name=name,
            choices=checked(choices),
            is_default=is_default,
        )
        return self._store.add_bundle(made)

    def change(
        self,
        member: Member,
        bundle_id: UUID,
        *,
        name: str,
        choices: Mapping[str, str],
        is_default: bool,
        version: int,
    ) -> StoredRuleSet:
        """Change one upon its version; visits that have begun keep what they began with.

        Raises also NotFound, Stale.
        """
        require_writer(member)
        return self._store.change_bundle(
            StoredRuleSet(
                id=bundle_id,
                practice_id=member.practice_id,
                name=name,
                choices=checked(choices),
                is_default=is_default,
                version=version,
            )
        )

    def drop(self, member: Member, bundle_id: UUID) -> None:
        """Drop one; visits keep what they took from it. Raises NotAllowed, NotFound."""
        require_writer(member)
        self._store.drop_bundle(member.practice_id, bundle_id)


def checked(choices: Mapping[str, str]) -> dict[str, str]:
    """The choices, if every one of them exists and they make a policy; else raises FieldError."""
    check_rule_set(choices)
    policy_of(choices)
    standing_policy_of(choices)
    return dict(choices)
