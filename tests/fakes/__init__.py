"""The ports in memory, held to the same contract as PostgreSQL."""

from .accounts import FakeAccounts
from .measuring import FakeMeasuring
from .policies import FakePolicies
from .records import FakeRecords
from .shelf import FakeShelf

__all__ = ["FakeAccounts", "FakeMeasuring", "FakePolicies", "FakeRecords", "FakeShelf"]
