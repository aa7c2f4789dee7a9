// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, expect, it } from 'vitest';
import { TabPart, Tabs, withKeys } from './tabs';

afterEach(cleanup);

const PARTS = [
  { name: 'need', words: 'Needed' },
  { name: 'orders', words: 'Orders' },
] as const;

function Screen() {
  const [part, setPart] = useState<'need' | 'orders'>('need');
  return (
    <Tabs label="Parts" chosen={part} onChoose={setPart} tabs={withKeys(PARTS, { need: '4' })}>
      <TabPart name="need">what is needed</TabPart>
      <TabPart name="orders">what is ordered</TabPart>
    </Tabs>
  );
}

it('one part shows; arrows go from tab to tab, and the first key is where the choice is', async () => {
  const user = userEvent.setup();
  render(<Screen />);
  expect(screen.getAllByRole('tab').map((t) => t.textContent)).toEqual(['Alt 1 Needed4', 'Alt 2 Orders']);
  expect(screen.getByText('what is needed')).toBeTruthy();
  await user.tab();
  await user.keyboard('{ArrowRight}');
  expect(screen.getByRole('tab', { selected: true }).textContent).toContain('Orders');
  expect(screen.queryByText('what is needed')).toBeNull();
  await user.keyboard('{ArrowRight}');
  expect(screen.getByText('what is needed')).toBeTruthy();
});
