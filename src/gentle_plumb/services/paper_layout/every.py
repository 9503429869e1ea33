"""The layout of any paper, and of every copy of a version."""

from __future__ import annotations

from pydantic import BaseModel, ConfigDict

from ..paper_models import ClientPaper, Papers, RecordPaper, WorkplacePaper
from .blocks import PaperLayout
from .client import client_layout
from .record import record_layout
from .workplace import workplace_layout


class PaperLayouts(BaseModel):
    """Every copy of one version, laid out."""

    model_config = ConfigDict(extra="forbid", frozen=True)

    client: PaperLayout
    workplace: PaperLayout
    record: PaperLayout


def layout_of(
    paper: ClientPaper | WorkplacePaper | RecordPaper, *, carries_files: bool = False
) -> PaperLayout:
    """Lay out a paper; ``carries_files``: it says to the client that open files are in it."""
    if isinstance(paper, ClientPaper):
        return client_layout(paper, carries_files=carries_files)
    if isinstance(paper, WorkplacePaper):
        return workplace_layout(paper)
    return record_layout(paper)


def layouts_of(papers: Papers) -> PaperLayouts:
    """Lay out every copy, as the page shows them before they are signed."""
    return PaperLayouts(
        client=client_layout(papers.client),
        workplace=workplace_layout(papers.workplace),
        record=record_layout(papers.record),
    )
