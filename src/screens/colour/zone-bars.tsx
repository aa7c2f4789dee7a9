'use client';

import { agreeToSchemes, type Audit } from '@/core/mismatch';
import type { ZoneId } from '@/core/shared/ids';
import { Button } from '@/ui/button';
import { count } from '@/ui/numbers';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';

/** What is seen of each zone, by colour, to scale: what is off the scheme is raised and ringed. */
export function ZoneBars({
  audit,
  onScheme,
  onRules,
}: {
  audit: Audit;
  onScheme: (zone: ZoneId) => void;
  onRules: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  const proposed = audit.zones.filter((z) => !z.schemeSet && z.scheme.length > 0);
  const palette = usePalette();
  return (
    <section aria-label="What is visible, by zone" className="bg-background text-background-ink px-4 py-3">
      <div className="mb-2 flex flex-wrap items-baseline gap-x-3">
        <h2 className="flex-1 whitespace-nowrap">What is visible, by zone</h2>
        <span className="text-background-soft text-[12px]">
          raised and ringed = off the scheme · a zone opens its scheme
        </span>
        {proposed.length > 0 && (
          <Button onClick={() => perform(agreeToSchemes(workbench, proposed))}>
            Agree to {proposed.length === 1 ? 'the scheme' : `${proposed.length} schemes`} proposed
          </Button>
        )}
        <Button onClick={onRules}>Rules</Button>
      </div>
      <ul className="flex flex-col gap-2.5">
        {audit.zones.map((z) => (
          <li key={z.zone} className="grid grid-cols-[132px_1fr_112px] items-center gap-2">
            <button
              type="button"
              className="min-h-7 truncate text-left leading-tight"
              onClick={() => onScheme(z.zone)}
              title={`Open the scheme${z.scheme.length > 0 ? `: ${z.scheme.join(', ')}` : ''}`}
            >
              <bdi className="block truncate font-semibold hover:underline">
                {workbench.records.zone.get(z.zone)?.name}
              </bdi>
              <span className="text-background-soft block truncate text-[12px]">
                {z.schemeSet ? `${count(z.seen)} seen` : `proposed: ${z.scheme.join(', ') || 'none'}`}
              </span>
            </button>
            <div
              role="img"
              aria-label={z.colours
                .map((c) => `${c.qty} ${c.colour}${c.off > 0 ? `, ${c.off} off` : ''}`)
                .join('; ')}
              className="flex h-7 items-end gap-px"
            >
              {z.colours.flatMap((c) => {
                const hex = palette.get(c.colour)?.hex ?? '#9a9a9a';
                const parts = [
                  { n: c.qty - c.off, off: false },
                  { n: c.off, off: true },
                ];
                return parts
                  .filter((p) => p.n > 0)
                  .map((p) => (
                    <span
                      key={`${c.colour}${p.off}`}
                      title={`${p.n} ${c.colour}${p.off ? ', off the scheme' : ''}`}
                      style={{ flexGrow: p.n, background: hex }}
                      className={
                        p.off
                          ? 'h-7 min-w-2.5 rounded-sm border-2 border-[#161616] outline outline-[#f4f4f4]'
                          : 'h-4 min-w-px rounded-xs'
                      }
                    />
                  ));
              })}
            </div>
            <span className="text-right">
              {z.off > 0 && (
                <span className="block leading-tight">
                  <b>{count(z.off)}</b> off
                </span>
              )}
              {z.placeholders > 0 && (
                <span className="block leading-tight">
                  <b>{count(z.placeholders)}</b> placeholders
                </span>
              )}
              {z.off + z.placeholders === 0 && <span className="text-background-soft">none off</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
