/** What takes letters, ticks or a choice. */
export type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** What was done on a page that could not hear it yet. */
export interface Early {
  /** The button that was pressed last. */
  pressed: Element | null;
  /** What was typed and chosen, as it was then. */
  readonly typed: Map<Field, string | boolean>;
  readonly stop: () => void;
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
  const early: Early = {
    pressed: null,
    typed: new Map(),
    stop: () => {
      document.removeEventListener('click', onClick, true);
      document.removeEventListener('submit', onSubmit, true);
      document.removeEventListener('input', onInput, true);
    },
  };
  const onClick = (event: Event) => {
    const button = event.target instanceof Element ? event.target.closest('button') : null;
    if (!button) return;
    // The browser would send its form, and leave the page.
    event.preventDefault();
    early.pressed = button;
  };
  const onSubmit = (event: Event) => event.preventDefault();
  const onInput = (event: Event) => {
    const field = event.target as Field;
    // Files that were chosen stay with their field, and cannot be put there.
    if (field.type === 'file') return;
    early.typed.set(
      field,
      'checked' in field && /checkbox|radio/.test(field.type) ? field.checked : field.value,
    );
  };
  document.addEventListener('click', onClick, true);
  document.addEventListener('submit', onSubmit, true);
  document.addEventListener('input', onInput, true);
  window.evarnEarly = early;
}

/** The same as the text of a script. */
export const KEEP_EARLY = `(${keepEarly.toString()})()`;
