# Gravelwort with its own database in one container. Its commands were run in a root of Debian stable, see docs/deploy.md.
FROM debian:stable-slim
RUN mkdir -p /etc/postgresql-common/createcluster.d \
 && echo 'create_main_cluster = false' > /etc/postgresql-common/createcluster.d/nomain.conf \
 && apt-get update \
 && apt-get install -y --no-install-recommends nodejs npm postgresql postgresql-client util-linux ca-certificates \
 && rm -rf /var/lib/apt/lists/* \
 && useradd --create-home gravelwort
WORKDIR /opt/gravelwort
COPY --chown=gravelwort . .
RUN chown gravelwort . && runuser -u gravelwort -- npm ci --no-audit --no-fund
USER gravelwort
# Database, secret and dumps: what is to be kept.
VOLUME /opt/gravelwort/.gravelwort
ENV GRAVELWORT_DEMO=no GRAVELWORT_HOST=0.0.0.0
EXPOSE 4680
CMD ["bash", "scripts/start.sh"]
