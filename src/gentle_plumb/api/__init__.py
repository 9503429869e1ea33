"""HTTP: routers, errors as problem JSON, and nothing that computes."""

from .app import Services, make_app

__all__ = ["Services", "make_app"]
