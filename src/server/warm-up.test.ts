import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, expect, it } from 'vitest';
import { servedBuild } from './testing/workspace';
import { warmUp } from './warm-up';

let end = () => {};
afterEach(() => {
  end();
  end = () => {};
});

/** A port that is free now, and a server that says which pages it was asked for once it listens there. */
async function later() {
  const asked: string[] = [];
  const server = createServer((request, response) => {
    asked.push(request.url ?? '');
    response.end('drawn');
  });
  const listen = (port: number) => new Promise<void>((done) => server.listen(port, '127.0.0.1', done));
  await listen(0);
  const { port } = server.address() as AddressInfo;
  await new Promise((done) => server.close(done));
  return { asked, port, listen: () => listen(port), close: () => server.close() };
}

it('the first pages are drawn as soon as the server listens, one after the other', async () => {
  const served = servedBuild();
  const server = await later();
  end = () => (served.end(), void server.close());
  const warm = warmUp(server.port, undefined, 5);
  await new Promise((done) => setTimeout(done, 30));
  expect(server.asked).toEqual([]);
  await server.listen();
  await warm;
  expect(server.asked).toEqual(['/builds', `/builds/${served.t.build}`]);
});

it('a server that never listens is left alone', async () => {
  const { port } = await later();
  await expect(warmUp(port, ['/builds'], 0)).resolves.toBeUndefined();
});
