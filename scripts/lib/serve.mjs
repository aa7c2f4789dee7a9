import net from 'node:net';
import { node } from './run.mjs';

/** The port that was asked for: an argument, PORT, or 3717. Ends the command with a sentence where it is none. */
export function portOf(argument) {
  const said = argument ?? process.env.PORT ?? '3717';
  const port = Number(said);
  if (Number.isInteger(port) && port >= 1 && port <= 65_535) return port;
  console.error(`“${said}” is not a port. Give a number from 1 to 65535.`);
  process.exit(1);
}

/** Ends the command with a sentence where a port can't be listened on. */
export function needPort(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const probe = net.createServer();
    probe.once('error', (error) => {
      console.error(
        error.code === 'EADDRINUSE'
          ? `Port ${port} is taken by another program, perhaps by Evarn itself in another window. Stop it, or give another one in PORT: ${port + 1}, for example.`
          : `Port ${port} cannot be used (${error.code}). Give another one in PORT: 8717, for example.`,
      );
      process.exit(1);
    });
    probe.listen(port, host, () => probe.close(() => resolve()));
  });
}

/** Serves the built application until it is stopped. */
export const serve = (port, { host = '127.0.0.1', env = {} } = {}) =>
  node('next', ['start', '-H', host, '-p', String(port)], { env: { PORT: String(port), ...env } });
