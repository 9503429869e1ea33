"""Photographs: landmarks, the camera, and the angles read from them with their errors."""

from .landmarks import LANDMARKS, VIEWS, Landmark, Taken, View
from .measures import MEASURES, Measure
from .photo import ASKEW_DEG, NEAREST_MM, SLIP_DEG, Photo
from .reading import PhotoReading, Reading, read_photo
from .warnings import Warn

__all__ = [
    "ASKEW_DEG",
    "LANDMARKS",
    "MEASURES",
    "NEAREST_MM",
    "SLIP_DEG",
    "VIEWS",
    "Landmark",
    "Measure",
    "Photo",
    "PhotoReading",
    "Reading",
    "Taken",
    "View",
    "Warn",
    "read_photo",
]
