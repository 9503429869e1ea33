"""The elevation: geometry for the drawing, as a list of marks; page and report only ink it."""

from .body_chart import body_chart
from .day_bar import DayBar, DayHandle, draw_day
from .history import HistoryPoint, history_marks
from .inks import INKS, PAPER, Ink
from .marks import Mark, Scene
from .measuring import draw_measuring
from .movement_figure import MOVEMENT_SIZE, MovementFigure, draw_movement
from .scene import draw_scene
from .scene_request import SceneRequest

__all__ = [
    "INKS",
    "MOVEMENT_SIZE",
    "PAPER",
    "DayBar",
    "DayHandle",
    "HistoryPoint",
    "Ink",
    "Mark",
    "MovementFigure",
    "Scene",
    "SceneRequest",
    "body_chart",
    "draw_day",
    "draw_measuring",
    "draw_movement",
    "draw_scene",
    "history_marks",
]
