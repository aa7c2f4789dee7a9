'use client';

import { useEffect, useRef, useState } from 'react';
import { Line } from 'react-chartjs-2';
import { Button } from '@/ui/button';
import { useInks } from '@/ui/inks';
import { money } from '@/ui/numbers';
import { planNeed } from './plan-need';
import type { SourcingTools } from './use-sourcing';
import { CHART_FONT } from '@/ui/line-chart';

interface Point {
  readonly parcels: number;
  readonly cost: number;
  readonly unmet: number;
}

const MOST = 8;
/** What fewer parcels would cost: the plan made up again for one, two, three of them, and so on. */
export function ParcelsChart({ sourcing }: { sourcing: SourcingTools }) {
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [busy, setBusy] = useState(false);
  const stopper = useRef<AbortController | null>(null);
  useEffect(() => () => stopper.current?.abort(), []);
  const { asked, lists, preferences } = sourcing;
  const draw = async () => {
    if (!asked) return;
    const mine = new AbortController();
    stopper.current = mine;
    setBusy(true);
    setPoints([]);
    for (let parcels = 1; parcels <= MOST; parcels++) {
      const question = {
        run: crypto.randomUUID(),
        build: null,
        lots: asked.needed,
        preferences: { ...preferences, maxParcels: parcels },
        lists,
        seconds: 1,
        like: asked.run,
      };
      const solved = await planNeed(question, mine.signal);
      const plan = solved.ok ? solved.value.plan : null;
      if (!plan || mine.signal.aborted) break;
      const unmet = plan.unmet.reduce((s, u) => s + u.qty, 0);
      setPoints((list) => [...list, { parcels, cost: plan.cost, unmet }]);
      // More parcels than the plan wants change nothing any more.
      if (new Set(plan.buys.map((b) => b.seller)).size < parcels) break;
    }
    setBusy(false);
  };
  const inks = useInks();
  const says = points
    .map((p) => `${p.parcels}: ${money(p.cost)}${p.unmet > 0 ? `, ${p.unmet} not available` : ''}`)
    .join('; ');
  return (
    <section className="mb-4 max-w-2xl">
      <div className="mb-1 flex items-center gap-3">
        <h2 className="flex-1">Cost against parcels</h2>
        <Button disabled={!asked} onClick={() => (busy ? stopper.current?.abort() : void draw())}>
          {busy ? 'Stop, keep these' : 'Work it out'}
        </Button>
      </div>
      {points.length > 0 && (
        <>
          <div className="h-44">
            <Line
              role="img"
              aria-label={`Cost by number of parcels. ${says}`}
              data={{
                labels: points.map((p) => `${p.parcels}`),
                datasets: [
                  {
                    data: points.map((p) => p.cost / 100),
                    borderColor: inks.ink,
                    backgroundColor: inks.sheet,
                    borderWidth: 2,
                    pointRadius: 4,
                    // Hollow: something is missing from that plan. Solid: all of it is had.
                    pointBackgroundColor: points.map((p) => (p.unmet > 0 ? inks.sheet : inks.ink)),
                  },
                ],
              }}
              options={{
                animation: false,
                maintainAspectRatio: false,
                plugins: { legend: { display: false } },
                scales: {
                  x: {
                    title: { display: true, text: 'parcels', font: CHART_FONT, color: inks.soft },
                    ticks: { font: CHART_FONT, color: inks.soft },
                    grid: { display: false },
                  },
                  y: {
                    beginAtZero: true,
                    ticks: {
                      font: CHART_FONT,
                      color: inks.soft,
                      callback: (v) => money(Math.round(Number(v) * 100)),
                    },
                    grid: { color: inks.rule },
                  },
                },
              }}
            />
          </div>
          <p className="text-soft text-[12px]">
            Solid: everything is available. Hollow: that few parcels leave something out.
          </p>
        </>
      )}
    </section>
  );
}
