'use client';

import { type Sticker, type StickerWay } from '@/core/records';
import { waysOf, type StickerNow, type WayJudged } from '@/core/stickers';
import { useMemo } from 'react';
import { priced } from '@/ui/numbers';
import { useBuild } from '../../common/build-store';
import { Caution } from '../../common/caution';
import { MoneyBox } from '../../common/money-box';
import { NumberBox } from '../../common/number-box';
import { areaWords, WAY_WORDS } from '../../words/stickers';

interface StickerWaysProps {
  readonly of: StickerNow;
  readonly onKeep: (more: Partial<Sticker>) => void;
}

/** What may become of a sticker, the ways beside each other: money, time and looks, and which of them is chosen. */
export function StickerWays({ of, onKeep }: StickerWaysProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const ways = useMemo(() => {
    void version;
    return waysOf(workbench, of);
  }, [workbench, version, of]);
  const put = (way: StickerWay, more: Partial<WayJudged>) => {
    const { cost, minutes, looks } = { ...ways.find((w) => w.way === way)!.typed, ...more };
    const others = of.sticker.ways.filter((w) => w.way !== way);
    onKeep({ ways: [...others, { way, cost, minutes, looks }] });
  };
  return (
    <section aria-label="What becomes of it">
      <h3 className="text-[14px] font-semibold">What becomes of it</h3>
      <table className="w-full">
        <thead>
          <tr className="text-soft text-left text-[12px]">
            <th className="font-normal">Way</th>
            <th className="font-normal">Money</th>
            <th className="font-normal">Minutes</th>
            <th className="font-normal">Looks, 1 to 5</th>
          </tr>
        </thead>
        <tbody>
          {ways.map(({ way, typed, says, can }) => (
            <tr key={way} className="border-rule border-b align-top">
              <th scope="row" className="py-1.5 pr-2 text-left font-normal">
                <label className="flex items-center gap-2">
                  <input
                    type="radio"
                    name={`way ${of.sticker.id}`}
                    checked={of.sticker.way === way}
                    onChange={() => onKeep({ way })}
                  />
                  <b>{WAY_WORDS[way]}</b>
                </label>
                <span className="text-soft block text-[12px]">{sayWords(says, can)}</span>
              </th>
              <td className="py-1.5 pr-1">
                <MoneyBox
                  bare
                  label={`Money: ${WAY_WORDS[way]}`}
                  value={typed.cost}
                  onChange={(cost) => put(way, { cost })}
                />
              </td>
              <td className="py-1.5 pr-1">
                <NumberBox
                  bare
                  label={`Minutes: ${WAY_WORDS[way]}`}
                  value={typed.minutes}
                  least={0}
                  most={100_000}
                  onChange={(minutes) => put(way, { minutes })}
                  onEmpty={() => put(way, { minutes: null })}
                />
              </td>
              <td className="py-1.5">
                <NumberBox
                  bare
                  label={`Looks, 1 to 5: ${WAY_WORDS[way]}`}
                  value={typed.looks}
                  least={1}
                  most={5}
                  onChange={(looks) => put(way, { looks })}
                  onEmpty={() => put(way, { looks: null })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {of.sticker.way && of.sticker.way !== 'keep' && <Caution of={['solvent', 'heat', 'blade']} />}
    </section>
  );
}

function sayWords(says: ReturnType<typeof waysOf>[number]['says'], can: boolean): string {
  switch (says.of) {
    case 'nothing':
      return '';
    case 'size':
      return 'Say its size and ground first.';
    case 'area':
      return can
        ? `It can be cut from ${says.from}; it takes ${areaWords(says.area)}.`
        : 'No plain field of its colour is large enough.';
    case 'reprint':
      return says.from ? `${says.from} is kept for it.` : 'No reprint is kept; a printer is to be asked.';
    case 'brick':
      return `${says.way}: ${says.toBuy === 0 ? 'all at hand' : `${says.toBuy} to buy for ${says.estimated ? 'about ' : ''}${priced(says.cost, says.unpriced)}`}.`;
  }
}
