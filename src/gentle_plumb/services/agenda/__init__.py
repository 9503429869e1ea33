"""The agenda: appointments, times that are free for what is due, private calendars, mail about appointments."""

from .agenda import AgendaLine, AgendaService, AgendaView, DueLine, Offer
from .feeds import FeedService, FeedView, MadeFeed
from .letters import AppointmentLetters
from .ports import AgendaStore, CalendarWriter, Event
