"""Use cases. They know the core and the ports; nothing of HTTP, SQL or PDF."""
