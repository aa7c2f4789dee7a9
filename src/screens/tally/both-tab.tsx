'use client';

import { useMemo } from 'react';
import { elementName } from '@/core/parts';
import { bothStanding, leaveOff } from '@/core/show';
import { Button } from '@/ui/button';
import { LotGlyph } from '@/ui/glyph';
import { count, money, pieces, piecesOfKinds, priced } from '@/ui/numbers';
import { saveBlob } from '@/ui/save-file';
import { useBuild } from '../common/build-store';

/** The original and the mod both standing: which pieces lack a double, where they would come from, and what to leave off. */
export function BothTab() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const both = useMemo(() => {
    void version;
    return bothStanding(workbench);
  }, [workbench, version]);
  const off = leaveOff(workbench, both);
  const lacking = both.doubles.filter((d) => d.lacks > 0);
  const zoneName = (id: string) => workbench.records.zone.get(id)?.name ?? '';
  const save = () => {
    const name = workbench.records.build.get(workbench.build)?.name ?? 'build';
    const lines = off.flatMap(({ zone, lots }) => [
      `${zoneName(zone)}:`,
      ...lots.map((l) => `  ${l.qty} ${elementName(l.element)}`),
    ]);
    const text = [`${name}: left off the original, so that both can stand`, '', ...lines, ''].join('\n');
    saveBlob(new Blob([text], { type: 'text/plain' }), 'left-off-the-original.txt');
  };
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="text-[21px] leading-tight">
        {both.wants === 0
          ? 'There is no original: no box was unpacked into this build.'
          : both.lacks === 0
            ? 'Both can stand: every piece of the original has a double.'
            : `${pieces(both.lacks)} of ${count(both.wants)} lack a double: ${priced(both.cost, both.unpriced)} to buy, or to be left off.`}
      </h1>
      <p className="text-soft mb-3">
        The mod keeps what it has. For the original {count(both.fromBox)} come from what its boxes still give,{' '}
        {count(both.fromOwn)} from own parts, as plans leave them.
      </p>
      {lacking.length > 0 && (
        <>
          <h2 className="mb-1 text-[16px]">{piecesOfKinds(both.lacks, lacking.length)} to buy</h2>
          <ul className="mb-5 grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
            {lacking.slice(0, 150).map((d) => (
              <li key={d.element} className="flex min-w-0 items-center gap-2">
                <LotGlyph element={d.element} qty={d.lacks} size={30} />
                <span className="min-w-0">
                  <bdi className="block truncate">
                    {count(d.lacks)} of {count(d.wants)} {elementName(d.element)}
                  </bdi>
                  <span className="text-soft block text-[12px]">
                    {d.each === null
                      ? 'price not known'
                      : `${d.estimated ? 'about ' : ''}${money(d.each)} each`}
                  </span>
                </span>
              </li>
            ))}
          </ul>
          <div className="mb-1 flex flex-wrap items-center gap-3">
            <h2 className="text-[16px]">Or left off the original, for the photo</h2>
            <Button onClick={save}>Save the list</Button>
          </div>
          {off.map(({ zone, lots }) => (
            <section key={zone} aria-label={zoneName(zone)} className="mb-2">
              <h3>
                <bdi>{zoneName(zone)}</bdi>: {pieces(lots.reduce((n, l) => n + l.qty, 0))}
              </h3>
              <p className="text-soft">
                {lots
                  .slice(0, 12)
                  .map((l) => `${count(l.qty)} ${elementName(l.element)}`)
                  .join(', ')}
                {lots.length > 12 && ` and ${count(lots.length - 12)} kinds more`}
              </p>
            </section>
          ))}
        </>
      )}
    </div>
  );
}
