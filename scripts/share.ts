import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import QRCode from 'qrcode';
import { createSecureContext } from 'node:tls';
import { DeviceBook, endShared, makeGate, Pairing, tellShared, type Certificate } from '../src/sharing';

/**
 * Starts Evarn on this machine alone, and beside it the gate to the home network. PORT is Evarn's, SHARE_PORT the gate's;
 * EVARN_HOSTS names hosts beside this machine's own addresses, separated by commas. EVARN_CERTIFICATE and
 * EVARN_CERTIFICATE_KEY are files of a certificate that the phones trust, where there is one.
 */
const port = Number(process.env.PORT ?? 3717);
const gatePort = Number(process.env.SHARE_PORT ?? port + 3);
const folder = path.resolve(process.env.EVARN_DATA ?? 'data/workspace');
const own = Object.values(os.networkInterfaces())
  .flatMap((all) => all ?? [])
  .filter((a) => a.family === 'IPv4' && !a.internal)
  .map((a) => a.address);
const named = (process.env.EVARN_HOSTS ?? '')
  .split(',')
  .map((h) => h.trim())
  .filter(Boolean);
// Those that were named come first: what this machine takes for its address may be one that nobody else knows, in a container.
const hosts = [...named, ...own, `${os.hostname()}.local`].map((h) =>
  (/:\d+$/.test(h) ? h : `${h}:${gatePort}`).toLowerCase(),
);
if (own.length === 0 && named.length === 0) {
  console.error('This machine is in no network. Connect it, or name it in EVARN_HOSTS, and start again.');
  process.exit(1);
}
const certificate = readCertificate();
const addresses = hosts.map((h) => `${certificate ? 'https' : 'http'}://${h}`);
const server = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)],
  { stdio: 'inherit', env: { ...process.env, EVARN_DATA: folder, PORT: String(port) } },
);
const pairing = new Pairing(new Date(), (code) => void tell(code));
const gate = makeGate({
  target: `127.0.0.1:${port}`,
  hosts,
  book: new DeviceBook(folder),
  pairing,
  certificate,
});
gate.on('error', (error) =>
  end(`The gate could not listen on ${gatePort}: ${error.message}. Give another in SHARE_PORT.`, 1),
);
gate.listen(gatePort, '0.0.0.0');
// The code changes by itself: who looks at it sees the one of now.
setInterval(() => pairing.now(new Date()), 30_000).unref();
server.on('close', (code) => end('', code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => end('', 0));

async function tell(code: string): Promise<void> {
  const [first = ''] = addresses;
  tellShared(folder, { pid: process.pid, addresses, code });
  console.log(await QRCode.toString(`${first}/pair?code=${code}`, { type: 'terminal', small: true }));
  console.log(
    `On a phone in the same network open ${first} and give the code ${code.slice(0, 4)} ${code.slice(4)}.`,
  );
  const open = 'Whoever is in the network sees what is sent: share at home, not in a hall.';
  console.log(`Here: http://127.0.0.1:${port}. ${certificate ? '' : open}`);
}

/** The certificate that is named, or a sentence that says what is wrong with it. */
function readCertificate(): Certificate | undefined {
  const [cert, key] = [process.env.EVARN_CERTIFICATE, process.env.EVARN_CERTIFICATE_KEY];
  if (!cert && !key) return undefined;
  try {
    if (!cert || !key) throw new Error('EVARN_CERTIFICATE and EVARN_CERTIFICATE_KEY are given together');
    const read = { cert: fs.readFileSync(cert, 'utf8'), key: fs.readFileSync(key, 'utf8') };
    createSecureContext(read);
    return read;
  } catch (error) {
    console.error(`The certificate cannot be used: ${(error as Error).message}. Mend it, or start without.`);
    process.exit(1);
  }
}

function end(words: string, code: number): never {
  if (words) console.error(words);
  endShared(folder);
  server.kill();
  process.exit(code);
}
