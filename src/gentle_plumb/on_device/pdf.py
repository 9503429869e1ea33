"""What prints and packs: the server's alone."""

from __future__ import annotations

from typing import NoReturn

from ..core.language import msg
from ..services.errors import NeedsServer


class UnavailablePdf:
    """Prints nothing; raises NeedsServer."""

    def print(self, *_: object, **__: object) -> NoReturn:
        _refuse()

    def print_card(self, *_: object) -> NoReturn:
        _refuse()

    def read_request(self, *_: object) -> NoReturn:
        _refuse()

    def print_request(self, *_: object) -> NoReturn:
        _refuse()

    def mark(self, *_: object, **__: object) -> NoReturn:
        _refuse()


def _refuse() -> NoReturn:
    raise NeedsServer(msg("Reports can be printed when you are back online."))


class NoFiles:
    """Makes no files; raises NeedsServer."""

    def of_visit(self, *_: object) -> NoReturn:
        raise NeedsServer(msg("Files can be created when you are back online."))

    of_drawing = of_visit
