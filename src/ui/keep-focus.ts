/** What can have the focus by the Tab key. */
const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]:not([tabindex="-1"])';
/** What comes and goes over the page: what had the focus below it is what counts. */
const LAYERS = '[role=dialog], [role=alertdialog], [role=menu], [role=listbox]';

interface Place {
  readonly element: Element;
  /** Which child of its parent it was. */
  readonly index: number;
}

/** Where the focus was last on the page itself, from the element outwards. */
let path: readonly Place[] = [];

const pathOf = (element: Element): Place[] => {
  const all: Place[] = [];
  for (let at: Element | null = element; at; at = at.parentElement)
    all.push({ element: at, index: at.parentElement ? [...at.parentElement.children].indexOf(at) : 0 });
  return all;
};

const canFocus = (el: Element | null | undefined): el is HTMLElement =>
  el instanceof HTMLElement && el.isConnected && el.checkVisibility?.() !== false;

/** The first thing in an element that takes the focus: itself, what is in it, or its heading, which then can. */
function inside(element: Element | undefined): HTMLElement | null {
  if (!element) return null;
  if (element.matches(FOCUSABLE) && canFocus(element)) return element;
  const heading = [...element.querySelectorAll('h1, h2, h3')].find(canFocus);
  const first = [...element.querySelectorAll(FOCUSABLE)].find(canFocus);
  if (heading && (!first || heading.compareDocumentPosition(first) & Node.DOCUMENT_POSITION_FOLLOWING)) {
    heading.setAttribute('tabindex', '-1');
    return heading;
  }
  return first ?? null;
}

/**
 * Where the focus goes that was on something which is gone: to what has taken its place in its list or form, else to the heading of the
 * part it was in, else to the page's.
 */
export function nextFocus(was: readonly Place[]): HTMLElement | null {
  const [own] = was;
  if (own && canFocus(own.element)) return own.element as HTMLElement;
  for (let i = 1; i < was.length; i++) {
    const around = was[i]!.element;
    if (!around.isConnected || around === document.body) continue;
    const { index } = was[i - 1]!;
    const found = inside(around.children[index]) ?? inside(around.children[index - 1]) ?? inside(around);
    if (found) return found;
  }
  return inside(document.querySelector('main') ?? undefined);
}

/** Where the focus was on the page before a dialog or a menu had it, or what has taken its place; null = nowhere. */
export const focusBefore = (): HTMLElement | null => (path.length > 0 ? nextFocus(path) : null);

/** For a menu that has gone: the button that opened it has the focus again, unless what it opened has it. */
export function keepInOpenLayer(gone: Event): void {
  if (document.activeElement?.closest(LAYERS)) gone.preventDefault();
}

/**
 * Gives the focus back when a sheet, a list or a menu over the page has gone: to `then`, else to where it was. What was opened over the
 * page in the meantime keeps it: the word comes a moment after the going, and what is typed by then belongs to what is open.
 */
export function giveFocusBack(gone: Event, then?: () => HTMLElement | null): void {
  keepInOpenLayer(gone);
  if (gone.defaultPrevented) return;
  gone.preventDefault();
  (then?.() ?? focusBefore())?.focus({ preventScroll: true });
}

/** Remembers where the focus is, and puts it back on the page when what had it is gone. Gives what ends it. */
export function keepFocus(): () => void {
  const take = (target: EventTarget | null) => {
    if (target instanceof Element && target !== document.body && !target.closest(LAYERS))
      path = pathOf(target);
  };
  const remember = (e: FocusEvent) => take(e.target);
  // What the page opened with has it already.
  take(document.activeElement);
  // Who clicks beside everything has let go of it, and keys are commands then; what was taken away has not been let go of.
  const letGo = (e: FocusEvent) => {
    const was = e.target;
    if (e.relatedTarget !== null || !(was instanceof Element)) return;
    setTimeout(() => {
      if (was.isConnected && document.activeElement === document.body && path[0]?.element === was) path = [];
    }, 0);
  };
  const lost = () =>
    path.length > 0 &&
    !path[0]!.element.isConnected &&
    (document.activeElement === document.body || document.activeElement === null) &&
    !document.querySelector(LAYERS);
  let waiting = false;
  const look = () => {
    if (waiting || !lost()) return;
    waiting = true;
    // What takes its place may come a moment later, and may take the focus itself.
    setTimeout(() => {
      waiting = false;
      if (lost()) nextFocus(path)?.focus({ preventScroll: true });
    }, 60);
  };
  const observer = new MutationObserver(look);
  document.addEventListener('focusin', remember);
  document.addEventListener('focusout', letGo);
  observer.observe(document.body, { childList: true, subtree: true });
  return () => {
    document.removeEventListener('focusin', remember);
    document.removeEventListener('focusout', letGo);
    observer.disconnect();
  };
}

/** The parts of a page that F6 goes through: bars, named sections, forms and side parts, as they are seen. */
export function regionsNow(): HTMLElement[] {
  const named = 'section[aria-label], aside[aria-label], form[aria-label], [role=region][aria-label]';
  return [...document.querySelectorAll(`header, nav[aria-label]:not([data-skip]), main, ${named}`)].filter(
    (el): el is HTMLElement => canFocus(el) && inside(el) !== null,
  );
}

/** Puts the focus into the next part of the page, or the one before, round and round. */
export function goToRegion(by: 1 | -1): void {
  const regions = regionsNow();
  const here = document.activeElement;
  const at = regions.findLastIndex((r) => r.contains(here));
  const start = inside(regions[at]) === here || by === 1 ? at : at + 1;
  for (let i = 1; i <= regions.length; i++) {
    const region = regions[(start + by * i + regions.length * 2) % regions.length];
    const target = inside(region);
    if (target && target !== here) return target.focus();
  }
}
