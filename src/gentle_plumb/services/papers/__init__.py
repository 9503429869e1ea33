"""The papers of a visit: the client's, and the workplace's by allow-list."""

from ..paper_models import ClientPaper, Copy, PaperHead, Signature, TargetCard, WorkplacePaper
from .card import target_card
from .client import CAUTIONS, client_paper
from .signing import missing_for_signing, summary_of
from .workplace import legacy_paper

__all__ = [
    "CAUTIONS",
    "ClientPaper",
    "Copy",
    "PaperHead",
    "Signature",
    "TargetCard",
    "WorkplacePaper",
    "client_paper",
    "legacy_paper",
    "missing_for_signing",
    "summary_of",
    "target_card",
]
