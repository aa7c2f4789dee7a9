import type { CountTextProblem, MissingLot, NotNeeded } from '@/core/inspection';
import type { ReadingProblem, FadingOption } from '@/core/fading';
import type { FindingKind } from '@/core/ledger';
import type { PhotoReading, PhotoWarning, SpotDoubt } from '@/core/photo';
import { count, pieces } from '@/ui/numbers';

export const FINDING_WORDS: Readonly<Record<FindingKind, string>> = {
  missing: 'missing',
  broken: 'broken',
  faded: 'faded',
  mismatch: 'colour mismatch',
  gap: 'gap',
  weak: 'weak joint',
  open: 'open side',
  wish: 'wish',
  keep: 'must stay',
  function: 'works, must go on working',
};

export const MATTERS = ['', 'hardly matters', 'matters', 'matters much'] as const;

/** A sentence for a count that cannot be taken. */
export function countProblemWords(p: CountTextProblem): string {
  switch (p.problem) {
    case 'not understood':
      return `“${p.text}” is not a count. Type a number, then 2b for broken, 3f for faded, 1s for a sticker gone.`;
    case 'more than the box holds':
      return `That makes ${count(p.counted)}; the box holds ${count(p.expected)}. Add what is over to own parts.`;
    case 'more worn than there':
      return `${count(p.worn)} are marked as worn, and ${count(p.there)} are there. Lower one of the two.`;
    case 'not a whole number':
      return 'Counts are whole numbers of pieces.';
    case 'worked on since':
      return `Only ${count(p.left)} are left in this zone: the others were taken off or moved. Undo that first, or count them as there.`;
  }
}

export const NOT_NEEDED: Readonly<Record<NotNeeded, string>> = {
  'hangs in the air': 'it hangs: nothing stands or rolls',
  'turned away': 'on the side turned away',
  'inside, behind glass': 'inside, and nobody opens the glass',
};

/** "3 missing, 1 broken" */
export const lackWords = (m: Pick<MissingLot, 'missing' | 'broken'>): string =>
  [m.missing > 0 ? `${m.missing} missing` : '', m.broken > 0 ? `${m.broken} broken` : '']
    .filter(Boolean)
    .join(', ');

export const readingProblemWords = (p: ReadingProblem): string =>
  `There are only ${pieces(p.there)} of that condition there. Lower the number.`;

export const FADING_OPTION_WORDS: Readonly<Record<FadingOption['name'], string>> = {
  leave: 'Leave it',
  turn: 'Turn the worst to hidden places',
  'same age': 'Renew the worst with parts of the same age',
  'match by age': 'Match by age, from all at hand',
  'all new': 'Renew all with new',
  whiten: 'Whiten',
};

export const SPOT_DOUBTS: Readonly<Record<SpotDoubt, string>> = {
  'beyond the photo': 'too deep for this light: set the camera to the light, or take it by daylight',
  'mostly clipped': 'mostly clipped: expose less',
  'mostly glare or shadow': 'mostly glare or shadow: turn the part',
  'not one colour': 'more than one colour in the ring: move or shrink it',
  'too few pixels': 'too few pixels: widen the ring',
};

export function photoWarningWords(w: PhotoWarning): string {
  switch (w.warns) {
    case 'uneven light':
      return `The light differs by ${Math.round(w.share * 100)} %. Mark the card at both ends, or move the lamp back.`;
    case 'too little light':
      return 'There is too little light: what is read is noisy. Take it again, brighter.';
    case 'card tinted by strong light':
      return `The light is strongly coloured (${Math.round(w.kelvin)} K). Use whiter light if you can.`;
  }
}

/** A sentence for a photo that could not be read or kept. */
export function photoFaultWords(fault: { readonly fault: string; readonly what?: string }): string {
  return (
    {
      'no card': 'Mark the white or grey card first.',
      'no spot': 'Mark at least one spot to read.',
      'card clipped': 'The card is clipped: the photo is too bright there. Take it again, darker.',
      'card too dark': 'The card is too dark to read the light from. Take it again, brighter.',
      outside: `A ${fault.what ?? 'mark'} lies outside of the photo. Move it inside.`,
      'not a picture': 'That is not a picture, or it is damaged. Choose a JPEG, PNG or WebP.',
      'not a photo': 'That is not a JPEG, PNG or WebP picture. Nothing was kept.',
      damaged: 'The picture is damaged and could not be read to its end. Nothing was kept.',
      'too many pixels': 'The picture has too many pixels. Make it smaller first; 60 million are plenty.',
      'too large': 'The file is larger than 40 MB. Make it smaller first.',
      'no such build': 'That build is no longer there. Nothing was kept.',
    }[fault.fault] ?? 'The picture could not be read. Nothing was kept.'
  );
}

export const meterFaultWords = (fault: string): string =>
  ({
    'not connected': 'The meter is not connected. Connect it first.',
    'not calibrated': 'The meter is not calibrated. Put it on its white tile first.',
    'no contact': 'No contact: hold the meter flat on the piece and read again. What was read is kept.',
    'lost connection': 'The meter lost its connection. What was read is kept; connect it again.',
    unreachable: 'The server cannot be reached. What was read is kept here; try again.',
  })[fault] ?? 'The meter did not answer. Try again.';

/** What a photo was read by, for its readings' record. */
export const madeByPhoto = (r: PhotoReading): string => `photo with a card, light ${Math.round(r.kelvin)} K`;
