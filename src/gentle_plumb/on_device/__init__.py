"""The program on a device without network: its own services over what was taken along, in the page's Python."""

from .records import DeviceRecords
from .session import DeviceSession
