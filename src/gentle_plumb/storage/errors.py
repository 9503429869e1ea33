"""Driver errors to the services' own, in one place, by constraint name."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager

from psycopg import Error
from sqlalchemy.exc import IntegrityError

from ..core.language import msg
from ..services.errors import AlreadyThere, ServiceError

_BY_CONSTRAINT: dict[str, ServiceError] = {
    "uq_member_email": AlreadyThere(msg("This email is already in use.")),
    "uq_shelf_item_name": AlreadyThere(msg("An item with this name already exists.")),
    "uq_client_origin_id": AlreadyThere(msg("This client was just added. Open it to check.")),
    "uq_visit_origin_id": AlreadyThere(msg("This visit was just added. Open it to check.")),
    "uq_measuring_list_name": AlreadyThere(msg("A list with this name already exists.")),
    "uq_population_table_name": AlreadyThere(msg("There is a table of this name already.")),
    "uq_policy_bundle_name": AlreadyThere(msg("A rule set with this name already exists.")),
    "uq_policy_bundle_default": AlreadyThere(
        msg("Another default was set in the same moment. Look at it first.")
    ),
    "uq_phrase_code": AlreadyThere(msg("Another phrase has this code.")),
    "uq_report_number": AlreadyThere(msg("This version has just been signed. Reload to see it.")),
}


@contextmanager
def mapped_errors() -> Iterator[None]:
    """Raise the services' error for a known constraint, everything else as it is."""
    try:
        yield
    except IntegrityError as error:
        cause = error.orig
        name = cause.diag.constraint_name if isinstance(cause, Error) else None
        known = _BY_CONSTRAINT.get(name or "")
        if known is None:
            raise
        raise type(known)(*known.args) from error
