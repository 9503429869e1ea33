"""PostgreSQL behind the ports."""

from .access import SqlClientAccesses, SqlOneTimeLinks
from .accounts import SqlAccounts
from .agenda import SqlAgenda
from .audit_log import SqlAuditLog
from .bulk import SqlBulkJobs
from .engine import SqlDatabase, make_engine, migrate, newest_schema, roll_back, schema_of
from .erased_list import note_erased, note_left, noted_as_erased, noted_as_left
from .failed_mails import SqlFailedMails
from .measuring import SqlMeasuring
from .own_pages import SqlOwnPages
from .phrases import SqlPhrases
from .policies import SqlPolicies
from .presence import SqlPresence
from .queue import SqlQueue
from .records import SqlRecords
from .retention import SqlRetention, erase_again
from .sealed_secrets import seal_what_is_open, secrets_in
from .shelf import SqlShelf
from .troubles import SqlTroubles
