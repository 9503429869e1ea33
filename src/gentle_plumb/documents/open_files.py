"""The open files that a paper carries."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import asdict

from ..core.drawing import Scene
from ..core.language import msg
from ..core.what_if import VisitAnalysis
from ..services.models import Attachment, MeasurementSheet, VisitSnapshot
from .embedded_files import DRAWING, MEASUREMENTS, RESULT, VISIT
from .exchange import FORMATS
from .scene_svg import scene_svg
from .visit_file import visit_document, visit_result


class PaperFiles:
    """The OpenFiles port."""

    def of_visit(
        self,
        opened: VisitSnapshot,
        analysis: VisitAnalysis,
        sheets: Sequence[MeasurementSheet],
        drawing: Scene | None,
    ) -> list[Attachment]:
        """Return the visit, its result, its measurements and its drawing."""
        attachments = [
            Attachment(
                name=VISIT,
                says=msg("The visit, entry by entry"),
                media="application/json",
                text=visit_document(opened, analysis.visit_input.practice).model_dump_json(
                    indent=1
                ),
            ),
            Attachment(
                name=RESULT,
                says=msg("Targets and settings that were worked out"),
                media="application/json",
                text=visit_result(analysis).model_dump_json(),
            ),
        ]
        if sheets:
            fhir = FORMATS["fhir"]
            attachments.append(
                Attachment(
                    name=MEASUREMENTS,
                    says=msg("Body measurements, HL7 FHIR R4"),
                    media="application/json",
                    text=fhir.write(sheets).decode(),
                )
            )
        return [*attachments, *self.of_drawing(drawing)]

    def of_drawing(self, drawing: Scene | None) -> list[Attachment]:
        """Return the drawing alone."""
        if drawing is None:
            return []
        return [
            Attachment(
                name=DRAWING,
                says=msg("The side view to scale"),
                media="image/svg+xml",
                text=scene_svg(asdict(drawing)),
            )
        ]
