"""What one drawing shows and where: which postures are there to be shown, and one scale for all of them."""

from __future__ import annotations

from dataclasses import replace
from functools import cached_property

from ..fit import Case, FitResult
from ..workstation import Settings
from .body_labels import GAP_PX, BodyHeight, heights_of, label_room
from .layout import SEATED_ALONE_MM, Layout, lay_out
from .marks import Sheet
from .scene_parts import behind_of, extent_of
from .scene_request import DrawnPosture, Mode, SceneRequest, Show, height_of, posture_to_draw
from .supports import Layers

SIDES: dict[Mode, tuple[str, ...]] = {
    "both": ("seated", "standing"),
    "seated": ("seated",),
    "standing": ("standing",),
    "overlay": ("standing", "seated"),
}
"""The postures of each mode in the order they are inked."""
SCALE_GUESS = 0.85
"""What the scale may still shrink by, once there is room for words. Source: house."""


class Stage:
    """A request with what answers it: postures, layers, layout.

    Attributes
    ----------
    request : SceneRequest
        Narrowed to what is there: no posture nobody works in, none that nobody recorded.
    missing : list of str
        Postures that were asked for and not recorded.
    layers : mapping
        What things stand on: what was found there, or what is planned.

    """

    def __init__(
        self,
        case: Case,
        result: FitResult,
        request: SceneRequest,
        left: tuple[Settings, Settings],
        layers: Layers,
    ) -> None:
        self.case, self._result, self._left = case, result, left
        on_found = (case.details.screen_on,) if case.details.screen_on else ()
        self._found: Layers = {"screen": on_found}
        self._planned = {**layers, "screen": (*on_found, *layers.get("screen", ()))}
        self.layers = self._layers_at(request.show)
        self.missing: list[str] = []
        self.request = self._narrowed(request)
        self._layout: Layout | None = None

    def _layers_at(self, show: Show) -> Layers:
        return self._found if show == "found" else self._planned

    def _narrowed(self, request: SceneRequest) -> SceneRequest:
        mode = request.mode
        if not self._result.seated.possible:
            mode = "standing"
        elif not self._result.standing.possible and mode in ("both", "overlay"):
            mode = "seated"
        if request.show in ("target", "kept"):
            return replace(request, mode=mode)
        there = {side: self._side(side, request.show).recorded for side in SIDES[mode]}
        self.missing = [text for text in there if not there[text]]
        if len(there) == 2 and self.missing:
            mode = "standing" if there["standing"] else "seated"
        return replace(request, mode=mode)

    def _side(self, posture: str, show: Show, between: float | None = None) -> DrawnPosture:
        index = 0 if posture == "seated" else 1
        fit = self._result.seated if index == 0 else self._result.standing
        return posture_to_draw(self.case, fit, self._left[index], show, between)

    def side(self, posture: str) -> DrawnPosture:
        """Return a posture as it is asked for."""
        return self._side(posture, self.request.show, self.request.between)

    @cached_property
    def sides(self) -> list[DrawnPosture]:
        """The postures that are drawn, in the order they are inked."""
        return [self.side(name) for name in SIDES[self.request.mode]]

    def _reach(self, side: DrawnPosture) -> tuple[float, float, float]:
        """How far back, forward and up a posture reaches as shown, as found and as aimed at, mm.

        One scale for all three: the drawing keeps its place from step to step.
        """
        shows: list[Show] = ["found", "target"]
        every = [(side, self.layers)]
        for show in shows:
            other = self._side(side.name, show)
            if other.recorded and other is not side:
                every.append((other, self._layers_at(show)))
        ends = [extent_of(self.case, posture, layers) for posture, layers in every]
        return (
            min(low for low, _ in ends),
            max(high for _, high in ends),
            max(height_of(posture) for posture, _ in every),
        )

    def layout(self) -> Layout:
        """Return where everything stands."""
        if self._layout is None:
            self._layout = self._laid_out()
        return self._layout

    def _laid_out(self) -> Layout:
        request = self.request
        reach: dict[str, tuple[float, float, float]] = {
            side.name: self._reach(side) for side in self.sides
        }
        tallest = max(top for *_, top in reach.values())
        if request.mode in ("both", "seated"):
            tallest = max(tallest, SEATED_ALONE_MM)
        extents = {name: (low, high) for name, (low, high, _) in reach.items()}

        def place(outer: dict[str, float]) -> Layout:
            return lay_out(
                extents,
                width=request.width,
                height=request.height,
                mode=request.mode,
                tallest=tallest,
                outer=outer,
            )

        scale = SCALE_GUESS * place(dict.fromkeys(extents, 0.0)).scale
        room = label_room(request.unit) + GAP_PX + 3
        return place(
            {
                side.name: max(
                    (
                        room - (height.back - extents[side.name][0]) * scale
                        for height in self._heights(side)
                    ),
                    default=0.0,
                )
                for side in self.sides
            }
        )

    def _heights(self, side: DrawnPosture) -> list[BodyHeight]:
        """Heights of the body to be written behind a figure: in an overlay behind both."""
        if not self.request.person:
            return []
        beside = tuple(self.sides) if self.request.mode == "overlay" else (side,)
        return [
            BodyHeight(
                part=part,
                posture=side.name,
                height=height,
                back=behind_of(self.case, beside, self.layers, height),
            )
            for part, height in heights_of(self.case, side)
        ]

    def body_heights(self, layout: Layout) -> list[tuple[Sheet, list[BodyHeight]]]:
        """Return the heights of the body by the sheet they are written on."""
        if self.request.mode == "overlay":
            every = [height for side in self.sides for height in self._heights(side)]
            return [(layout.sheets["seated"], every)]
        return [(layout.sheets[side.name], self._heights(side)) for side in self.sides]
