"""The drawing of a visit while what was just typed is still on its way to the server."""

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
    """What is typed and not kept yet, and what to draw it as."""

    changes: tuple[TypedChange, ...]
    unit: LengthUnit
    scene: SceneRequest


class AheadSession:
    """Draws one visit with changes that are not kept yet, by the same computation as the server.

    How sure each target is takes longer than the targets themselves: it is carried over from the last time
    that nothing was being typed, see :meth:`settle`.
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
                continue  # the server says what is wrong with it
        visit_input = replace(self.visit_input, values=values)
        analysis = analyse_visit(visit_input, request.unit, judged=False, brief=True)
        if self._settled is not None:
            analysis = carry_over_uncertainty(self._settled, analysis)
        return analysis.scene(request.scene)

    def keep(self, values: Mapping[str, Value]) -> None:
        """Take over what the server has kept, by path."""
        self.visit_input = replace(self.visit_input, values={**self.visit_input.values, **values})

    def settle(self, request: AheadRequest) -> None:
        """Work out how sure each target is, and draw once: nobody is waiting now."""
        self._settled = analyse_visit(self.visit_input, request.unit, judged=False)
        self.draw(request)
