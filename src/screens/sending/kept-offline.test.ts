import fs from 'node:fs';
import vm from 'node:vm';
import { expect, it } from 'vitest';
import { asId, type BuildId } from '@/core/shared/ids';
import { openingPaths } from './opening-paths';

type Heard = (event: object) => void;

/** The worker that keeps what opens without the network, and whether it answers for an address. */
function worker(): (path: string) => boolean {
  const heard: Record<string, Heard> = {};
  const self = {
    location: { origin: 'http://127.0.0.1' },
    addEventListener: (kind: string, hear: Heard) => (heard[kind] = hear),
  };
  const absent = () => new Promise(() => {});
  vm.runInNewContext(fs.readFileSync('public/offline.js', 'utf8'), { self, URL, fetch: absent, caches: {} });
  return (path) => {
    let answers = false;
    const request = { url: `http://127.0.0.1${path}`, method: 'GET', mode: 'cors' };
    heard.fetch!({ request, respondWith: () => (answers = true), waitUntil: () => {} });
    return answers;
  };
}

const build = asId<BuildId>('b-1');

it('what a build opens with is kept for when there is no network', () => {
  const answers = worker();
  for (const path of Object.values(openingPaths(build))) expect([path, answers(path)]).toEqual([path, true]);
});

it('so is what a page asks for that was kept before an update', () => {
  const answers = worker();
  for (const path of ['/api/knowledge', '/api/builds/b-1/surroundings', '/api/builds/b-1/snapshot?opening'])
    expect([path, answers(path)]).toEqual([path, true]);
});

it('what must be as it is now is asked of the server alone', () => {
  const answers = worker();
  for (const path of ['/api/builds/b-1/snapshot', '/api/steps?since=3', '/api/builds?find=knowledge'])
    expect([path, answers(path)]).toEqual([path, false]);
});
