"""The time zone of this machine, as a first guess for a new practice."""

from __future__ import annotations

import os
from pathlib import Path
from zoneinfo import available_timezones


def local_zone() -> str:
    """An IANA name from the environment or the system's files; UTC where neither tells."""
    known = available_timezones()
    text = os.environ.get("TZ", "").lstrip(":")
    link = Path("/etc/localtime")
    by_link = str(link.resolve()).partition("zoneinfo/")[2] if link.is_symlink() else ""
    name = Path("/etc/timezone")
    by_name = name.read_text().strip() if name.is_file() else ""
    return next((one for one in (text, by_link, by_name) if one in known), "UTC")
