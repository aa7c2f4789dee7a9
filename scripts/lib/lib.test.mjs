import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { execFileSync, spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { asideDemo } from './demo-aside.mjs';
import { NODE_RANGE, nodeFault } from './node-version.mjs';
import { lasted, ROOT } from './run.mjs';

const own = JSON.parse(fs.readFileSync(path.join(ROOT, 'package.json'), 'utf8'));
let folder = '';
beforeEach(() => (folder = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn a b-'))));
afterEach(() => fs.rmSync(folder, { recursive: true, force: true }));

describe('the version of Node', () => {
  it.each(['v20.15.0', 'v20.20.2', 'v22.2.0', 'v24.1.0', 'v26.3.0'])('%s will do', (version) =>
    expect(nodeFault(version)).toBeNull(),
  );
  it.each(['v18.20.0', 'v20.14.1', 'v21.7.0', 'v22.1.0', 'v23.1.0', ''])(
    '%s will not, and what will is said',
    (version) => expect(nodeFault(version)).toMatch(/20\.15 or later of 20, 22\.2 or later of 22, or 24/),
  );
  it('is the same for npm', () => expect(own.engines.node).toBe(NODE_RANGE));
});

describe('commands', () => {
  it('are started by Node alone: no word of them is for the shell of one system', () => {
    for (const [name, command] of Object.entries(own.scripts)) {
      expect(command, name).not.toMatch(/\bsh\b|\||\$|\brm\b|=/);
    }
    expect(fs.readdirSync(path.join(ROOT, 'scripts')).filter((f) => f.endsWith('.sh'))).toEqual([]);
  });

  it('refuse a port that is none, and one that is taken, with a sentence', async () => {
    const start = (port) =>
      spawnSync(process.execPath, [path.join(ROOT, 'scripts/start.mjs')], {
        cwd: folder,
        // No shell and no other program can be found.
        env: { PATH: '', PORT: port, EVARN_DATA: folder },
        encoding: 'utf8',
      });
    expect(start('many')).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('“many” is not a port'),
    });
    const taken = createServer();
    await new Promise((done) => taken.listen(0, '127.0.0.1', done));
    expect(start(String(taken.address().port)).stderr).toContain('is taken by another program');
    taken.close();
  });

  it('say how long something took', () => {
    expect([lasted(400), lasted(45_000), lasted(185_000)]).toEqual(['0 s', '45 s', '3 min 5 s']);
  });
});

describe('the demo that begins anew', () => {
  it('is kept aside, whole, under a name with its time', async () => {
    const demo = path.join(folder, 'demo');
    fs.mkdirSync(demo);
    fs.writeFileSync(path.join(demo, 'evarn.sqlite'), 'books');
    const aside = await asideDemo(demo, true, new Date('2026-11-29T10:11:12Z'));
    expect(aside).toBe(`${demo}-before-2026-11-29-10-11-12`);
    expect(fs.readFileSync(path.join(aside, 'evarn.sqlite'), 'utf8')).toBe('books');
    expect(fs.existsSync(demo)).toBe(false);
    expect(await asideDemo(demo, true)).toBeNull();
  });

  it('is left as it is where nobody can be asked', () => {
    const demo = path.join(folder, 'demo');
    fs.mkdirSync(demo);
    fs.writeFileSync(path.join(demo, 'evarn.sqlite'), 'books');
    const said = execFileSync(
      process.execPath,
      [
        '-e',
        `import(${JSON.stringify(path.join(ROOT, 'scripts/lib/demo-aside.mjs'))}).then((m) => m.asideDemo(${JSON.stringify(demo)}, false))`,
      ],
      { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] },
    );
    expect(said).toContain('Left as it is.');
    expect(fs.readdirSync(demo)).toEqual(['evarn.sqlite']);
  });
});

describe('the container', () => {
  const steps = fs.readFileSync(path.join(ROOT, 'Dockerfile'), 'utf8');
  const variable = (name) => new RegExp(`\\b${name}=(\\S+)`).exec(steps)?.[1];

  it('runs scripts that are there, on a Node that will do, as nobody special', () => {
    const named = [...steps.matchAll(/scripts\/[\w-]+\.mjs/g)].map((m) => m[0]);
    expect(named).toContain('scripts/build.mjs');
    for (const script of named) expect(fs.existsSync(path.join(ROOT, script)), script).toBe(true);
    // A tag that names no more is the newest of its line.
    const [, major] = /^FROM node:(\d+)-/m.exec(steps);
    expect(nodeFault(`v${major}.99.0`)).toBeNull();
    expect(steps.lastIndexOf('\nUSER node')).toBeGreaterThan(steps.lastIndexOf('\nRUN '));
  });

  it('shows the gate and not Evarn itself, keeps its data in a volume, and asks Evarn how it is', () => {
    expect(/^EXPOSE (\d+)/m.exec(steps)[1]).toBe(variable('SHARE_PORT'));
    expect(steps).toContain(`http://127.0.0.1:${variable('PORT')}/api/health`);
    expect(steps).toContain(`VOLUME ${variable('EVARN_DATA')}`);
  });

  it('takes no data, and nothing that is made on the machine that builds it, with it', () => {
    const out = fs.readFileSync(path.join(ROOT, '.dockerignore'), 'utf8').split('\n');
    expect(out).toEqual(expect.arrayContaining(['data', 'node_modules', '.next', '.workers', '.git']));
  });
});

it('the demo is never seeded into a workspace of somebody’s own, nor that begun anew', async () => {
  const seed = () =>
    spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/seed.ts'], {
      cwd: ROOT,
      env: { ...process.env, EVARN_DATA: folder },
      encoding: 'utf8',
    });
  expect(seed().stdout).toContain('demo data in');
  expect(seed().stdout).toContain('has the demo already');
  const { default: Sqlite } = await import('better-sqlite3');
  const sqlite = new Sqlite(path.join(folder, 'evarn.sqlite'));
  sqlite.pragma('foreign_keys = OFF');
  sqlite.exec("update workspace_settings set is_demo = 0; update builds set id = 'own-' || id");
  sqlite.close();
  const again = seed();
  const reset = spawnSync(process.execPath, ['scripts/demo.mjs', '--reset', '--yes'], {
    cwd: ROOT,
    env: { ...process.env, EVARN_DATA: folder, PORT: '3999' },
    encoding: 'utf8',
  });
  expect([reset.status, reset.stderr]).toEqual([1, expect.stringContaining('of somebody')]);
  expect(fs.existsSync(path.join(folder, 'evarn.sqlite'))).toBe(true);
  expect([again.status, again.stderr]).toEqual([1, expect.stringContaining('never mixes')]);
});
