# Gentle Plumb on Debian's own image. Data, backups and the key that opens them are volumes of their own.
#
#   podman build -t plumb .                      the program
#   podman build -t plumb-tested --target tested .   the same, after every check there is
#   podman run -p 127.0.0.1:8750:8750 -v plumb-data:/opt/plumb/var/postgres \
#     -v plumb-backups:/opt/plumb/var/backups -v plumb-keys:/opt/plumb/var/keys plumb
#   podman run -p 127.0.0.1:8750:8750 plumb ./plumb demo --yes      the demo practice

FROM debian:trixie-slim AS plumb
RUN apt-get update -qq \
 && apt-get install -y -qq --no-install-recommends ca-certificates python3 python3-venv nodejs npm \
 && rm -rf /var/lib/apt/lists/*
WORKDIR /opt/plumb
COPY . .
RUN ./plumb build && rm -rf /var/lib/apt/lists/* web/node_modules

FROM plumb AS tested
RUN ./plumb test

FROM plumb
RUN useradd --system --no-create-home plumb \
 && mkdir -p var/postgres var/backups var/keys \
 && chown -R plumb:plumb var
USER plumb
# the host's address as a container sees it: a proxy there tells who calls, see docs/operation.md
ENV GENTLE_PLUMB_TRUSTED_PROXIES=127.0.0.1,172.16.0.0/12
ENV GENTLE_PLUMB_BACKUP_KEY=/opt/plumb/var/keys/backup.key \
    GENTLE_PLUMB_SECRETS_KEY=/opt/plumb/var/keys/secrets.key
VOLUME ["/opt/plumb/var/postgres", "/opt/plumb/var/backups", "/opt/plumb/var/keys"]
EXPOSE 8750
HEALTHCHECK --start-period=60s CMD ["python3", "-c", "import urllib.request; urllib.request.urlopen('http://127.0.0.1:8750/api/ready')"]
CMD ["./plumb", "serve", "--host", "0.0.0.0"]
