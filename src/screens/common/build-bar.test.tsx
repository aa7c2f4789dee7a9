// @vitest-environment happy-dom
import { act, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { deleteEntries } from '@/core/workbench';
import { onBuild } from '../testing/on-build';
import { BuildBar } from './build-bar';
import { useBuild } from './build-store';
import { useBackground } from './use-background';

const headers = vi.hoisted(() => ({ drawn: 0 }));
vi.mock('@/ui/app-header', () => ({
  AppHeader: ({ children }: { children: React.ReactNode }) => {
    headers.drawn++;
    return <header>{children}</header>;
  },
}));

/** A screen that is drawn anew at every key. */
function Typing() {
  const line = useBuild((s) => s.line);
  return (
    <>
      <BuildBar screen="Bench" background={useBackground()} />
      <output>{line}</output>
    </>
  );
}

it('is not drawn again for what is typed, and is for what is logged', () => {
  const { store } = onBuild(<Typing />);
  const before = headers.drawn;
  for (const line of ['-', '-1', '-1 b']) act(() => store.getState().set({ line }));
  expect(document.querySelector('output')?.textContent).toBe('-1 b');
  expect(headers.drawn).toBe(before);
  const { workbench, perform } = store.getState();
  act(() => perform(deleteEntries(workbench.entries.filter((e) => e.modification))));
  expect(headers.drawn).toBeGreaterThan(before);
  expect(screen.getByRole('button', { name: /^Undo: delete/i })).toBeTruthy();
});
