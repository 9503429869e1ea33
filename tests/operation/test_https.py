"""The example of HTTPS before the program, tried with Debian's own nginx."""

import re
import shutil
import ssl
import subprocess
import threading
import time
from contextlib import suppress

import httpx2 as httpx
import pytest
import trustme
import uvicorn

from conftest import PASSWORD, ROOT
from gentle_plumb.api import make_app
from gentle_plumb.config import Settings
from gentle_plumb.hosting.postgres import free_port
from gentle_plumb.main import make_services

NAME = "plumb.saltmere.example"


@pytest.fixture
def behind(engine, tmp_path):
    """The program behind nginx as the example sets it up: its ports by HTTP and HTTPS, its certificate."""
    nginx = shutil.which("nginx") or shutil.which("/usr/sbin/nginx")
    if nginx is None:
        pytest.skip("nginx is not installed")
    authority = trustme.CA()
    authority.cert_pem.write_to_path(tmp_path / "ca.pem")
    issued = authority.issue_cert(NAME)
    issued.private_key_and_cert_chain_pem.write_to_path(tmp_path / "site.pem")
    ports = {"plumb": free_port(), "http": free_port(), "https": free_port()}
    example = (ROOT / "docs" / "examples" / "nginx.conf").read_text()
    for told, put in (
        ("127.0.0.1:8750", f"127.0.0.1:{ports['plumb']}"),
        ("listen 80;", f"listen 127.0.0.1:{ports['http']};"),
        ("listen 443 ssl", f"listen 127.0.0.1:{ports['https']} ssl"),
        ("/etc/ssl/plumb/fullchain.pem", f"{tmp_path}/site.pem"),
        ("/etc/ssl/plumb/key.pem", f"{tmp_path}/site.pem"),
        ("/var/log/nginx/plumb.log", f"{tmp_path}/plumb.log"),
    ):
        assert told in example
        example = example.replace(told, put)
    (tmp_path / "nginx.conf").write_text(
        f"daemon off; pid {tmp_path}/pid; error_log {tmp_path}/error.log;\n"
        f"events {{}}\nhttp {{\nclient_body_temp_path {tmp_path}/body;\n{example}}}\n"
    )
    app = make_app(make_services(engine, Settings(demo=False)))
    config = uvicorn.Config(app, port=ports["plumb"], log_level="warning", access_log=False)
    server = uvicorn.Server(config)
    thread = threading.Thread(target=server.run)
    thread.start()
    with subprocess.Popen([nginx, "-c", tmp_path / "nginx.conf", "-p", tmp_path]) as process:
        try:
            with httpx.Client(transport=Named(tmp_path / "ca.pem", ports), timeout=20) as http:
                wait_for(http)
                yield http, tmp_path / "plumb.log"
        finally:
            process.terminate()
            server.should_exit = True
            thread.join()


def wait_for(http):
    deadline = time.monotonic() + 30
    while time.monotonic() < deadline:
        with suppress(httpx.HTTPError):
            if http.get(f"https://{NAME}/api/health").status_code == httpx.codes.OK:
                return
        time.sleep(0.1)
    raise AssertionError("nginx does not answer")


class Named(httpx.HTTPTransport):
    """Reaches the site by its name, wherever its ports are."""

    def __init__(self, authority, ports):
        super().__init__(verify=ssl.create_default_context(cafile=authority))
        self.ports = ports

    def handle_request(self, request):
        request.extensions["sni_hostname"] = NAME
        request.url = request.url.copy_with(host="127.0.0.1", port=self.ports[request.url.scheme])
        return super().handle_request(request)


def test_behind_nginx_cookies_are_of_this_host_alone_and_plain_http_leads_on(behind, office):
    http, log = behind
    plain = http.get(f"http://{NAME}/clients", follow_redirects=False)
    assert (plain.status_code, plain.headers["location"]) == (301, f"https://{NAME}/clients")
    answer = http.post(
        f"https://{NAME}/api/session",
        json={"email": office.owner.email, "password": PASSWORD},
        headers={"Origin": f"https://{NAME}", "X-Forwarded-For": "203.0.113.9"},
    )
    assert answer.status_code == 200, answer.text
    names = [one.split("=")[0] for one in answer.headers.get_list("set-cookie")]
    assert names == ["__Host-plumb_session", "__Host-plumb_browser"]
    assert all("Secure" in one for one in answer.headers.get_list("set-cookie"))
    assert answer.headers["strict-transport-security"] == "max-age=31536000"
    assert "nginx/" not in answer.headers["server"]
    foreign = {"Origin": "https://evil.example"}
    given = {"email": office.owner.email, "password": PASSWORD}
    refused = http.post(f"https://{NAME}/api/session", json=given, headers=foreign)
    assert refused.status_code == 403
    assert http.get(f"https://{NAME}/api/metrics").status_code == 403
    logged = log.read_text()
    assert re.search(r"127\.0\.0\.1 \[[^]]+\] POST /api/session 200", logged)
    assert "203.0.113.9" not in logged
