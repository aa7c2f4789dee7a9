'use client';

import clsx from 'clsx';
import { hexOfLab } from '@/core/colour';
import { batchOf } from '@/core/ledger';
import { elementName } from '@/core/parts';
import type { School } from '@/core/survey';
import { Glyph } from '@/ui/glyph';
import { count, money } from '@/ui/numbers';
import { useBench } from '../common/bench-store';
import { SCHOOL_WORDS } from '../words/survey';

/** The schools beside one another: what each would leave to see, touch and cost. */
export function SchoolTable({
  schools,
  chosen,
  recommended,
  onChoose,
}: {
  schools: readonly School[];
  chosen: School['name'];
  recommended: School['name'];
  onChoose: (name: School['name']) => void;
}) {
  return (
    <table className="w-full text-right">
      <caption className="sr-only">What each school would come to</caption>
      <thead>
        <tr className="border-ink text-faint border-b text-[12px]">
          <th scope="col" className="py-1 text-left font-normal">
            School
          </th>
          <th scope="col" className="px-2 font-normal">
            at most
          </th>
          <th scope="col" className="px-2 font-normal">
            usually
          </th>
          <th scope="col" className="px-2 font-normal">
            touched
          </th>
          <th scope="col" className="pl-2 font-normal">
            costs
          </th>
        </tr>
      </thead>
      <tbody>
        {schools.map((s) => (
          <tr key={s.name} className={clsx('border-rule border-b', s.name === chosen && 'bg-wash')}>
            <th scope="row" className="py-1 text-left font-medium">
              <label className="flex min-h-7 items-center gap-2">
                <input
                  type="radio"
                  name="school"
                  className="accent-ink size-4"
                  checked={s.name === chosen}
                  onChange={() => onChoose(s.name)}
                />
                <span>
                  {SCHOOL_WORDS[s.name]}
                  {s.name === recommended && <b> ✓ recommended</b>}
                </span>
              </label>
            </th>
            <td className="px-2">{s.largest.toFixed(1)}</td>
            <td className="px-2">{s.typical.toFixed(1)}</td>
            <td className="px-2">{count(s.touched)}</td>
            <td className="pl-2">
              {money(s.cost)}
              {s.unpriced > 0 && ` + ${s.unpriced} unpriced`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The pieces a school exchanges. */
export function Moves({ school }: { school: School }) {
  const bench = useBench((s) => s.bench);
  if (school.name === 'whiten')
    return (
      <p className="border-edge mt-3 rounded-md border p-2">
        Peroxide burns skin and eyes and bleaches cloth; ultraviolet light harms eyes. Gloves, goggles, good
        air, no metal vessels, away from children. The product’s label and your local rules come first.
        Prints, stickers, clear and metal parts stay out.
      </p>
    );
  if (school.comesIn.length === 0) return null;
  const place = (account: string) =>
    account === 'outside'
      ? 'bought new'
      : account.startsWith('model:')
        ? 'from a hidden place'
        : account.startsWith('stores:')
          ? `tray ${bench.records.tray.get(account.slice(7))?.name ?? ''}`
          : 'spares';
  return (
    <div className="mt-3 grid grid-cols-2 gap-3">
      {(
        [
          ['Comes in', school.comesIn],
          ['Goes', school.goesOut],
        ] as const
      ).map(([title, list]) => (
        <section key={title}>
          <h3 className="mb-1">{title}</h3>
          <ul>
            {list.slice(0, 12).map((p) => (
              <li key={`${p.account}${p.element}${p.grade}`} className="flex items-center gap-2">
                <span
                  aria-hidden
                  style={{ background: hexOfLab(p.lab) }}
                  className="border-edge size-4 rounded-xs border"
                />
                <Glyph element={p.element} size={26} />
                <span className="min-w-0 flex-1 truncate">
                  {p.qty} {elementName(p.element)}{' '}
                  <span className="text-faint">
                    {batchOf(p.grade) || p.grade}
                    {title === 'Comes in' && `, ${place(p.account)}`}
                  </span>
                </span>
              </li>
            ))}
            {list.length > 12 && <li className="text-faint">and {list.length - 12} more</li>}
          </ul>
        </section>
      ))}
    </div>
  );
}
