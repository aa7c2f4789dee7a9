'use client';

import { formatFixed } from '@/core/shared/forms';
import clsx from 'clsx';
import { hexOfLab } from '@/core/colour';
import { batchOf } from '@/core/ledger';
import { elementName } from '@/core/parts';
import type { FadingOption } from '@/core/fading';
import { Glyph } from '@/ui/glyph';
import { count, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { FADING_OPTION_WORDS } from '../words/inspection';

/** The options beside one another: what each would leave to see, touch and cost. */
export function OptionTable({
  options,
  chosen,
  recommended,
  onChoose,
}: {
  options: readonly FadingOption[];
  chosen: FadingOption['name'];
  recommended: FadingOption['name'];
  onChoose: (name: FadingOption['name']) => void;
}) {
  return (
    <table className="w-full text-right">
      <caption className="sr-only">What each option would come to</caption>
      <thead>
        <tr className="border-ink text-faint border-b text-[12px]">
          <th scope="col" className="py-1 text-left font-normal">
            Option
          </th>
          <th scope="col" className="px-2 font-normal whitespace-nowrap">
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
        {options.map((s) => (
          <tr key={s.name} className={clsx('border-rule border-b', s.name === chosen && 'bg-wash')}>
            <th scope="row" className="py-1 text-left font-medium">
              <label className="flex min-h-7 items-center gap-2">
                <input
                  type="radio"
                  name="option"
                  className="size-4"
                  checked={s.name === chosen}
                  onChange={() => onChoose(s.name)}
                />
                <span>
                  {FADING_OPTION_WORDS[s.name]}
                  {s.name === recommended && <b> ✓ recommended</b>}
                </span>
              </label>
            </th>
            <td className="px-2">{formatFixed(s.largest)}</td>
            <td className="px-2">{formatFixed(s.typical)}</td>
            <td className="px-2">{count(s.touched)}</td>
            <td className="pl-2 whitespace-nowrap">
              {s.name === 'whiten' && s.unpriced > 0 ? 'not set' : priced(s.cost, s.unpriced)}
              {s.hours !== undefined && s.touched > 0 && `, ${s.hours} h`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The pieces an option exchanges. */
export function Moves({ option }: { option: FadingOption }) {
  const workbench = useBuild((s) => s.workbench);
  if (option.name === 'whiten')
    return (
      <p className="border-edge mt-3 rounded-md border p-2">
        Peroxide burns skin and eyes and bleaches cloth; ultraviolet light harms eyes. Gloves, goggles, good
        air, no metal vessels, away from children. The product’s label and your local rules come first.
        Prints, stickers, clear and metal parts stay out.
      </p>
    );
  if (option.comesIn.length === 0) return null;
  const place = (account: string) =>
    account === 'outside'
      ? 'bought new'
      : account.startsWith('model:')
        ? 'from a hidden place'
        : account.startsWith('stock:')
          ? `tray ${workbench.records.tray.get(account.slice(7))?.name ?? ''}`
          : 'spares';
  return (
    <div className="mt-3 grid grid-cols-2 gap-3">
      {(
        [
          ['Comes in', option.comesIn],
          ['Goes', option.goesOut],
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
