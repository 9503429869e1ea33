"""The application: routes, headers, and the page's files."""

from __future__ import annotations

from dataclasses import dataclass, field
from mimetypes import guess_type
from pathlib import Path

from fastapi import FastAPI, Request, Response
from fastapi.responses import FileResponse
from sqlalchemy import Engine
from starlette.datastructures import MutableHeaders
from starlette.middleware.gzip import GZipMiddleware
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ..services.accounts import AccountService
from ..services.exchange import ExchangeService
from ..services.instruments import InstrumentService
from ..services.measuring import MeasuringService
from ..services.photos import PhotoService
from ..services.policies import PolicyService
from ..services.ports import LightMeter
from ..services.reports import ReportService
from ..services.shelves import ShelfService
from ..services.visits import VisitService
from .measuring_routes import measuring_router
from .problems import Problem, add_handlers, answer
from .routes import public, router
from .schemas import DemoPerson
from .work_routes import work_router

_HEADERS = {
    "Content-Security-Policy": "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; "
    "img-src 'self' data: blob:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'",
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
}


@dataclass(frozen=True, kw_only=True)
class Services:
    """What the routes hand over to."""

    engine: Engine
    accounts: AccountService
    visits: VisitService
    reports: ReportService
    photos: PhotoService
    shelf: ShelfService
    measuring: MeasuringService
    policies: PolicyService
    exchange: ExchangeService
    instruments: InstrumentService
    light_meter: LightMeter
    secure_cookie: bool = True
    demo_people: list[DemoPerson] = field(default_factory=list)


class Headers:
    """Adds the security headers to every answer; plain ASGI, since every call passes here."""

    def __init__(self, app: ASGIApp) -> None:
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        async def with_headers(message: Message) -> None:
            if message["type"] == "http.response.start":
                headers = MutableHeaders(scope=message)
                headers.update(_HEADERS)
                if scope["path"].startswith("/api"):
                    headers["Cache-Control"] = "no-store"
            await send(message)

        await self.app(scope, receive, with_headers if scope["type"] == "http" else send)


def make_app(services: Services, page: Path | None = None) -> FastAPI:
    """Build the application.

    Parameters
    ----------
    services : Services
    page : Path, optional
        Folder of the built page; without it only the API answers.

    """
    app = FastAPI(
        title="Gentle Plumb", version="0.4.0", docs_url=None, redoc_url=None,
        openapi_url=None, separate_input_output_schemas=False,
    )  # fmt: skip
    app.state.services = services
    app.add_middleware(GZipMiddleware, minimum_size=1000, compresslevel=1)

    app.add_middleware(Headers)
    add_handlers(app)
    app.include_router(public)
    app.include_router(router)
    app.include_router(measuring_router)
    app.include_router(work_router)
    if page is not None:
        _serve_page(app, page.resolve())
    return app


def _serve_page(app: FastAPI, page: Path) -> None:
    @app.get("/{path:path}", include_in_schema=False)
    def page_file(path: str, request: Request) -> Response:
        if path.startswith("api/"):
            return answer(
                Problem(type="not-found", title="not found", status=404, detail="No such address.")
            )
        wanted = (page / path).resolve()
        if path and wanted.is_relative_to(page) and wanted.is_file():
            age = "public, max-age=31536000, immutable" if "assets/" in path else "no-cache"
            headers = {"Cache-Control": age}
            small = wanted.with_name(f"{wanted.name}.gz")
            if "gzip" not in request.headers.get("accept-encoding", "") or not small.is_file():
                return FileResponse(wanted, headers=headers)
            kind = guess_type(wanted.name)[0] or "application/octet-stream"
            headers |= {"Content-Encoding": "gzip", "Vary": "Accept-Encoding"}
            return FileResponse(small, headers=headers, media_type=kind)
        return FileResponse(page / "index.html", headers={"Cache-Control": "no-cache"})
