"""The papers of a visit: client's, workplace's, record and letter, each by its allow-list."""

from ..paper_models import (
    COPIES,
    ClientPaper,
    Copy,
    LetterPaper,
    Papers,
    RecordPaper,
    Signature,
    TargetCard,
    WorkplacePaper,
)
from .card import target_card
from .client import things_that_matter
from .every import papers_of
from .letter import letter_paper
from .recorded import self_reported
from .signing import Check, checks_for_signing, missing_for_signing, summary_of
from .versions import replaces
from .workplace import legacy_paper
