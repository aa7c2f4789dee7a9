import os from 'node:os';
import { execFileSync } from 'node:child_process';
import { benchColour } from './colour';
import { benchCore } from './core';
import { benchMakeUp } from './make-up';
import { benchScreen } from './screen';
import { benchSupply } from './supply';
import { benchWorkspace } from './workspace';

/** Prints the figures that matter for speed. No test asserts one: machines differ, and are busy at times. */
console.log(
  `${os.cpus().length} cores, ${os.cpus()[0]?.model ?? ''}, node ${process.version}; medians, least and most\n`,
);
benchCore();
benchColour();
await benchSupply();
execFileSync('sh', ['scripts/build.sh'], { stdio: ['ignore', 'ignore', 'inherit'] });
await benchMakeUp();
await benchScreen();
await benchWorkspace();
process.exit(0);
