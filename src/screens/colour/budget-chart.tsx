'use client';

import type { ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import type { CurveStep } from '@/core/mismatch';
import { useInks } from '@/ui/inks';
import { money } from '@/ui/numbers';
import { CHART_FONT } from '@/ui/line-chart';

/** How much of what is visible any budget fixes: a stair, and where the budget stands on it. */
export function BudgetChart({
  steps,
  all,
  budget,
}: {
  steps: readonly CurveStep[];
  all: number;
  budget: number;
}) {
  const inks = useInks();
  const most = steps.at(-1)?.cost ?? 0;
  const share = (value: number) => (100 * value) / Math.max(1e-9, all);
  const here = [...steps].reverse().find((s) => s.cost <= budget);
  const thinned = useMemo(() => thin(steps), [steps]);
  const line = thinned.map((s) => ({ x: s.cost / 100, y: share(s.value) }));
  const step = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, most / 100))) - 1);
  const top = Math.ceil((Math.max(most * 1.02, budget) / 100 || 1) / step) * step;
  line.push({ x: top, y: line.at(-1)?.y ?? 0 });
  const says = `${money(budget)} fixes ${Math.round(share(here?.value ?? 0))} % of what is visible; ${money(most)} fixes ${Math.round(share(steps.at(-1)?.value ?? 0))} %.`;
  const options: ChartOptions<'line'> = {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    parsing: false,
    scales: {
      x: {
        type: 'linear',
        min: 0,
        max: top,
        ticks: {
          font: CHART_FONT,
          color: inks.soft,
          maxTicksLimit: 5,
          // Where the axis ends is no round amount, and may lie right beside one.
          includeBounds: false,
          callback: (v) => money(Math.round(Number(v) * 100)),
        },
        grid: { display: false },
      },
      y: {
        min: 0,
        max: 100,
        ticks: { font: CHART_FONT, color: inks.soft, stepSize: 25, callback: (v) => `${v} %` },
        grid: { color: inks.rule },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: {
        callbacks: {
          title: () => '',
          label: (c) => `${money(Math.round(Number(c.parsed.x) * 100))}: ${Math.round(Number(c.parsed.y))} %`,
        },
      },
    },
  };
  return (
    <div className="h-56">
      <Line
        role="img"
        aria-label={says}
        options={options}
        data={{
          datasets: [
            {
              data: line
                .filter((p) => p.x <= budget / 100)
                .concat(here ? [{ x: budget / 100, y: share(here.value) }] : []),
              borderColor: inks.ink,
              borderWidth: 2.5,
              stepped: 'before',
              pointRadius: 0,
              fill: 'origin',
              backgroundColor: inks.wash,
            },
            {
              data: line,
              borderColor: inks.ink,
              borderWidth: 1,
              borderDash: [4, 3],
              stepped: 'before',
              pointRadius: 0,
            },
            {
              data: [{ x: budget / 100, y: share(here?.value ?? 0) }],
              borderColor: inks.ink,
              backgroundColor: inks.sheet,
              borderWidth: 2,
              pointRadius: 5,
            },
          ],
        }}
      />
    </div>
  );
}

/** No more steps than a chart this wide can show; the first and last always. */
function thin(steps: readonly CurveStep[]): readonly CurveStep[] {
  const every = Math.ceil(steps.length / 400);
  return steps.filter((_, i) => i % every === 0 || i === steps.length - 1);
}
