/** What takes letters, ticks or a choice. */
export type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** What was done on a page that could not hear it yet. */
export interface Early {
  /** The button that was pressed last, or the field in which Enter was, where it sends no form. */
  pressed: Element | null;
  /** What was typed and chosen, as it was then, and whether the program was there to hear it. */
  readonly typed: Map<Field, { readonly value: string | boolean; readonly isHeard: boolean }>;
  isAwake: boolean;
  /** True while the program itself types. */
  isPutting: boolean;
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
    const field = event.target as Field;
    if (event.type === 'input') {
      if (early.isPutting) return;
      // What comes after Enter is another line: nothing is done with both.
      if (early.pressed === field) early.pressed = null;
      // Files that were chosen stay with their field, and cannot be put there.
      if (field.type !== 'file')
        early.typed.set(field, {
          value: /checkbox|radio/.test(field.type) ? (field as HTMLInputElement).checked : field.value,
          isHeard: early.isAwake,
        });
      return;
    }
    if (event.type === 'keydown') {
      const { key, isComposing } = event as KeyboardEvent;
      // The Enter that ends a word of an input method is no Enter in the field.
      const isEntered = key === 'Enter' && !isComposing && early.typed.has(field);
      // A form's button is pressed by the browser.
      if (isEntered && field.localName === 'input' && !field.form) early.pressed = field;
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
    isAwake: false,
    isPutting: false,
    stop: (kinds) => kinds.forEach((kind) => document.removeEventListener(kind, keep, true)),
  };
  ['click', 'submit', 'input', 'keydown'].forEach((kind) => document.addEventListener(kind, keep, true));
  window.evarnEarly = early;
}

/** The same as the text of a script. */
export const KEEP_EARLY = `(${keepEarly.toString()})()`;
