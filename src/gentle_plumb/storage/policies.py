"""Bundles of positions in PostgreSQL."""

from __future__ import annotations

from uuid import UUID

from sqlalchemy import Engine, delete, select, update
from sqlalchemy.orm import Session as Db

from ..services.errors import NotFound, Stale
from ..services.models import StoredRuleSet
from .errors import mapped_errors
from .models import RuleSetRow
from .once import add_once


def bundle_of(row: RuleSetRow) -> StoredRuleSet:
    """The bundle a row holds."""
    return StoredRuleSet(
        id=row.id,
        practice_id=row.practice_id,
        name=row.name,
        choices=dict(row.choices),
        is_default=row.is_default,
        version=row.version,
    )


class SqlPolicies:
    """The PolicyStore port."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def bundles(self, practice_id: UUID) -> list[StoredRuleSet]:
        query = select(RuleSetRow).where(RuleSetRow.practice_id == practice_id)
        with Db(self._engine) as db:
            return [bundle_of(row) for row in db.scalars(query.order_by(RuleSetRow.name))]

    def add_bundle(self, bundle: StoredRuleSet) -> StoredRuleSet:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            self._only(db, bundle)
            given = {**vars(bundle), "choices": dict(bundle.choices)}
            return bundle_of(add_once(db, RuleSetRow, bundle.practice_id, given))

    def change_bundle(self, bundle: StoredRuleSet) -> StoredRuleSet:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            row = self._mine(db, bundle.practice_id, bundle.id)
            if row.version != bundle.version:
                raise Stale(bundle_of(row))
            self._only(db, bundle)
            row.name, row.choices, row.is_default = (
                bundle.name,
                dict(bundle.choices),
                bundle.is_default,
            )
            row.version += 1
            db.flush()
            return bundle_of(row)

    def drop_bundle(self, practice_id: UUID, bundle_id: UUID) -> None:
        with Db(self._engine) as db, db.begin():
            self._mine(db, practice_id, bundle_id)
            db.execute(delete(RuleSetRow).where(RuleSetRow.id == bundle_id))

    def _only(self, db: Db, bundle: StoredRuleSet) -> None:
        """A new default takes the place of the one before; that one's version moves on."""
        if bundle.is_default:
            others = (RuleSetRow.practice_id == bundle.practice_id) & (RuleSetRow.id != bundle.id)
            db.execute(
                update(RuleSetRow)
                .where(others, RuleSetRow.is_default)
                .values(is_default=False, version=RuleSetRow.version + 1)
            )

    def _mine(self, db: Db, practice_id: UUID, bundle_id: UUID) -> RuleSetRow:
        row = db.get(RuleSetRow, bundle_id, with_for_update=True)
        if row is None or row.practice_id != practice_id:
            raise NotFound("There is no such bundle.")
        return row
