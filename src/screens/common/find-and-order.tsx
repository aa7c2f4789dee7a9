import { count } from '@/ui/numbers';

interface FindAndOrderProps<T extends string> {
  /** What is looked through, as it stands in a sentence: "the worklog". */
  readonly what: string;
  readonly text: string;
  readonly onText: (text: string) => void;
  /** How many have the words, and of what: told where words are looked for. */
  readonly found: { readonly n: number; readonly one: string; readonly many: string };
  readonly orders: readonly T[];
  readonly order: T;
  readonly onOrder: (order: T) => void;
}

/** Looks for words in a list, and shows it in another order. The order that is kept stays. */
export function FindAndOrder<T extends string>(props: FindAndOrderProps<T>) {
  const { what, text, onText, found, orders, order, onOrder } = props;
  return (
    <>
      <input
        id="find-in-list"
        type="search"
        value={text}
        onChange={(e) => onText(e.target.value)}
        aria-label={`Find in ${what}`}
        placeholder={`Find in ${what}`}
        className="border-edge bg-sheet min-h-7 w-44 min-w-0 rounded-md border px-2 max-sm:flex-1"
      />
      <span role="status" className="text-soft empty:hidden">
        {text.trim() !== '' && `${count(found.n)} ${found.n === 1 ? found.one : found.many}`}
      </span>
      <select
        aria-label={`Order of ${what}`}
        value={order}
        onChange={(e) => onOrder(e.target.value as T)}
        className="border-edge bg-sheet min-h-7 rounded-md border px-1 max-sm:w-29"
      >
        {orders.map((o) => (
          <option key={o}>{o}</option>
        ))}
      </select>
    </>
  );
}
