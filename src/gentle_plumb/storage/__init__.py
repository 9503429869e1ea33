"""PostgreSQL behind the ports."""

from .accounts import SqlAccounts
from .engine import make_engine, migrate
from .records import SqlRecords

__all__ = ["SqlAccounts", "SqlRecords", "make_engine", "migrate"]
