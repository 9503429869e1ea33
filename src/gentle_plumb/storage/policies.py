"""Bundles of positions in PostgreSQL."""

from __future__ import annotations

from uuid import UUID

from sqlalchemy import Engine, delete, select, update
from sqlalchemy.orm import Session as Db

from ..services.errors import NotFound, Stale
from ..services.models import PolicyBundle
from .errors import mapped_errors
from .models import PolicyBundleRow
from .once import add_once


def bundle_of(row: PolicyBundleRow) -> PolicyBundle:
    """The bundle a row holds."""
    return PolicyBundle(
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

    def bundles(self, practice_id: UUID) -> list[PolicyBundle]:
        query = select(PolicyBundleRow).where(PolicyBundleRow.practice_id == practice_id)
        with Db(self._engine) as db:
            return [bundle_of(row) for row in db.scalars(query.order_by(PolicyBundleRow.name))]

    def add_bundle(self, bundle: PolicyBundle) -> PolicyBundle:
        with mapped_errors(), Db(self._engine) as db, db.begin():
            self._only(db, bundle)
            given = {**vars(bundle), "choices": dict(bundle.choices)}
            return bundle_of(add_once(db, PolicyBundleRow, bundle.practice_id, given))

    def change_bundle(self, bundle: PolicyBundle) -> PolicyBundle:
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
            db.execute(delete(PolicyBundleRow).where(PolicyBundleRow.id == bundle_id))

    def _only(self, db: Db, bundle: PolicyBundle) -> None:
        """A new default takes the place of the one before; that one's version moves on."""
        if bundle.is_default:
            others = (PolicyBundleRow.practice_id == bundle.practice_id) & (
                PolicyBundleRow.id != bundle.id
            )
            db.execute(
                update(PolicyBundleRow)
                .where(others, PolicyBundleRow.is_default)
                .values(is_default=False, version=PolicyBundleRow.version + 1)
            )

    def _mine(self, db: Db, practice_id: UUID, bundle_id: UUID) -> PolicyBundleRow:
        row = db.get(PolicyBundleRow, bundle_id, with_for_update=True)
        if row is None or row.practice_id != practice_id:
            raise NotFound("There is no such bundle.")
        return row
