// @vitest-environment happy-dom
import { act, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { added, grade } from '@/core/ledger';
import { asId, type TrayId } from '@/core/shared/ids';
import { addStock } from '@/core/stock';
import { testSource } from '@/core/testing/workbench';
import { el } from '@/core/testing/world';
import { takeKnowledge, takeOpening, takeSnapshot, takeSurroundings } from '@/server/snapshot';
import { onBuild } from '../testing/on-build';
import { Tray } from './tray';

vi.mock(import('next/navigation'), async (original) => ({
  ...(await original()),
  useSearchParams: () =>
    new URLSearchParams() as ReturnType<typeof import('next/navigation').useSearchParams>,
}));

it('has no figure for own parts while only those of its own elements are known', () => {
  const { t, store } = onBuild(
    <Tray onPick={vi.fn()} onCountLeft={vi.fn()} />,
    ({ act: does }) => {
      const [tray, source] = [asId<TrayId>('t'), testSource()];
      const lot = (shape: string, qty: number) => ({
        element: el(shape, 'ash'),
        grade: grade('used'),
        qty,
        worth: null,
      });
      does({ label: 'tray', diff: added('tray', { id: tray, name: 'A', place: '', position: 1 }) });
      does(addStock(lot('brick 1x2', 3), tray, source));
      does(addStock(lot('slope 2x2', 40), tray, source));
    },
    takeOpening,
  );
  const ownParts = () => screen.getByRole('tab', { name: /Own parts/ }).textContent;
  expect(ownParts()).toBe('Own parts…');
  act(() => {
    const { workbench } = store.getState();
    workbench.takeKnowledge(takeKnowledge(t.handle), takeSurroundings(t.handle, t.build));
    store.setState((s) => ({ version: s.version + 1 }));
  });
  expect(ownParts()).toBe('Own parts43');
  expect(takeSnapshot(t.handle, t.build)!.complete).toBe(true);
});
