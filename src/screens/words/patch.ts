import type { FittedLine, LineChoice, PatchConflict, PatchFault } from '@/core/patch';
import { elementName } from '@/core/parts';
import { count } from '@/ui/numbers';
import { modFileFaultWords } from './tables';

/** Why a file is no patch, and what to do. */
export function patchFaultWords(fault: PatchFault): string {
  switch (fault.fault) {
    case 'not json':
      return 'That file is not JSON. Choose a patch (…-patch.json) or a mod file (…-mod.json).';
    case 'not a patch':
      return 'That file is neither a patch nor a mod file. Choose one that Evarn saved.';
    case 'newer version':
      return `That patch was saved by a newer Evarn (${fault.version}). Update this one, or ask for an older patch.`;
    case 'shape':
      return `The patch is damaged at ${fault.where || 'its beginning'}: ${fault.says}. Ask its author for it again.`;
    case 'zone':
      return `The patch is damaged at ${fault.where}: it names a zone that it does not list.`;
    case 'mod file':
      return modFileFaultWords(fault.of);
  }
}

export const pathWords = (path: readonly string[]): string => path.join(' / ') || 'the whole model';

/** What a line of a patch does: "8 brick 2x4 ash off, 8 brick 2x4 kelp on". */
export function patchLineWords({ line }: FittedLine): string {
  const named = (lots: FittedLine['line']['on']) =>
    lots.map((l) => `${count(l.qty)} ${elementName(l.element)}`).join(', ');
  if (line.moves) return `${named(line.off)} moved`;
  const parts = [
    line.off.length > 0 ? `${named(line.off)} off` : '',
    line.on.length > 0 ? `${named(line.on)} on` : '',
  ];
  return parts.filter(Boolean).join('; ');
}

/** Why a line does not fit here. */
export function conflictWords(c: PatchConflict, zoneName: (id: string) => string): string {
  if (c.conflict === 'zone unknown') return `there is no zone ${pathWords(c.path)} here`;
  if (c.conflict === 'colour unknown') return `nobody here knows the colour ${c.colour}`;
  const lacks = `${c.there > 0 ? `only ${count(c.there)}` : 'none'} of ${count(c.lot.qty)} ${elementName(c.lot.element)} is there`;
  const [first] = c.instead;
  if (!first || c.conflict === 'not there') return lacks;
  const has = `${count(first.qty)} ${elementName(first.element)}`;
  return c.conflict === 'elsewhere'
    ? `${lacks}; ${zoneName(first.zone)} has ${count(first.qty)}`
    : `${lacks}; ${has} instead`;
}

export const CHOICE_WORDS: Readonly<Record<LineChoice, string>> = {
  'leave out': 'leave it out',
  'use what is there': 'use what is there',
  'as far as it goes': 'as far as it goes',
};
