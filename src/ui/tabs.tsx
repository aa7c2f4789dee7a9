import clsx from 'clsx';
import { Key } from './button';

/** Parts of a screen, one of which shows; each has a key. */
export function Tabs<T extends string>({
  label,
  tabs,
  chosen,
  onChoose,
}: {
  label: string;
  tabs: readonly {
    readonly name: T;
    readonly words: string;
    readonly keys: string;
    readonly aside?: string;
  }[];
  chosen: T;
  onChoose: (name: T) => void;
}) {
  return (
    <nav aria-label={label} className="border-rule no-print flex flex-wrap gap-1 border-b px-4 py-1.5">
      {tabs.map((t) => (
        <button
          key={t.name}
          type="button"
          aria-pressed={chosen === t.name}
          onClick={() => onChoose(t.name)}
          className={clsx(
            'flex min-h-7 items-center gap-2 rounded-md px-2.5',
            chosen === t.name ? 'bg-wash font-semibold' : 'text-soft hover:bg-wash',
          )}
        >
          <Key>{t.keys}</Key> {t.words}
          {t.aside && <span className="text-faint font-normal">{t.aside}</span>}
        </button>
      ))}
    </nav>
  );
}
