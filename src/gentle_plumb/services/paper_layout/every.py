"""The layout of any paper, and of every copy of a version."""

from __future__ import annotations

from pydantic import BaseModel, ConfigDict

from ..paper_models import ClientPaper, Papers, RecordPaper, WorkplacePaper
from ..said import spoken
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
        laid = client_layout(paper, carries_files=carries_files)
    elif isinstance(paper, WorkplacePaper):
        laid = workplace_layout(paper)
    else:
        laid = record_layout(paper)
    return spoken(laid, paper.speaker)


def layouts_of(papers: Papers) -> PaperLayouts:
    """Lay out every copy, as the page shows them before they are signed."""
    return PaperLayouts(
        client=layout_of(papers.client),
        workplace=layout_of(papers.workplace),
        record=layout_of(papers.record),
    )
