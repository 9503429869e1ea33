"""What is sent about the agenda."""

from __future__ import annotations

from .common import RequestModel


class FeedChoice(RequestModel):
    """Whether a private calendar names clients."""

    names: bool = False
