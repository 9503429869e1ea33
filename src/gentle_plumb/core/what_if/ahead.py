"""Draws a visit with what has just been typed, before the server has answered."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace

from ..drawing import Scene, SceneRequest
from ..errors import FieldError
from ..record import Value, field_of, read_typed
from ..units import LengthUnit
from .analyse import analyse_visit
from .analysis import VisitAnalysis
from .changes import carry_over_uncertainty
from .visit_input import VisitInput


@dataclass(frozen=True, kw_only=True)
class TypedChange:
    """One change as it was typed: the field's path, the text, and the unit of a length without one."""

    path: str
    typed: str
    unit: LengthUnit


@dataclass(frozen=True, kw_only=True)
class AheadRequest:
    """What has been typed but not saved, and how to draw it."""

    changes: tuple[TypedChange, ...]
    unit: LengthUnit
    scene: SceneRequest


class AheadSession:
    """Draws one visit with unsaved changes, using the same computation as the server.

    The uncertainty of a target takes longer to work out than the target itself, so the drawing uses the
    uncertainty from the last pause in typing; see :meth:`settle`.
    """

    def __init__(self, visit_input: VisitInput) -> None:
        self.visit_input = visit_input
        self._settled: VisitAnalysis | None = None

    def draw(self, request: AheadRequest) -> Scene:
        """Draw the visit with some changes; those that can't be read, or are out of range, are left out."""
        values = dict(self.visit_input.values)
        for change in request.changes:
            try:
                values[change.path] = read_typed(
                    field_of(change.path), change.typed, unit=change.unit
                )
            except FieldError:
                continue  # the server reports what is wrong with it
        visit_input = replace(self.visit_input, values=values)
        analysis = analyse_visit(visit_input, request.unit, judged=False, brief=True)
        if self._settled is not None:
            analysis = carry_over_uncertainty(self._settled, analysis)
        return analysis.scene(request.scene)

    def keep(self, values: Mapping[str, Value]) -> None:
        """Add values that the server has saved, by path."""
        self.visit_input = replace(self.visit_input, values={**self.visit_input.values, **values})

    def settle(self, request: AheadRequest) -> None:
        """Work out the uncertainty of every target and draw once, in a pause when nobody is waiting."""
        self._settled = analyse_visit(self.visit_input, request.unit, judged=False)
        self.draw(request)
