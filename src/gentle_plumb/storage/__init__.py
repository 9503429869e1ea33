"""PostgreSQL behind the ports."""

from .access import SqlClientAccesses, SqlOneTimeLinks
from .accounts import SqlAccounts
from .bulk import SqlBulkJobs
from .engine import SqlDatabase, make_engine, migrate, newest_schema, roll_back, schema_of
from .erased_list import note_erased, note_left, noted_as_erased, noted_as_left
from .failed_mails import SqlFailedMails
from .keeping import SqlKeeping, erase_again
from .measuring import SqlMeasuring
from .own_pages import SqlOwnPages
from .policies import SqlPolicies
from .queue import SqlQueue
from .records import SqlRecords
from .sealed_secrets import seal_what_is_open, secrets_in
from .shelf import SqlShelf
from .trail import SqlTrail
from .troubles import SqlTroubles
