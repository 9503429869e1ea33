"""Mail leaves by a secret line to the right server, or it does not leave."""

import ssl
from uuid import uuid4

import pytest
import trustme
from aiosmtpd.controller import Controller

from gentle_plumb.devices import SmtpMail, SmtpSettings, mail
from gentle_plumb.devices.mail_stand_in import MailStandIn
from gentle_plumb.hosting.postgres import free_port
from gentle_plumb.services.errors import MailTrouble
from gentle_plumb.services.models import LetterOut

LETTER = LetterOut(id=uuid4(), to="wim@saltmere.example", subject="A link", text="It opens once.")


@pytest.fixture
def line(tmp_path, request):
    """A mail server with a certificate for a name: its port, the authority's file, what arrived."""
    authority = trustme.CA()
    authority.cert_pem.write_to_path(tmp_path / "ca.pem")
    trusted = ssl.create_default_context(ssl.Purpose.CLIENT_AUTH)
    authority.issue_cert(request.param["name"]).configure_cert(trusted)
    inbox, port = tmp_path / "inbox", free_port()
    how = {"ssl_context": trusted} if request.param["at_once"] else {"tls_context": trusted}
    server = Controller(MailStandIn(inbox), hostname="127.0.0.1", port=port, **how)
    server.start()
    yield port, tmp_path / "ca.pem", lambda: list((inbox / "new").glob("*"))
    server.stop()


def send(port, authorities, host="localhost"):
    settings = SmtpSettings(
        host=host, port=port, sender="plumb@saltmere.example", authorities=authorities
    )
    SmtpMail(settings).send(LETTER)


@pytest.mark.parametrize("line", [{"name": "localhost", "at_once": False}], indirect=True)
def test_a_certificate_that_nobody_vouches_for_is_told_and_one_that_is_vouched_for_taken(line):
    port, authority, arrived = line
    with pytest.raises(MailTrouble, match="certificate is not trusted"):
        send(port, None)
    assert arrived() == []
    send(port, authority)
    assert len(arrived()) == 1


@pytest.mark.parametrize("line", [{"name": "somebody.else", "at_once": False}], indirect=True)
def test_a_certificate_for_another_name_is_not_taken(line):
    port, authority, arrived = line
    with pytest.raises(MailTrouble, match="certificate is not trusted"):
        send(port, authority)
    assert arrived() == []


@pytest.mark.parametrize("line", [{"name": "localhost", "at_once": True}], indirect=True)
def test_a_line_that_is_secret_from_the_start_is_spoken(line, monkeypatch):
    port, authority, arrived = line
    monkeypatch.setattr(mail, "SECRET_FROM_THE_START", port)
    send(port, authority)
    assert len(arrived()) == 1
    with pytest.raises(MailTrouble, match="certificate is not trusted"):
        send(port, None)
