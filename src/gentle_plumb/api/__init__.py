"""The HTTP API."""

from .app import make_app
from .using import Services

__all__ = ["Services", "make_app"]
