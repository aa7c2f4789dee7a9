import { spawn } from 'node:child_process';
import net from 'node:net';

/** Starts the built application on the loopback: node scripts/start.mjs [port]. */
const port = Number(process.argv[2] ?? process.env.PORT ?? 3717);
if (!Number.isInteger(port) || port < 1 || port > 65_535) {
  console.error(`“${process.argv[2] ?? process.env.PORT}” is not a port. Give a number from 1 to 65535.`);
  process.exit(1);
}

const probe = net.createServer();
probe.once('error', (error) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken by another program. Stop it, or start with another one: PORT=${port + 1} npm start`
      : `Port ${port} cannot be used (${error.code}). Start with another one: PORT=8717 npm start`,
  );
  process.exit(1);
});
probe.listen(port, '127.0.0.1', () =>
  probe.close(() => {
    const next = 'node_modules/next/dist/bin/next';
    const server = spawn(process.execPath, [next, 'start', '-H', '127.0.0.1', '-p', String(port)], {
      stdio: 'inherit',
      env: { ...process.env, PORT: String(port), NEXT_TELEMETRY_DISABLED: '1' },
    });
    for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
    server.on('close', (code) => process.exit(code ?? 1));
  }),
);
