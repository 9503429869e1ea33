"""The papers, part by part and whole."""

from .erasure import ErasurePaper
from .papers import (
    COPIES,
    ClientPaper,
    Copy,
    InALanguage,
    LetterPaper,
    Papers,
    RecordPaper,
    Signature,
    TargetCard,
    WorkplacePaper,
)
from .parts import (
    CardLine,
    CardPerson,
    PaperAction,
    PaperAdded,
    PaperCause,
    PaperDay,
    PaperDimension,
    PaperFinding,
    PaperFlag,
    PaperJoint,
    PaperMovement,
    PaperPhoto,
    PaperPlace,
    PaperPlan,
    PaperPrecaution,
    PaperRhythm,
    PaperRow,
    PaperSince,
    PaperSpell,
    PaperStrain,
    Request,
    Shows,
)

Paper = ClientPaper | WorkplacePaper | RecordPaper | LetterPaper | ErasurePaper
