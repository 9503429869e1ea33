"""Every call of the interface, declared once: for the server, and for a device without network.

``EVERY_ROUTE`` is in ``routes.every``, so that a device need not have what only the server's routes need.
"""
