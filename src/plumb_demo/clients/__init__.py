"""The clients of the demo: made-up people at a made-up hydrographic office, in every state."""

from .brook import BROOK
from .crake import CRAKE
from .dunne import DUNNE
from .fenwick import FENWICK
from .hale import HALE
from .kestrel import KESTREL
from .lorne import LORNE
from .marrick import MARRICK
from .moss import MOSS
from .pell import PELL
from .penn import PENN
from .roe import ROE
from .sandor import SANDOR
from .tolliver import TOLLIVER
from .trask import TRASK
from .varga import VARGA
from .vell import VELL

DEMO_CLIENTS = (
    MARRICK,
    TOLLIVER,
    FENWICK,
    ROE,
    BROOK,
    SANDOR,
    PELL,
    DUNNE,
    VARGA,
    TRASK,
    KESTREL,
    LORNE,
    PENN,
    VELL,
    CRAKE,
    MOSS,
    HALE,
)
