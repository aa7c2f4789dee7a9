'use client';

import {
  defaultRangeExtractor,
  useVirtualizer,
  useWindowVirtualizer,
  type Range,
  type Virtualizer,
} from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState, type ReactNode, type RefObject } from 'react';
import { scrollerOf, useShow } from './in-sight';
import { usePrinting } from './use-printing';

interface VirtualListProps<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  /** Height of a usual row in px, before it is measured. */
  readonly rowHeight: number;
  readonly className?: string;
  readonly rowClass?: string;
  /** A row that is kept in sight. */
  readonly inSight?: number;
  readonly children: (item: T, index: number) => ReactNode;
}

/** A list of so many is drawn whole. */
const DRAWN_WHOLE = 100;
/** Rows that are drawn beyond those in sight. */
const BEYOND = 3;

/**
 * A list that may have thousands of rows, of which those in sight are drawn; it scrolls with whatever scrolls around it.
 * On paper all of them are there.
 */
export function VirtualList<T>(props: VirtualListProps<T>) {
  const printing = usePrinting();
  return props.items.length > DRAWN_WHOLE && !printing ? (
    <DrawnInSight {...props} />
  ) : (
    <DrawnWhole {...props} />
  );
}

function DrawnWhole<T>({ items, keyOf, className, rowClass, inSight, children }: VirtualListProps<T>) {
  const list = useRef<HTMLUListElement>(null);
  const show = useShow();
  useEffect(
    () => show(inSight === undefined ? null : list.current?.children[inSight]),
    [show, inSight, items],
  );
  return (
    <ul ref={list} className={className}>
      {items.map((item, i) => (
        <li key={keyOf(item)} className={rowClass}>
          {children(item, i)}
        </li>
      ))}
    </ul>
  );
}

/** What scrolls a list, the window where it is null, and how far below its top the list begins. */
interface Place {
  readonly scroller: HTMLElement | null;
  readonly top: number;
}

function DrawnInSight<T>(props: VirtualListProps<T>) {
  const list = useRef<HTMLUListElement>(null);
  const [place, setPlace] = useState<Place | null>(null);
  useLayoutEffect(() => {
    const look = () => {
      if (list.current) setPlace((was) => placeOf(list.current!, was));
    };
    look();
    window.addEventListener('resize', look);
    return () => window.removeEventListener('resize', look);
  });
  // What holds the focus stays drawn, however far it is scrolled away: keys go on from there.
  const [held, setHeld] = useState<number | null>(null);
  const hold = (within: Element | null) => {
    const row = within?.closest('[data-index]')?.getAttribute('data-index');
    setHeld(row ? Number(row) : null);
  };
  const of = { ...props, list, held, onHold: hold };
  if (!place) return <ul ref={list} style={{ height: props.items.length * props.rowHeight }} />;
  if (!place.scroller) return <InWindow {...of} top={place.top} />;
  return <InElement {...of} top={place.top} scroller={place.scroller} />;
}

interface InSightProps<T> extends VirtualListProps<T> {
  readonly list: RefObject<HTMLUListElement | null>;
  readonly top: number;
  /** The row that holds the focus. */
  readonly held: number | null;
  readonly onHold: (within: Element | null) => void;
}

const optionsOf = <T,>({ items, keyOf, rowHeight, top, held }: InSightProps<T>) => ({
  count: items.length,
  estimateSize: () => rowHeight,
  getItemKey: (i: number) => keyOf(items[i]!),
  scrollMargin: top,
  overscan: BEYOND,
  rangeExtractor: (range: Range) => {
    const rows = defaultRangeExtractor(range);
    if (held === null || held >= items.length || rows.includes(held)) return rows;
    return [...rows, held].sort((a, b) => a - b);
  },
});

function InWindow<T>(props: InSightProps<T>) {
  const virtual = useWindowVirtualizer<HTMLLIElement>(optionsOf(props));
  return <Rows {...props} virtual={virtual} />;
}

function InElement<T>({ scroller, ...props }: InSightProps<T> & { scroller: HTMLElement }) {
  const virtual = useVirtualizer<HTMLElement, HTMLLIElement>({
    ...optionsOf(props),
    getScrollElement: () => scroller,
  });
  return <Rows {...props} virtual={virtual} />;
}

type OfRows = Pick<
  Virtualizer<HTMLElement, HTMLLIElement>,
  'getTotalSize' | 'getVirtualItems' | 'measureElement' | 'scrollToIndex'
>;

function Rows<T>(props: InSightProps<T> & { readonly virtual: OfRows }) {
  const { items, list, top, className = '', rowClass = '', inSight, onHold, virtual, children } = props;
  useEffect(() => {
    if (inSight !== undefined) virtual.scrollToIndex(inSight, { align: 'auto' });
  }, [virtual, inSight, items]);
  return (
    <ul
      ref={list}
      style={{ height: virtual.getTotalSize() }}
      className={`relative ${className}`}
      onFocus={(e) => onHold(e.target)}
      onBlur={(e) => !e.currentTarget.contains(e.relatedTarget) && onHold(null)}
    >
      {virtual.getVirtualItems().map(({ key, index, start }) => (
        <li
          key={key}
          ref={virtual.measureElement}
          data-index={index}
          aria-setsize={items.length}
          aria-posinset={index + 1}
          style={{ transform: `translateY(${start - top}px)` }}
          className={`absolute inset-x-0 top-0 ${rowClass}`}
        >
          {children(items[index]!, index)}
        </li>
      ))}
    </ul>
  );
}

/** Whether an element around the list scrolls or the window depends on its width. */
function placeOf(list: HTMLElement, was: Place | null): Place {
  const scroller = scrollerOf(list);
  const above = scroller ? scroller.getBoundingClientRect().top - scroller.scrollTop : -window.scrollY;
  const top = Math.round(list.getBoundingClientRect().top - above);
  return was && scroller === was.scroller && top === was.top ? was : { scroller, top };
}
