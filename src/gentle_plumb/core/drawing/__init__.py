"""The elevation: geometry for the drawing, as a list of marks; page and report only ink it."""

from .body_chart import body_chart
from .history import HistoryPoint, history_marks
from .inks import INKS, PAPER, Ink
from .marks import Mark, Scene
from .measuring import draw_measuring
from .scene import draw_scene
from .scene_request import SceneRequest

__all__ = [
    "INKS",
    "PAPER",
    "HistoryPoint",
    "Ink",
    "Mark",
    "Scene",
    "SceneRequest",
    "body_chart",
    "draw_measuring",
    "draw_scene",
    "history_marks",
]
