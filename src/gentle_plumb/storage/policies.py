"""Bundles of positions in PostgreSQL."""

from __future__ import annotations

from uuid import UUID

from sqlalchemy import Connection, update

from ..core.language import msg
from ..services.models import StoredRuleSet
from .errors import mapped_errors
from .store import Store, add_once, change
from .tables import RULE_SET

MISSING = msg("There is no such bundle.")


class SqlPolicies(Store):
    """The PolicyStore port."""

    def bundles(self, practice_id: UUID) -> list[StoredRuleSet]:
        mine = RULE_SET.c.practice_id == practice_id
        return self._list(StoredRuleSet, mine, order=(RULE_SET.c.name,))

    def add_bundle(self, bundle: StoredRuleSet) -> StoredRuleSet:
        with mapped_errors(), self._engine.begin() as connection:
            _only_default(connection, bundle)
            return add_once(connection, bundle)

    def change_bundle(self, bundle: StoredRuleSet) -> StoredRuleSet:
        with mapped_errors(), self._engine.begin() as connection:
            _only_default(connection, bundle)
            only = ("name", "choices", "is_default")
            return change(connection, bundle, only=only, missing=MISSING)

    def drop_bundle(self, practice_id: UUID, bundle_id: UUID) -> None:
        self._drop(StoredRuleSet, practice_id, bundle_id, MISSING)


def _only_default(connection: Connection, bundle: StoredRuleSet) -> None:
    """A new default takes the place of the one before; that one's version moves on."""
    if bundle.is_default:
        column = RULE_SET.c
        others = (column.practice_id == bundle.practice_id) & (column.id != bundle.id)
        connection.execute(
            update(RULE_SET)
            .where(others, column.is_default)
            .values(is_default=False, version=column.version + 1)
        )
