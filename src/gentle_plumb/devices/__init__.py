"""Devices near the desk: adapters behind ports, and the stand-ins that ship with the program."""

from .light_meter import SocketLightMeter
from .light_stand_in import LightStandIn

__all__ = ["LightStandIn", "SocketLightMeter"]
