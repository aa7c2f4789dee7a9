import fs from 'node:fs';
import { demoOf, PORTS } from './test';

/** Keeps what each server was seeded with, before any test has changed it: every file of tests begins from it. */
export default async function keepDemo(): Promise<void> {
  for (const port of PORTS) {
    const answered = await fetch(`http://127.0.0.1:${port}/api/backup`);
    if (!answered.ok) throw new Error(`the demo on port ${port} gave no backup: ${answered.status}`);
    fs.mkdirSync('test-results', { recursive: true });
    fs.writeFileSync(demoOf(port), Buffer.from(await answered.arrayBuffer()));
  }
}
