# Evarn for a small server: see README, "On a small server".
FROM node:22-bookworm-slim
# SQLite is compiled where no build of it fits.
RUN apt-get update \
  && apt-get install -y --no-install-recommends python3 make g++ \
  && rm -rf /var/lib/apt/lists/*
WORKDIR /evarn
COPY . .
# Installs the packages of the lock file, and builds.
RUN node scripts/build.mjs && mkdir /data && chown -R node:node /data /evarn/.next
USER node
# Evarn listens inside alone; what the container shows is the gate, which lets devices in by a code (docker logs).
ENV EVARN_DATA=/data PORT=3700 SHARE_PORT=3717
VOLUME /data
EXPOSE 3717
HEALTHCHECK --interval=30s --timeout=5s --start-period=60s \
  CMD node -e "fetch('http://127.0.0.1:3700/api/health').then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))"
CMD ["node", "scripts/share.mjs"]
