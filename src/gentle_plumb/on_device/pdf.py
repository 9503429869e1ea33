"""What prints and packs: the server's alone."""

from __future__ import annotations

from typing import NoReturn

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
    raise NeedsServer("Papers are printed by the server, once the network is back.")


class NoFiles:
    """Makes no files; raises NeedsServer."""

    def of_visit(self, *_: object) -> NoReturn:
        raise NeedsServer("Files are made by the server, once the network is back.")

    of_drawing = of_visit
