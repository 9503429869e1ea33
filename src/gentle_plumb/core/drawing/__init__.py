"""The elevation: geometry for the drawing, as a list of marks; page and report only ink it."""

from .body_chart import body_chart
from .marks import Mark, Scene
from .scene import SceneRequest, draw_scene

__all__ = ["Mark", "Scene", "SceneRequest", "body_chart", "draw_scene"]
