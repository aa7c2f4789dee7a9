import os from 'node:os';
import { execFileSync } from 'node:child_process';
import { measureColour } from './colour';
import { measureCore } from './core';
import { measureCutting } from './cut';
import { measureDrawing } from './drawing';
import { measureLaying } from './lay';
import { measurePatch } from './patch';
import { measureSourcing } from './sourcing';
import { measureSheets } from './sheet';
import { measureScreen } from './screen';
import { measureSupply } from './supply';
import { measureWorkspace } from './workspace';

/** What is measured, by its name; what needs the built application says so. */
const ALL: readonly (readonly [name: string, measure: () => unknown, built?: 'built'])[] = [
  ['core', measureCore],
  ['colour', measureColour],
  ['patch', measurePatch],
  ['sheet', measureSheets],
  ['supply', measureSupply],
  ['sourcing', measureSourcing, 'built'],
  ['lay', measureLaying, 'built'],
  ['cut', measureCutting, 'built'],
  ['drawing', measureDrawing],
  ['screen', measureScreen, 'built'],
  ['workspace', measureWorkspace, 'built'],
];

/** Prints the figures that matter for speed: all, or those that are named. No test asserts one: machines differ, and are busy at times. */
const named = process.argv.slice(2);
const strange = named.find((n) => !ALL.some(([name]) => name === n));
if (strange) {
  console.error(`Nothing is called ${strange}. Name some of: ${ALL.map(([name]) => name).join(', ')}.`);
  process.exit(2);
}
console.log(
  `${os.cpus().length} cores, ${os.cpus()[0]?.model ?? ''}, node ${process.version}, ${additions()} million additions in a second; medians, least and most\n`,
);
const wanted = ALL.filter(([name]) => named.length === 0 || named.includes(name));
if (wanted.some(([, , built]) => built))
  execFileSync(process.execPath, ['scripts/build.mjs'], { stdio: ['ignore', 'ignore', 'inherit'] });
for (const [, measure] of wanted) await measure();
process.exit(0);

/** How fast a processor is now: the same machine may be ten times as fast an hour later, and so are its figures. */
function additions(): number {
  const began = performance.now();
  let sum = 0;
  for (let i = 0; i < 1e8; i++) sum += i;
  const seconds = (performance.now() - began) / 1000;
  return sum > 0 ? Math.round(100 / seconds) : 0;
}
