"""The HTTP API."""

from .app import make_app
