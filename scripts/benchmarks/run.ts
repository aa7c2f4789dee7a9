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

/** Prints the figures that matter for speed. No test asserts one: machines differ, and are busy at times. */
console.log(
  `${os.cpus().length} cores, ${os.cpus()[0]?.model ?? ''}, node ${process.version}; medians, least and most\n`,
);
measureCore();
measureColour();
measurePatch();
await measureSheets();
await measureSupply();
execFileSync(process.execPath, ['scripts/build.mjs'], { stdio: ['ignore', 'ignore', 'inherit'] });
await measureSourcing();
await measureLaying();
await measureCutting();
measureDrawing();
await measureScreen();
await measureWorkspace();
process.exit(0);
