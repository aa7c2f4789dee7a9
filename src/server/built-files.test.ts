import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, it } from 'vitest';
import { builtFiles } from './built-files';

it('names every file that was built for browsers, and none where nothing was built', async () => {
  const root = fs.mkdtempSync(path.join(os.tmpdir(), 'evarn built '));
  expect(await builtFiles(root)).toEqual([]);
  fs.mkdirSync(path.join(root, '.next/static/chunks/part'), { recursive: true });
  for (const name of ['chunks/part/b.js', 'chunks/a.js', 'one.css'])
    fs.writeFileSync(path.join(root, '.next/static', name), '');
  expect(await builtFiles(root)).toEqual([
    '/_next/static/chunks/a.js',
    '/_next/static/chunks/part/b.js',
    '/_next/static/one.css',
  ]);
});
