"""PostgreSQL behind the ports."""

from .accounts import SqlAccounts
from .engine import make_engine, migrate
from .records import SqlRecords
from .shelf import SqlShelf

__all__ = ["SqlAccounts", "SqlRecords", "SqlShelf", "make_engine", "migrate"]
