"""Devices near the desk: adapters behind ports, and the stand-ins that ship with the program."""

from .desk import SocketDesk
from .length import SocketInstrument
from .light_meter import SocketLightMeter
from .mail import FolderInbox, SmtpMail, SmtpSettings
