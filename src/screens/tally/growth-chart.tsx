'use client';

import type { ChartOptions } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { useInks } from '@/ui/inks';
import { count, money } from '@/ui/numbers';
import { CHART_FONT } from '@/ui/line-chart';

/** A point of the curve: where it stands along the axis, and how the build stood there. */
export interface ChartPoint {
  readonly label: string;
  readonly onModel: number;
  readonly outOfPocket: number;
}

/** Pieces on the model and money paid, by day or by line: a full line and a dashed one, each with its own scale. */
export function GrowthChart({ points: days, by }: { points: readonly ChartPoint[]; by: 'day' | 'line' }) {
  const inks = useInks();
  const last = days.at(-1);
  const line = (label: string, of: (d: ChartPoint) => number, yAxisID: string, dash: number[]) => ({
    label,
    data: days.map(of),
    yAxisID,
    borderColor: inks.ink,
    backgroundColor: inks.ink,
    borderDash: dash,
    borderWidth: 2,
    pointRadius: days.length > 60 ? 0 : 2.5,
    stepped: 'before' as const,
  });
  const axis = (side: 'left' | 'right', words: string, write: (v: number) => string) => ({
    position: side,
    ticks: {
      font: CHART_FONT,
      color: inks.soft,
      maxTicksLimit: 6,
      callback: (v: number | string) => write(Number(v)),
    },
    grid: { color: inks.rule, drawOnChartArea: side === 'left' },
    title: { display: true, text: words, color: inks.soft, font: CHART_FONT },
  });
  const options: ChartOptions<'line'> = {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    interaction: { mode: 'index', intersect: false },
    scales: {
      x: {
        ticks: { font: CHART_FONT, color: inks.soft, maxTicksLimit: 8, maxRotation: 0 },
        grid: { display: false },
      },
      pieces: axis('left', 'pieces on the model, full line', count),
      money: axis('right', 'out of pocket, dashed', (v) => money(Math.round(v * 100))),
    },
    plugins: { tooltip: { backgroundColor: inks.ink, bodyColor: inks.sheet, titleColor: inks.sheet } },
  };
  const says = last
    ? `${days.length} ${by === 'day' ? 'days' : 'lines'}. At the end ${count(last.onModel)} pieces on the model, ${money(last.outOfPocket)} out of pocket.`
    : '';
  return (
    <div className="h-64">
      <Line
        role="img"
        aria-label={says}
        options={options}
        data={{
          labels: days.map((d) => d.label),
          datasets: [
            line('pieces on the model', (d) => d.onModel, 'pieces', []),
            line('out of pocket', (d) => d.outOfPocket / 100, 'money', [5, 4]),
          ],
        }}
      />
    </div>
  );
}
