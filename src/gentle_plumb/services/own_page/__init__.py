"""The client's own page: what a client sees and gives, and what a practitioner does with it."""

from .catalogues import ENGLISH, read_catalogue, translated
from .clients_side import OwnCaller, OwnPageService, PhotoOf
from .languages import LanguageService
from .links import LinkService, MadeLink
from .mail import MailService
from .models import (
    AnswerView,
    CheckView,
    HistoryEvent,
    LinkView,
    OwnDoorView,
    OwnDoubt,
    OwnLanguage,
    OwnNumbers,
    OwnQuestion,
    OwnRound,
    OwnSheet,
    OwnView,
    TakenOver,
    WaitingCheck,
)
from .ports import MailBox, OwnPages

__all__ = [
    "ENGLISH",
    "AnswerView",
    "CheckView",
    "HistoryEvent",
    "LanguageService",
    "LinkService",
    "LinkView",
    "MadeLink",
    "MailBox",
    "MailService",
    "OwnCaller",
    "OwnDoorView",
    "OwnDoubt",
    "OwnLanguage",
    "OwnNumbers",
    "OwnPageService",
    "OwnPages",
    "OwnQuestion",
    "OwnRound",
    "OwnSheet",
    "OwnView",
    "PhotoOf",
    "TakenOver",
    "WaitingCheck",
    "read_catalogue",
    "translated",
]
