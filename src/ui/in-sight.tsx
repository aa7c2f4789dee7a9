import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useRef,
  type ReactNode,
  type RefObject,
} from 'react';

const IsOpen = createContext<RefObject<boolean> | null>(null);

/** A list whose rows come and go: only what is in it from the first is there as the page opens. */
export function OpensInPlace({ children }: { readonly children: ReactNode }) {
  const isOpen = useRef(false);
  // After those of all that is in it.
  useEffect(() => {
    isOpen.current = true;
  }, []);
  return <IsOpen value={isOpen}>{children}</IsOpen>;
}

/** Brings an element into sight when it is chosen. Gives the ref that it takes. */
export function useInSight<E extends Element>(isChosen: boolean): RefObject<E | null> {
  const element = useRef<E>(null);
  const show = useShow();
  useEffect(() => show(isChosen ? element.current : null), [show, isChosen]);
  return element;
}

/**
 * What brings an element into sight, null where none is chosen. What is chosen as it is first drawn moves the list around it and not the
 * page: a page that moves as it opens takes its bar away, and what is being pressed from under the pointer.
 */
export function useShow(): (element: Element | null | undefined) => void {
  const own = useRef(false);
  const around = useContext(IsOpen);
  return useCallback(
    (element) => {
      if ((around ?? own).current) element?.scrollIntoView({ block: 'nearest' });
      else if (element) showInList(element);
      own.current = true;
    },
    [around],
  );
}

/** Scrolls what is nearest around an element as far as it takes to see it, and nothing outside that. */
function showInList(element: Element): void {
  const list = scrollerOf(element);
  if (!list) return;
  const seen = list.getBoundingClientRect();
  const { top, bottom } = element.getBoundingClientRect();
  const margin = getComputedStyle(element);
  const above = top - (parseFloat(margin.scrollMarginTop) || 0) - seen.top;
  const below = bottom + (parseFloat(margin.scrollMarginBottom) || 0) - seen.bottom;
  // What is longer than the list shows by its beginning.
  if (above < 0) list.scrollTop += above;
  else if (below > 0) list.scrollTop += Math.min(above, below);
}

/** The nearest element around another that has more in it than it shows; null = the window scrolls. */
export function scrollerOf(element: Element): HTMLElement | null {
  let scroller = element.parentElement;
  while (scroller && !(scrolls(scroller) && scroller.scrollHeight > scroller.clientHeight))
    scroller = scroller.parentElement;
  return scroller;
}

const scrolls = (element: HTMLElement): boolean =>
  element !== document.documentElement && ['auto', 'scroll'].includes(getComputedStyle(element).overflowY);
