// @vitest-environment happy-dom
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { onBuild } from '../testing/on-build';
import { CheckOff } from './check-off';

const asked = () => screen.getByRole('textbox').closest('label')?.textContent ?? '';

function open() {
  const built = onBuild(<CheckOff />);
  const counted = () => [...built.store.getState().workbench.records.countLine.values()];
  const gone = () => built.store.getState().workbench.built.figures({ of: 'build' }).missing;
  return { ...built, counted, gone };
}

describe('checking a box off', () => {
  it('Enter says that all is there, and goes on to the next', async () => {
    const { user, counted } = open();
    const first = asked();
    await user.type(screen.getByRole('textbox'), '{Enter}');
    expect(counted()).toMatchObject([{ broken: 0 }]);
    expect(counted()[0]!.there).toBe(counted()[0]!.expected);
    expect(asked()).not.toBe(first);
  });

  it('a number leaves the rest missing, in the books too; counting again takes it back', async () => {
    const { user, counted, gone } = open();
    const expected = Number(screen.getByRole('textbox').getAttribute('placeholder'));
    await user.type(screen.getByRole('textbox'), `${expected - 4} 1b{Enter}`);
    expect(counted()).toMatchObject([{ there: expected - 4, broken: 1 }]);
    expect(gone()).toBe(4);
    await user.type(screen.getByRole('textbox'), '{ArrowUp}');
    expect((screen.getByRole('textbox') as HTMLInputElement).value).toBe(`${expected - 4} 1b`);
    await user.clear(screen.getByRole('textbox'));
    await user.type(screen.getByRole('textbox'), '{Enter}');
    expect([counted().length, gone()]).toEqual([1, 0]);
  });

  it('what cannot be is a sentence, and nothing is written', async () => {
    const { user, counted } = open();
    for (const [text, says] of [
      ['9999', /the box holds/],
      ['many', /is not a count/],
      ['1 5f', /Lower one of the two/],
    ] as const) {
      await user.clear(screen.getByRole('textbox'));
      await user.type(screen.getByRole('textbox'), `${text}{Enter}`);
      expect(screen.getAllByText(says).length).toBeGreaterThan(0);
    }
    expect(counted()).toEqual([]);
  });

  it('goes through every tray to the end, and says so', async () => {
    const { user, counted, store } = open();
    for (let n = 0; n < 3; n++) await user.type(screen.getByRole('textbox'), '{Enter}');
    expect(counted()).toHaveLength(3);
    expect(screen.getByText('✓ Every kind is checked off.')).toBeTruthy();
    expect(store.getState().workbench.records.countLine.size).toBe(3);
  });
});
