"""What is off, why it matters, what to do."""

from .rules import Finding, findings

__all__ = ["Finding", "findings"]
