"""The seed that fuzz and generated visits are drawn from; GENTLE_PLUMB_SEED sets another one."""

import os

SEED = int(os.environ.get("GENTLE_PLUMB_SEED", "20261"))
"""Of the first visit; the next one's is one more."""
