/** Where letters are typed or chosen, and so are no commands. */
const TYPED = 'input:not([type=checkbox], [type=radio], [type=range]), textarea, select';

/** The line in which Ctrl keys still run commands while it is empty. */
const LOG_LINE = 'log-line';

const MODS: Readonly<Record<string, string>> = { ctrl: '$mod', shift: 'Shift', alt: 'Alt' };

/**
 * The bindings of a key as the keyboard library wants them: bindingsOf('ctrl+z') = ['$mod+z']. With Alt a digit may come
 * as another sign, so its key on the board is meant; a sign may need Shift on some boards, so it is bound with it too.
 */
export function bindingsOf(key: string): string[] {
  const parts = key.split('+');
  const last = parts.pop() ?? '';
  const mods = parts.map((p) => MODS[p] ?? p);
  const digit = mods.includes('Alt') && /^\d$/.test(last);
  const name = digit ? `Digit${last}` : last === ' ' ? 'Space' : last;
  const plain = [...mods, name].join('+');
  return last.length === 1 && /[^a-z0-9 ]/i.test(last) ? [plain, ['Shift', plain].join('+')] : [plain];
}

/** On globalThis no less than the forms of money: whether a single letter is a command. */
const held = globalThis as { evarnLetterKeys?: boolean };

/** Lets single letters be commands, or not, for those who dictate or rest a hand on the keys. */
export const allowLetterKeys = (allowed: boolean): void => {
  held.evarnLetterKeys = allowed;
};

/** False of a single letter while those are no commands; signs and keys with Ctrl or Alt go on working. */
export const isAllowed = (key: string): boolean =>
  (held.evarnLetterKeys ?? true) || !/^(shift\+)?[a-z]$/i.test(key);

/** A key as it is shown: keyWords('ctrl+shift+z') = "Ctrl Shift Z". */
export const keyWords = (key: string): string =>
  key
    .split('+')
    .map((k) => (k === ' ' ? 'Space' : k === 'Enter' ? k : k.charAt(0).toUpperCase() + k.slice(1)))
    .join(' ');

/** True when a key pressed in some place runs a command there: in a field only those that work everywhere. */
export function runsIn(target: EventTarget | null, command: { key?: string; everywhere?: boolean }): boolean {
  if (!(target instanceof HTMLElement) || !target.matches(TYPED) || command.everywhere) return true;
  const emptyLine = target instanceof HTMLInputElement && target.id === LOG_LINE && target.value === '';
  return emptyLine && (command.key?.startsWith('ctrl+') ?? false);
}
