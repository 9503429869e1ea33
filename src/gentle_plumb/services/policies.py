"""House rules: the practice's named bundles of positions, and the one new visits begin with."""

from __future__ import annotations

from collections.abc import Mapping
from uuid import UUID

from ..core.policy import check_rule_set, policy_of, standing_policy_of
from .models import ChangedRuleSet, Member, NewRuleSet, RuleSetFacts, StoredRuleSet, view_of
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
        return next(
            (
                dict(stored_rule_set.choices)
                for stored_rule_set in mine
                if stored_rule_set.is_default
            ),
            {},
        )

    def add(self, member: Member, new_rule_set: NewRuleSet) -> StoredRuleSet:
        """Keep a bundle; the same id sent again makes no second one. Raises FieldError, AlreadyThere."""
        return self._store.add_bundle(
            self._bundle(member, new_rule_set, id=new_rule_set.id, version=1)
        )

    def change(
        self, member: Member, bundle_id: UUID, changed_rule_set: ChangedRuleSet
    ) -> StoredRuleSet:
        """Change one upon its version; visits that have begun keep what they began with.

        Raises also NotFound, Stale.
        """
        bundle = self._bundle(
            member, changed_rule_set, id=bundle_id, version=changed_rule_set.version
        )
        return self._store.change_bundle(bundle)

    def _bundle(
        self, member: Member, facts: RuleSetFacts, *, id: UUID, version: int
    ) -> StoredRuleSet:
        return view_of(
            StoredRuleSet,
            facts,
            id=id,
            practice_id=member.practice_id,
            choices=checked(facts.choices),
            version=version,
        )

    def drop(self, member: Member, bundle_id: UUID) -> None:
        """Drop one; visits keep what they took from it. Raises NotAllowed, NotFound."""
        self._store.drop_bundle(member.practice_id, bundle_id)


def checked(choices: Mapping[str, str]) -> dict[str, str]:
    """The choices, if every one of them exists and they make a policy; else raises FieldError."""
    check_rule_set(choices)
    policy_of(choices)
    standing_policy_of(choices)
    return dict(choices)
