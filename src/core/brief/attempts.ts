import { removed, written, type Command, type Source } from '../ledger';
import type { Attempt, AwaitedPlace, Letter } from '../records';
import { asId, type AttemptId, type AwaitedPlaceId, type LetterId, type ZoneId } from '../shared/ids';
import type { Workbench } from '../workbench';

/** A technique that is meant to be used and was not tried yet. */
export const newAttempt = (workbench: Workbench, source: Source, zone: ZoneId): Attempt => ({
  id: asId<AttemptId>(source.newId()),
  build: workbench.build,
  zone,
  modification: null,
  what: 'a technique',
  state: 'not tried',
  end: null,
  note: '',
  photo: null,
  at: source.now,
});

/** Keeps an attempt; what was not dropped has no reason why it was. */
export const keepAttempt = (workbench: Workbench, attempt: Attempt): Command => ({
  label: `${attempt.what}: ${attempt.state}`,
  diff: written('attempt', workbench.records.attempt.get(attempt.id), {
    ...attempt,
    end: attempt.state === 'dropped' ? (attempt.end ?? 'another reason') : null,
  }),
});

export const deleteAttempt = (attempt: Attempt): Command => ({
  label: `delete ${attempt.what}`,
  diff: removed('attempt', attempt),
});

/** A place that waits for something to be chosen. */
export const newAwaited = (workbench: Workbench, source: Source, zone: ZoneId): AwaitedPlace => ({
  id: asId<AwaitedPlaceId>(source.newId()),
  build: workbench.build,
  zone,
  what: 'something for this place',
  placeholder: null,
  chosen: false,
  at: source.now,
});

export const keepAwaited = (workbench: Workbench, place: AwaitedPlace): Command => ({
  label: `${place.what}: ${place.chosen ? 'chosen' : 'to be chosen'}`,
  diff: written('awaitedPlace', workbench.records.awaitedPlace.get(place.id), place),
});

export const deleteAwaited = (place: AwaitedPlace): Command => ({
  label: `delete ${place.what}`,
  diff: removed('awaitedPlace', place),
});

export const newLetter = (workbench: Workbench, source: Source): Letter => ({
  id: asId<LetterId>(source.newId()),
  build: workbench.build,
  who: 'somebody',
  about: '',
  lines: [],
  next: '',
  nextOn: '',
});

export const keepLetter = (workbench: Workbench, letter: Letter): Command => ({
  label: `what was written with ${letter.who}`,
  diff: written('letter', workbench.records.letter.get(letter.id), letter),
});

export const deleteLetter = (letter: Letter): Command => ({
  label: `delete what was written with ${letter.who}`,
  diff: removed('letter', letter),
});

/** How a letter stands: how often was asked since the last answer, and whether its next step is due. */
export function letterState(
  letter: Letter,
  today: string,
): { readonly unanswered: number; readonly isDue: boolean } {
  const last = letter.lines.map((l) => l.side).lastIndexOf('answered');
  return {
    unanswered: letter.lines.slice(last + 1).length,
    isDue: letter.nextOn !== '' && letter.nextOn.slice(0, 10) <= today.slice(0, 10),
  };
}
