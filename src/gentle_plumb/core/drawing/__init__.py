"""The elevation: geometry for the drawing, as a list of marks; page and report only ink it."""

from .body_chart import body_chart
from .day_bar import DayBar, draw_day
from .history import HistoryPoint, history_marks
from .inks import INKS, PAPER, Ink
from .marks import Mark, Scene
from .measuring import draw_measuring
from .movement_figure import MOVEMENT_SIZE, MovementFigure, draw_movement
from .scene import draw_scene
from .scene_request import SceneRequest
