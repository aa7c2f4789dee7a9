import type { Command } from '../core/ledger';
import { asId, type ActionId, type BuildId, type WhatIfId } from '../core/shared/ids';
import type { Result } from '../core/shared/result';
import { Workbench } from '../core/workbench';
import type { Handle } from '../data/database';
import { perform } from '../server/perform';
import { openWorkbench, takeSnapshot } from '../server/snapshot';

/** Does what the demo does to one build, through the same doors as a person's own work. */
export class Stater {
  /**
   * Taken along from act to act, as a page does: opened anew for each, counting was half of all the seeding. Whoever works
   * on the build otherwise meanwhile has a stater of his own.
   */
  private bench: Workbench | null = null;

  constructor(
    private readonly handle: Handle,
    readonly build: BuildId,
    private readonly newId: () => string,
    private readonly clock: () => Date,
  ) {}

  workbench(): Workbench {
    this.bench ??= openWorkbench(this.handle, this.build) ?? null;
    if (!this.bench) throw new Error('the build is there');
    return this.bench;
  }

  /** The build as a what-if has it, opened anew. */
  whatIf(id: WhatIfId): Workbench {
    const snapshot = takeSnapshot(this.handle, this.build);
    if (!snapshot) throw new Error('the build is there');
    return new Workbench(snapshot, id);
  }

  zone(name: string) {
    const zone = this.workbench().zones.find((z) => z.name === name);
    if (!zone) throw new Error(`no zone ${name}`);
    return zone.id;
  }

  source() {
    return { newId: this.newId, now: this.clock().toISOString() };
  }

  act({ label, diff }: Command): void {
    const action = { id: asId<ActionId>(this.newId()), scope: this.build, label: label.slice(0, 500), diff };
    const { diff: done } = must(perform(this.handle, action, this.clock()));
    this.bench?.apply(done);
  }
}

/** What came of something that went well: the demo's own always does. */
export function must<T>(result: Result<T, unknown>): T {
  if (!result.ok) throw new Error(`the demo could not be seeded: ${JSON.stringify(result.reason)}`);
  return result.value;
}
