"""Every copy of one version, from one reading of the visit."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from ...core.units import LengthUnit
from ..models import Practice, VisitSnapshot
from ..paper_models import Papers, PaperSince
from ..workup import VisitResults
from .client import client_paper
from .places import place_of
from .record import record_paper
from .versions import replaces
from .workplace import workplace_paper


def papers_of(
    practice: Practice,
    opened: VisitSnapshot,
    workup: VisitResults,
    unit: LengthUnit,
    before: Mapping[str, Any] | None = None,
    since: PaperSince | None = None,
) -> Papers:
    """Build every copy.

    Parameters
    ----------
    practice, opened, workup
        Whose, which visit, and what it comes to.
    unit : {"mm", "cm", "in"}
        Of every length.
    before : mapping, optional
        The frozen content of the version before.
    since : PaperSince, optional
        What has become of the client since their visit before.

    """
    places = [place_of(opened, workup, view.id, unit) for view in workup.places[1:]]
    record = record_paper(practice, opened, workup, unit, places)
    client = client_paper(practice, opened, workup, unit, places)
    if since is not None:
        record = record.model_copy(update={"since": since})
        client = client.model_copy(update={"since": since})
    if before is not None:
        said = replaces(before, record)
        record = record.model_copy(update={"replaces": said})
        client = client.model_copy(update={"replaces": said})
    workplace = workplace_paper(practice, opened, workup, unit, places)
    if before is not None:
        workplace = workplace.model_copy(update={"replaces": said[:1]})
    return Papers(client=client, workplace=workplace, record=record)
