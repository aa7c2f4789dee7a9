import type { Field } from './keep-early';

/**
 * Does what was typed and pressed before the page was awake, in the order in which it has to be: a form before its button.
 * One after another, as hands do: what the first changes has been drawn when the next comes.
 */
export async function doEarly(): Promise<void> {
  const early = window.evarnEarly;
  if (!early) return;
  window.evarnEarly = undefined;
  early.isAwake = true;
  early.stop(['click', 'submit']);
  // All else that happens as a page wakes up comes first. Who types meanwhile is not overtaken by what they had before.
  await nextTask();
  for (const [field, { value, isHeard }] of early.typed) {
    // What the program heard, and has done something with since, is done.
    const isDone = isHeard && valueOf(field) !== value;
    if (isDone && early.pressed === field) early.pressed = null;
    early.isPutting = true;
    if (field.isConnected && !isDone) put(field, value);
    early.isPutting = false;
    await nextTask();
  }
  early.stop(['input', 'keydown']);
  if (early.pressed?.isConnected) press(early.pressed);
}

const valueOf = (field: Field): string | boolean =>
  field instanceof HTMLInputElement && /checkbox|radio/.test(field.type) ? field.checked : field.value;

const nextTask = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

/** React hears of a value only where it differs from the last that was put in by the program: another one goes before. */
function put(field: Field, value: string | boolean): void {
  if (typeof value === 'boolean') {
    if (!(field instanceof HTMLInputElement)) return;
    field.checked = !value;
    field.click();
    return;
  }
  if (!(field instanceof HTMLSelectElement)) field.value = '';
  const { set } = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value') ?? {};
  set?.call(field, value);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.dispatchEvent(new Event('change', { bubbles: true }));
}

/** Some things open as they are pressed down, others as they are let go. In a field Enter was pressed. */
function press(button: Element): void {
  if (button instanceof HTMLInputElement) {
    for (const kind of ['keydown', 'keyup'])
      button.dispatchEvent(
        new KeyboardEvent(kind, { key: 'Enter', code: 'Enter', bubbles: true, cancelable: true }),
      );
    return;
  }
  const how = { bubbles: true, cancelable: true, button: 0, view: window };
  button.dispatchEvent(new PointerEvent('pointerdown', { ...how, pointerType: 'mouse', isPrimary: true }));
  button.dispatchEvent(new MouseEvent('mousedown', how));
  button.dispatchEvent(new PointerEvent('pointerup', { ...how, pointerType: 'mouse', isPrimary: true }));
  button.dispatchEvent(new MouseEvent('mouseup', how));
  button.dispatchEvent(new MouseEvent('click', how));
}
