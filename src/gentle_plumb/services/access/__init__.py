"""Who comes in, and which clients they see."""

from .one_time_links import Door, MadeDoor, OneTimeLinkService
from .ports import ClientAccesses, OneTimeLinks
from .restricted import HIDDEN, AccessService
