/** What takes letters, ticks or a choice. */
export type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** What was done on a page that could not hear it yet. */
export interface Early {
  /** The button that was pressed last. */
  pressed: Element | null;
  /** What was typed and chosen, as it was then. */
  readonly typed: Map<Field, string | boolean>;
  /** Keeps no more of presses, and then of letters. */
  readonly stop: (kinds: readonly string[]) => void;
}

declare global {
  interface Window {
    /** There from the page's first byte until it is awake. */
    evarnEarly?: Early | undefined;
  }
}

/**
 * Keeps what is pressed and typed between a page's first lines and its waking up, which takes seconds on a slow phone. It
 * goes before everything else as a script of its own: nothing from outside may be used in here.
 */
export function keepEarly(): void {
  const keep = (event: Event) => {
    if (event.type === 'input') {
      const field = event.target as Field;
      // Files that were chosen stay with their field, and cannot be put there.
      if (field.type !== 'file')
        early.typed.set(
          field,
          /checkbox|radio/.test(field.type) ? (field as HTMLInputElement).checked : field.value,
        );
      return;
    }
    const button = event.type === 'click' ? (event.target as Element).closest('button') : null;
    if (event.type === 'click' && !button) return;
    // The browser would send the form, and leave the page.
    event.preventDefault();
    early.pressed = button ?? early.pressed;
  };
  const early: Early = {
    pressed: null,
    typed: new Map(),
    stop: (kinds) => kinds.forEach((kind) => document.removeEventListener(kind, keep, true)),
  };
  ['click', 'submit', 'input'].forEach((kind) => document.addEventListener(kind, keep, true));
  window.evarnEarly = early;
}

/** The same as the text of a script. */
export const KEEP_EARLY = `(${keepEarly.toString()})()`;
