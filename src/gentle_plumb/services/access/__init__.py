"""Who comes in, and which clients they see."""

from .entrances import Door, EntranceService, MadeDoor
from .ports import ClientAccesses, OneTimeLinks
from .restricted import HIDDEN, AccessService
