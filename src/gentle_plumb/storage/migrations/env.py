"""Runs migrations on the connection the engine hands over."""

from alembic import context

from gentle_plumb.storage.tables import METADATA

context.configure(
    connection=context.config.attributes["connection"], target_metadata=METADATA
)
with context.begin_transaction():
    context.run_migrations()
