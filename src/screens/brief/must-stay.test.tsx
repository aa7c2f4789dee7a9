// @vitest-environment happy-dom
import { screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import { added, type Finding } from '@/core/ledger';
import { asId, type FindingId } from '@/core/shared/ids';
import { useBuild } from '../common/build-store';
import { onBuild } from '../testing/on-build';
import { MustStay } from './must-stay';

function All() {
  const records = useBuild((s) => s.workbench.records.finding);
  useBuild((s) => s.version);
  return <MustStay findings={[...records.values()]} />;
}

it('what must stay is answered, taken back, deleted and had back, and counts as it is', async () => {
  const { store, user } = onBuild(<All />, (t) => {
    const finding: Finding = {
      id: asId<FindingId>('f'),
      build: t.build,
      kind: 'function',
      zone: t.open().rootZone.id,
      lots: [],
      to: null,
      note: 'the lamp turns',
      matters: 3,
      photo: null,
      modification: null,
      answer: null,
      how: '',
      dropped: false,
      at: '2026',
    };
    t.act({ label: 'found', diff: added('finding', finding) });
  });
  const now = () => [...store.getState().workbench.records.finding.values()][0]!;
  const press = (name: string) => user.click(screen.getByRole('button', { name }));
  await press('lost');
  await waitFor(() => expect(now().answer).toBe('lost'));
  expect(screen.getByRole('heading').textContent).toBe('1 of 1 asked through, 1 lost.');
  await press('still there');
  await waitFor(() => expect(now().answer).toBe('there'));
  await press('still there');
  await waitFor(() => expect(now().answer).toBeNull());
  await press('Delete');
  await waitFor(() => expect(now().dropped).toBe(true));
  await press('Take up again');
  await waitFor(() => expect(now().dropped).toBe(false));
});
