import type { RecordSet } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { list, placeName } from './places';
import type { Refusal } from '@/server/perform';

const RECORD_NAMES: Readonly<Record<string, string>> = {
  entry: 'That entry',
  modification: 'That modification',
  zone: 'That zone',
  phase: 'That phase',
  whatIf: 'That what-if',
  build: 'That build',
};

/** A sentence for what the server would not do. Nothing was changed by it. */
export function refusalWords(refusal: unknown, records?: RecordSet): string {
  const r = refusal as Refusal | { refused: string };
  switch (r.refused) {
    case 'conflict': {
      const { type, how } = (r as Extract<Refusal, { refused: 'conflict' }>).conflict;
      const name = RECORD_NAMES[type] ?? 'What this changes';
      return `${name} was ${how === 'gone' ? 'deleted' : 'changed'} in another window, or a moment ago. You see it as it is now; do it again if it still fits.`;
    }
    case 'overdrawn': {
      const rows = (r as Extract<Refusal, { refused: 'overdrawn' }>).rows;
      const what = rows.slice(0, 3).map((o) => {
        const where = records ? placeName(o.account, records) : 'its place';
        return `${-o.qty} ${elementName(o.element)} in ${where}`;
      });
      return `That would leave too few: ${list(what)} short. Nothing was changed.`;
    }
    case 'in use':
      return 'Something else still depends on that. Take away what uses it first.';
    case 'nothing to turn':
      return (r as Extract<Refusal, { refused: 'nothing to turn' }>).direction === 'undo'
        ? 'There is nothing to undo.'
        : 'There is nothing to redo.';
    case 'too large':
      return 'That is too much at once: 20 MB is the most.';
    case 'no such build':
      return 'That build is no longer there.';
    default:
      return 'That could not be done, and nothing was changed.';
  }
}
