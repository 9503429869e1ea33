"""The papers of a visit: the client's, and the workplace's by allow-list."""

from ..paper_models import ClientPaper, Copy, PaperHead, Signature, WorkplacePaper
from .client import CAUTIONS, client_paper
from .signing import missing_for_signing, summary_of
from .workplace import legacy_paper

__all__ = [
    "CAUTIONS",
    "ClientPaper",
    "Copy",
    "PaperHead",
    "Signature",
    "WorkplacePaper",
    "client_paper",
    "legacy_paper",
    "missing_for_signing",
    "summary_of",
]
