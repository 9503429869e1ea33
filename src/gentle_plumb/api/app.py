"""The application: routes, headers, and the page's files."""

from __future__ import annotations

from functools import partial
from mimetypes import guess_type
from pathlib import Path

from fastapi import FastAPI, Request, Response
from fastapi.responses import FileResponse
from starlette.middleware.gzip import GZipMiddleware

from ..config import VERSION
from ..core.language import msg
from ..routes.every import EVERY_ROUTE
from ..routes.services import Services
from ..schemas.problem import Problem
from .description import describe
from .metrics import Measured, metrics_router
from .middleware import ErrorHandling, RequestIds, SecurityHeaders
from .problems import add_handlers, answer
from .registering import router_of

ROUTER = router_of(EVERY_ROUTE)


def make_app(services: Services, page: Path | None = None) -> FastAPI:
    """Build the application.

    Parameters
    ----------
    services : Services
    page : Path, optional
        Folder of the built page; without it only the API answers.

    """
    app = FastAPI(
        title="Gentle Plumb",
        version=VERSION,
        docs_url=None,
        redoc_url=None,
        openapi_url=None,
        separate_input_output_schemas=False,
    )
    app.openapi = partial(describe, app)  # type: ignore[method-assign]
    app.state.services = services
    # the last added is the first to see a call
    app.add_middleware(GZipMiddleware, minimum_size=1000, compresslevel=1)
    app.add_middleware(ErrorHandling)
    app.add_middleware(Measured)
    app.add_middleware(SecurityHeaders)
    app.add_middleware(RequestIds)
    add_handlers(app)
    app.include_router(ROUTER)
    app.include_router(metrics_router)
    if page is not None:
        _serve_page(app, page.resolve())
    return app


def _serve_page(app: FastAPI, page: Path) -> None:
    @app.get("/{path:path}", include_in_schema=False)
    def page_file(path: str, request: Request) -> Response:
        if path.startswith("api/"):
            return answer(
                request,
                Problem(
                    type="not-found", title="not found", status=404, detail=msg("No such address.")
                ),
            )
        wanted = _file_of(page, path)
        if wanted is None and path.startswith("assets/"):
            return answer(
                request,
                Problem(
                    type="not-found", title="not found", status=404, detail=msg("No such file.")
                ),
            )
        if wanted is not None:
            age = "public, max-age=31536000, immutable" if "assets/" in path else "no-cache"
            return _sent(wanted, request, age)
        known = path.split("/", 1)[0] in PLACES
        return _sent(page / "index.html", request, "no-cache", 200 if known else 404)


def _sent(file: Path, request: Request, age: str, status: int = 200) -> Response:
    """A file of the page, compressed at build time where the browser accepts that."""
    headers = {"Cache-Control": age, "Vary": "Accept-Encoding"}
    kind = guess_type(file.name)[0] or "application/octet-stream"
    read = {
        name.split(";")[0].strip() for name in request.headers.get("accept-encoding", "").split(",")
    }
    for encoding, ending in COMPRESSED.items():
        small = file.with_name(f"{file.name}{ending}")
        if encoding in read and small.is_file():
            headers["Content-Encoding"] = encoding
            return FileResponse(small, status, headers=headers, media_type=kind)
    return FileResponse(file, status, headers=headers, media_type=kind)


COMPRESSED = {"br": ".br", "gzip": ".gz"}
"""Encodings the build writes beside each file of the page, with their endings, smallest first."""


PLACES = frozenset(
    {
        *(
            "",
            "own",
            "enter",
            "clients",
            "audit-log",
            "retention",
            "status",
            "inbox",
            "account",
            "people",
        ),
        *("equipment", "measuring", "rules", "visits"),
    }
)
"""What the page's own addresses begin with; others are unknown, and the page says so."""


def _file_of(page: Path, path: str) -> Path | None:
    """The page's file of this path; None for anything else, also what no file can be called."""
    try:
        wanted = (page / path).resolve()
        inside = bool(path) and wanted.is_relative_to(page)
        return wanted if inside and wanted.is_file() else None
    except (OSError, ValueError):
        return None
