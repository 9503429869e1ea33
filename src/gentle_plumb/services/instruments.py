"""Tape and height rod near the desk: what they are set to, and a reading when asked."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from hashlib import sha256
from uuid import UUID

from ..core.body import dimension
from ..core.catalogue import QUANTITIES
from ..core.errors import UnknownName
from ..core.language import msg
from ..core.units import LengthUnit
from .errors import NoAnswer, NotFound
from .models import InstrumentReading, InstrumentState, Member, view_of
from .ports import Instrument, Records


@dataclass(frozen=True, kw_only=True)
class InstrumentView:
    """An instrument: what it is set to, its battery in percent, and what is wrong with it, if anything."""

    id: str
    unit: LengthUnit | None
    battery: int | None
    trouble: str | None


def _view(state: InstrumentState) -> InstrumentView:
    return view_of(InstrumentView, state, trouble=state.warning)


def subject_word(client_id: UUID) -> str:
    """An opaque word for a client: a device learns nobody's name or number.

    >>> subject_word(UUID(int=7)) == subject_word(UUID(int=7))
    True
    """
    return sha256(client_id.bytes).hexdigest()[:16]


class InstrumentService:
    """What is done with instruments."""

    def __init__(self, records: Records, instruments: Mapping[str, Instrument]) -> None:
        self._records, self._instruments = records, instruments

    def every(self) -> list[InstrumentView]:
        """Every instrument with its state; one that does not answer says so."""
        return [self._look(id, instrument) for id, instrument in self._instruments.items()]

    def _look(self, id: str, instrument: Instrument) -> InstrumentView:
        try:
            return _view(instrument.state())
        except NoAnswer as trouble:
            return InstrumentView(id=id, unit=None, battery=None, trouble=str(trouble))

    def set_unit(self, id: str, unit: LengthUnit) -> InstrumentView:
        """Set an instrument's unit; raises NotFound, NoAnswer."""
        return _view(self._named(id).set_unit(unit))

    def read(self, member: Member, visit_id: UUID, id: str, name: str) -> InstrumentReading:
        """Take one reading of a visit's client; raises NotAllowed, NotFound, UnknownName, NoAnswer.

        Nothing is kept here: the reading goes into its field like a typed one.
        """
        client = self._records.load_snapshot(member.practice_id, visit_id).client
        return self._named(id).read(subject=subject_word(client.id), dimension=dimension(name).id)

    def read_piece(
        self, member: Member, visit_id: UUID, id: str, key: str, near: float
    ) -> InstrumentReading:
        """Take one reading of a piece that was set; raises NotAllowed, NotFound, UnknownName, NoAnswer.

        ``near`` is what it was set to, mm: a stand-in needs it, a real instrument does not look.
        """
        client = self._records.load_snapshot(member.practice_id, visit_id).client
        if key not in QUANTITIES:
            raise UnknownName(
                field="piece",
                value=key,
                message=msg("There is nothing called “{key}” to set.", key=key),
            )
        return self._named(id).read(subject=subject_word(client.id), dimension=key, near=near)

    def _named(self, id: str) -> Instrument:
        if id not in self._instruments:
            raise NotFound(msg("There is no such instrument."))
        return self._instruments[id]
