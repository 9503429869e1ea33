"""Photographs: landmarks, the camera, and the angles read from them with their errors."""

from .landmarks import LANDMARKS, VIEWS, Landmark, Taken, View
from .measures import MEASURES, Measure
from .photo import Photo
from .reading import PhotoReading, Reading, read_photo
from .warnings import Warn
