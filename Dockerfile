# Evarn for a small server. Build: docker build -t evarn .   Run: see README, "On a small server".
FROM node:22-bookworm-slim AS build
# SQLite is compiled where no build of it fits.
RUN apt-get update && apt-get install -y --no-install-recommends python3 make g++ && rm -rf /var/lib/apt/lists/*
WORKDIR /evarn
COPY package.json package-lock.json ./
ENV NEXT_TELEMETRY_DISABLED=1 PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
RUN npm ci --no-audit --no-fund
COPY . .
RUN npm run build

FROM node:22-bookworm-slim
WORKDIR /evarn
ENV NODE_ENV=production NEXT_TELEMETRY_DISABLED=1 EVARN_DATA=/data PORT=3717
COPY --from=build --chown=node:node /evarn ./
RUN mkdir /data && chown node:node /data
USER node
VOLUME /data
EXPOSE 3717
HEALTHCHECK --interval=30s --timeout=5s --start-period=60s \
  CMD node -e "fetch('http://127.0.0.1:' + process.env.PORT + '/api/health').then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))"
# Listens inside the container alone; the host decides who may reach it.
CMD ["node", "scripts/serve.mjs"]
