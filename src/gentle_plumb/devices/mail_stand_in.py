"""The simulated mail server: takes mail on loopback and keeps it in a folder (Maildir); it sends nothing on."""

from __future__ import annotations

import socket
from pathlib import Path
from typing import Any

from aiosmtpd.controller import Controller
from aiosmtpd.handlers import Mailbox
from aiosmtpd.smtp import SMTP, Envelope, Session

BUSY = "451 Busy; try again"
UNKNOWN = "550 Nobody has this address"
NOBODY = "nobody@"
"""Mail to such an address is refused for good, so that it can be seen what happens then."""


class MailStandIn(Mailbox):
    """Keeps what arrives; is busy so many times first, as mail servers are."""

    def __init__(self, folder: Path, *, busy: int = 0) -> None:
        super().__init__(folder)  # it makes the folder, which is not to be there before
        self.busy = busy

    async def handle_RCPT(  # noqa: N802
        self, server: SMTP, session: Session, envelope: Envelope, address: str, options: list[str]
    ) -> str:
        """Take a recipient, but for one that nobody is."""
        if address.startswith(NOBODY):
            return UNKNOWN
        envelope.rcpt_tos.append(address)
        envelope.rcpt_options.extend(options)
        return "250 OK"

    async def handle_DATA(self, server: SMTP, session: Session, envelope: Envelope) -> Any:  # noqa: N802
        """Keep a mail, or be busy."""
        if self.busy > 0:
            self.busy -= 1
            return BUSY
        return await super().handle_DATA(server, session, envelope)


def start_mail_server(handler: MailStandIn, port: int = 0) -> Controller:
    """Start it on a port of loopback, any free one for 0, in a thread of its own; its ``stop`` ends it."""
    if not port:
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            port = free.getsockname()[1]
    controller = Controller(handler, hostname="127.0.0.1", port=port)
    controller.start()
    return controller
