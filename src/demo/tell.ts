import {
  addModification,
  logLine,
  markDone,
  placeOrder,
  readLine,
  toBuy,
  type Workbench,
  phasesOf,
} from '../core/workbench';
import type { Command, Source } from '@/core/ledger';
import { added, joinDiffs, placeOf, type Entry, type Modification, type PriceOf } from '../core/ledger';
import { asId, type BuildId, type PhaseId, type WhatIfId } from '../core/shared/ids';
import type { Handle } from '../data/database';
import { type Step } from './story';
import { must, Stater } from './stater';

export type Clock = () => Date;

/** Plays a story into a build, action by action. */
export function tell(
  handle: Handle,
  build: BuildId | undefined,
  story: readonly Step[],
  newId: () => string,
  clock: Clock,
): void {
  if (!build) throw new Error('a story needs a build');
  const stater = new Stater(handle, build, newId, clock);
  for (const step of story) playStep(step, stater);
}

function playStep(step: Step, stater: Stater): void {
  const open = (): Workbench => stater.workbench();
  const act = (command: Command): void => stater.act(command);
  const source = (): Source => stater.source();
  const byTitle = (title: string): Modification => {
    const found = open().modifications.find((m) => m.title === title);
    if (!found) throw new Error(`the story has no modification ${title}`);
    return found;
  };
  const log = (workbench: Workbench, modification: Modification, line: string, planned: boolean) => {
    const reading = readLine(workbench, line, { modification, planned });
    if (!reading.ready)
      throw new Error(
        `the story cannot log ${line}: ${JSON.stringify([reading.problems, reading.clauses.map((c) => c.problem ?? c.understood)])}`,
      );
    act(withPaid(logLine(workbench, reading, line, source()), workbench.priceOf));
  };
  switch (step.do) {
    case 'modification': {
      act(startModification(open(), step, source()));
      for (const line of step.lines) log(open(), byTitle(step.title), line, false);
      return;
    }
    case 'place': {
      const workbench = open();
      const entries = workbench.entries.filter((e) => e.note === step.match && e.state === 'planned');
      act(withPaid(must(markDone(workbench, entries, source(), step.steps)), workbench.priceOf));
      return;
    }
    case 'order': {
      const workbench = open();
      const entries = toBuy(
        workbench.entries.filter((e) => e.modification === byTitle(step.modification).id),
      );
      act(
        placeOrder(
          workbench,
          entries,
          { seller: step.seller, postage: step.postage, due: step.due },
          source(),
        ),
      );
      return;
    }
    case 'whatIf': {
      const id = asId<WhatIfId>(source().newId());
      act({
        label: `start what-if ${step.name}`,
        diff: added('whatIf', { id, build: open().build, name: step.name, note: '' }),
      });
      for (const line of step.lines) log(stater.whatIf(id), byTitle(step.modification), line, true);
    }
  }
}

/** What the story bought without naming a price cost what the price book says. */
function withPaid(command: Command, priceOf: PriceOf): Command {
  const paid = (record: Entry): Entry => ({
    ...record,
    movements: record.movements.map((m) =>
      placeOf(m.from) === 'outside' && m.worth === null ? { ...m, worth: priceOf(m.element, m.grade) } : m,
    ),
  });
  const added = command.diff.added.map((r) => (r.type === 'entry' ? { ...r, record: paid(r.record) } : r));
  const changed = command.diff.changed.map((c) => (c.type === 'entry' ? { ...c, to: paid(c.to) } : c));
  return { ...command, diff: { ...command.diff, added, changed } };
}

function startModification(
  workbench: Workbench,
  step: Extract<Step, { do: 'modification' }>,
  source: Source,
): Command {
  const zone = workbench.zones.find((z) => z.name === step.zone);
  if (!zone) throw new Error(`the story has no zone ${step.zone}`);
  const phases = phasesOf(workbench);
  const old = phases.find((p) => p.name === step.phase);
  const phase = step.phase ? (old?.id ?? asId<PhaseId>(source.newId())) : null;
  const made = addModification(workbench, step.title, zone.id, source);
  const record = made.diff.added[0]?.record as Modification;
  const fresh =
    phase && !old
      ? added('phase', {
          id: phase,
          build: workbench.build,
          name: step.phase ?? '',
          position: phases.length + 1,
        })
      : joinDiffs();
  return {
    label: made.label,
    diff: joinDiffs(
      fresh,
      added('modification', { ...record, phase, why: step.why ?? '', note: step.note ?? '' }),
    ),
  };
}
