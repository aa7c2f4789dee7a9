import { count } from '@/ui/numbers';
import type { RecordSet } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { placeOf } from '@/core/ledger';
import type { Trouble } from '@/core/shared/trouble';
import type { NotReached } from '../sending/answers';
import type { Outcome } from '../sending/outbox';
import { list, placeName } from './places';
import { ZONE_WORDS } from './tables';
import type { Refusal } from '@/server/perform';

/** What each constraint of the database means to a person. The key is what the database names it by. */
export const CONSTRAINT_WORDS: Readonly<Record<string, string>> = {
  'modifications.build, modifications.no': 'Two modifications cannot have the same number.',
  'count_lines.copy, count_lines.zone, count_lines.element':
    'Those parts were checked off in another window already. You see them as they are now; check them off again if that is wrong.',
  'readings.batch': 'A reading of that name was kept in another window already. Read the part again.',
  'changes.request': 'That was sent before, as something else.',
  count_lines_sum: 'More pieces were counted than the box holds.',
  entries_state: 'An entry is planned or done, nothing else.',
  entries_what_if_is_planned: 'What belongs to a what-if can only be planned.',
  movements_qty: 'An entry moves one piece or more.',
  movements_two_ends: 'Pieces cannot go from a place to the same place.',
  movements_worth: 'A price cannot be below nothing.',
  accounts_owner: 'Pieces cannot go to a place that nobody owns.',
};

const RECORD_NAMES: Readonly<Record<string, string>> = {
  entry: 'That entry',
  modification: 'That modification',
  zone: 'That zone',
  phase: 'That phase',
  whatIf: 'That what-if',
  build: 'That build',
};

/** Why what was logged waits: it is kept, and sent when it can be. */
export const unreachedWords = (why: NotReached, waiting: number): string =>
  `${why === 'network' ? 'The server cannot be reached.' : TROUBLE_WORDS[why]} ${waiting === 1 ? 'What you logged is' : `The ${waiting} things you did are`} kept here and sent again.`;

/** A sentence for what the server would not do, or could not. */
export const outcomeWords = (outcome: Exclude<Outcome, { how: 'done' }>, records?: RecordSet): string =>
  refusalWords(outcome.reason ?? { refused: 'failed' }, records);

/** What came of what a closed window had left unsent. */
export function leftWords(outcomes: readonly Outcome[]): string {
  const done = outcomes.filter((o) => o.how === 'done').length;
  const rest = outcomes.length - done;
  const sent = done === 1 ? 'One thing that was' : `${done} things that were`;
  const lost = rest === 1 ? 'One was' : `${rest} were`;
  return [
    done > 0
      ? `${sent} still to be sent when a window was closed ${done === 1 ? 'has' : 'have'} been sent.`
      : '',
    rest > 0 ? `${lost} not taken, since things had changed meanwhile.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

interface StepSaid {
  readonly label: string;
  readonly direction: string;
}

export const elsewhereWords = (steps: readonly StepSaid[]): string => {
  const last = steps.slice(-3).map((s) => (s.direction === 'do' ? s.label : `${s.direction} of ${s.label}`));
  const more = steps.length > 3 ? ` and ${steps.length - 3} more` : '';
  return `Changed in another window: ${last.join('; ')}${more}.`;
};

const TROUBLE_WORDS: Readonly<Record<Trouble['trouble'], string>> = {
  held: 'Another Evarn has this workspace open.',
  busy: 'Another program holds the data file. Close it there and do it again.',
  damaged: 'The data file is damaged. Load the page again to choose a backup.',
  'newer program': 'The data file was made by a newer Evarn. Load the page again to choose a backup.',
  'not as made': 'The data file is not as Evarn makes it. Load the page again to choose a backup.',
  'no space': 'The disk is full. Free some space and do it again.',
  'read-only': 'The data folder is read-only. Make it writable and do it again.',
  'not allowed': 'The data folder may not be written. Give yourself the right to and do it again.',
};

const OWN_WORDS: Readonly<Record<string, string>> = {
  'is open here': 'Your own workspace is what is open here.',
  held: 'Another program holds your own workspace. Close it there, and do it again.',
  'did not start': 'It did not start. In a terminal: npm start.',
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
    case 'place gone': {
      const { account } = r as Extract<Refusal, { refused: 'place gone' }>;
      const what = { model: 'zone', stock: 'tray', order: 'order' }[placeOf(account) as string] ?? 'place';
      return `The ${what} that goes to, or comes from, was deleted in another window. Choose another one.`;
    }
    case 'not empty': {
      const { row } = r as Extract<Refusal, { refused: 'not empty' }>;
      const where = records ? placeName(row.account, records) : 'there';
      return row.qty !== 0
        ? `That cannot go while pieces lie in it: ${count(row.qty)} ${elementName(row.element)} in ${where}. Put them elsewhere first.`
        : `That cannot go while something is planned there: ${elementName(row.element)} in ${where}. Change the plan first.`;
    }
    case 'zones':
      return `${ZONE_WORDS[(r as Extract<Refusal, { refused: 'zones' }>).fault.fault]} Another window may have moved zones meanwhile; look again.`;
    case 'another build':
      return 'That names a zone or a modification of another build. Nothing was changed.';
    case 'constraint': {
      const { of } = r as Extract<Refusal, { refused: 'constraint' }>;
      return CONSTRAINT_WORDS[of] ?? 'Something of that name is there already. Look at it as it is now.';
    }
    case 'done since':
      return `Something else was done since: ${(r as { label?: string }).label ?? ''}. Take that back first, if you want to.`;
    case 'id used':
      return 'That was sent before, as something else. Nothing was changed; do it once more.';
    case 'trouble':
      return `${TROUBLE_WORDS[(r as unknown as { trouble: Trouble }).trouble.trouble]} Nothing was changed.`;
    case 'failed':
      return `That failed on the server, and nothing was changed. Try it again; if it fails once more, look for ${(r as { mark?: string }).mark ?? 'it'} in the server’s log.`;
    case 'belongs to nothing':
      return 'What that belongs to was deleted in another window, or a moment ago. Choose where it goes, and do it again.';
    case 'in use':
      return 'Something else still depends on that. Export what uses it first.';
    case 'nothing to undo':
      return (r as Extract<Refusal, { refused: 'nothing to undo' }>).direction === 'undo'
        ? 'There is nothing to undo.'
        : 'There is nothing to redo.';
    case 'too large':
      return 'That is too much at once: 20 MB is the most.';
    case 'own workspace':
      return (
        OWN_WORDS[(r as { fault?: string }).fault ?? ''] ??
        'It could not be started. In a terminal: npm start.'
      );
    case 'not the demo':
      return 'This is your own workspace already.';
    case 'demo copy':
      return (r as { fault?: string }).fault === 'not empty'
        ? 'There is something in this workspace already. The demo never mixes with your own.'
        : 'The copy could not be made, and nothing was changed. In a terminal, npm run demo starts the demo by itself.';
    case 'no such build':
      return 'That build is no longer there.';
    default:
      return 'That could not be done, and nothing was changed.';
  }
}
