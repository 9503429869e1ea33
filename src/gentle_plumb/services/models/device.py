"""What is taken along on a device, to work on without network."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from .accounts import Member, Practice
from .shared import MeasuringList, PopulationTable
from .visits import Client, EarlierVisit, Entry, PhotoHead, Report, ReportHead, Visit


@dataclass(frozen=True, kw_only=True)
class OfflineVisit:
    """A visit with everything that it is worked through from.

    ``last`` is its last signed version with its content, ``earlier`` what was measured of the client before,
    ``before`` the client's last visit before this one, without what was before that.
    """

    visit: Visit
    client: Client
    entries: list[Entry]
    reports: list[ReportHead]
    photos: list[PhotoHead]
    last: Report | None
    earlier: list[EarlierVisit]
    before: OfflineVisit | None = None


@dataclass(frozen=True, kw_only=True)
class OfflineData:
    """What a member works with beside visits: the member without secrets, and what the practice has chosen.

    ``errors`` are the member's errors of one reading by dimension, mm, ``policies`` the practice's positions by
    question: visits begin with both.
    """

    practice: Practice
    member: Member
    errors: Mapping[str, float]
    policies: Mapping[str, str]
    tables: list[PopulationTable]
    lists: list[MeasuringList]
