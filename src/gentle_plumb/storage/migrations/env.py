"""Runs migrations on the connection the engine hands over."""

from alembic import context

from gentle_plumb.storage.models import Base

context.configure(
    connection=context.config.attributes["connection"], target_metadata=Base.metadata
)
with context.begin_transaction():
    context.run_migrations()
