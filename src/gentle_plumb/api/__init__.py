"""The HTTP API."""

from .app import make_app
from .dependencies import Services

__all__ = ["Services", "make_app"]
