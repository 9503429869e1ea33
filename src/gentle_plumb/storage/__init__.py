"""PostgreSQL behind the ports."""

from .accounts import SqlAccounts
from .engine import make_engine, migrate, newest_schema, schema_of
from .measuring import SqlMeasuring
from .own_pages import SqlOwnPages
from .policies import SqlPolicies
from .queue import SqlQueue
from .records import SqlRecords
from .shelf import SqlShelf
from .trail import SqlTrail

__all__ = [
    "SqlAccounts",
    "SqlMeasuring",
    "SqlOwnPages",
    "SqlPolicies",
    "SqlQueue",
    "SqlRecords",
    "SqlShelf",
    "SqlTrail",
    "make_engine",
    "migrate",
    "newest_schema",
    "schema_of",
]
