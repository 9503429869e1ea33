"""All routes of the server."""

from __future__ import annotations

from .access import ACCESS_ROUTES
from .accounts import ACCOUNT_ROUTES, OPERATION_ROUTES
from .day import DAY_ROUTES
from .links import AUDIT_ROUTES, DEVICE_ROUTES, LINK_ROUTES
from .measuring import DESK_ROUTES, MEASURING_ROUTES
from .own_page import OWN_ROUTES
from .papers import PAPER_ROUTES
from .practice import PRACTICE_ROUTES
from .retention import RETENTION_ROUTES
from .route import Route
from .visits import VISIT_ROUTES

EVERY_ROUTE: tuple[Route, ...] = (
    *OPERATION_ROUTES,
    *ACCOUNT_ROUTES,
    *ACCESS_ROUTES,
    *RETENTION_ROUTES,
    *VISIT_ROUTES,
    *DAY_ROUTES,
    *PAPER_ROUTES,
    *PRACTICE_ROUTES,
    *MEASURING_ROUTES,
    *DESK_ROUTES,
    *DEVICE_ROUTES,
    *OWN_ROUTES,
    *LINK_ROUTES,
    *AUDIT_ROUTES,
)
