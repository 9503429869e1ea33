"""The client's own page: what a client sees and gives, and what a practitioner does with it."""

from .catalogues import ENGLISH, read_catalogue, translated
from .clients_side import OwnCaller, OwnPageService, PhotoOf
from .languages import LanguageService
from .links import LinkService, MadeLink
from .mail import MailService
from .models import (
    CheckView,
    HistoryEvent,
    LanguageView,
    LinkView,
    OwnDoorView,
    OwnDoubt,
    OwnNumbers,
    OwnSheet,
    OwnView,
    TakenOver,
    WaitingCheck,
)
from .ports import MailBox, OwnPages
