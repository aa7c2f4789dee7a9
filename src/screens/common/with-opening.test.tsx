// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { openInSlices } from '@/core/workbench';
import { takeSnapshot, type Later } from '@/server/snapshot';
import { testBuild } from '@/server/testing/workspace';
import { askOpening, askOwnOpening } from '../sending/snapshots';
import { BuildBar } from './build-bar';
import { BuildScreen } from './build-screen';
import { useBackground } from './use-background';
import { withOpening } from './with-opening';

vi.mock(import('../sending/snapshots'), async (original) => ({
  ...(await original()),
  askOpening: vi.fn(),
  askOwnOpening: vi.fn(),
}));
vi.mock(import('next/navigation'), async (original) => ({
  ...(await original()),
  usePathname: () => '/builds',
}));
vi.mock('./use-catch-up', () => ({ useCatchUp: () => {} }));

afterEach(cleanup);

const t = testBuild();
const snapshot = takeSnapshot(t.handle, t.build)!;
const Page = withOpening(function Books() {
  return (
    <BuildScreen snapshot={snapshot}>
      <Bar />
    </BuildScreen>
  );
}, 'Tally');
const Bar = () => <BuildBar screen="Tally" background={useBackground()} />;
const opened = async () => ({ snapshot, workbench: await openInSlices(snapshot, () => Promise.resolve()) });
const later: Later = { later: t.build, name: 'As it was', copies: [], comesTo: null };

it('a long log has one bar before and after its books come, which then has its buttons and its name', async () => {
  let come: (books: Awaited<ReturnType<typeof askOpening>>) => void = () => {};
  vi.mocked(askOpening).mockReturnValueOnce(new Promise((done) => (come = done)));
  render(<Page opening={later} />);
  const link = screen.getByRole('link', { name: 'Parts' });
  link.focus();
  expect(screen.getByText('Its log is long: it is being opened…')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Files and prints' })).toBeNull();
  const books = await opened();
  await act(async () => come(books));
  expect(await screen.findByRole('button', { name: 'Files and prints' })).toBeTruthy();
  expect(screen.queryByText('Its log is long: it is being opened…')).toBeNull();
  expect(screen.getAllByRole('banner')).toHaveLength(1);
  expect(screen.getByRole('link', { name: 'Parts' })).toBe(link);
  expect(document.activeElement).toBe(link);
  const name = snapshot.records.find((r) => r.type === 'build')?.record.name as string;
  expect(name).not.toBe('As it was');
  expect(screen.getByRole('banner').textContent).toContain(name);
});

it('a short log comes with its bar', () => {
  render(<Page opening={snapshot} />);
  expect(screen.getAllByRole('banner')).toHaveLength(1);
  expect(screen.getByRole('button', { name: 'Files and prints' })).toBeTruthy();
});

it('books that do not come are asked for again', async () => {
  vi.mocked(askOpening)
    .mockResolvedValueOnce(undefined)
    .mockResolvedValueOnce(await opened());
  render(<Page opening={later} />);
  const again = await screen.findByRole('button', { name: 'Try again' });
  act(() => again.click());
  expect(await screen.findByRole('button', { name: 'Files and prints' })).toBeTruthy();
});

it('the bench, where a line is typed, waits for what the build has and for nothing else', async () => {
  const Bench = withOpening(() => <p>its line</p>, 'Bench');
  vi.mocked(askOpening).mockClear();
  vi.mocked(askOwnOpening).mockResolvedValueOnce(await opened());
  render(<Bench opening={later} />);
  expect(await screen.findByText('its line')).toBeTruthy();
  expect(askOpening).not.toHaveBeenCalled();
});
