// @vitest-environment happy-dom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { OwnWorkspaceDialog } from './own-workspace-dialog';

const server = vi.hoisted(() => ({ answer: (_: object) => {} }));
vi.mock('../sending/answers', () => ({
  post: () => new Promise((done) => (server.answer = done)),
}));

const OWN = 'http://127.0.0.1:3999';
let assign: ReturnType<typeof vi.spyOn>;
beforeEach(() => {
  vi.useFakeTimers();
  assign = vi.spyOn(window.location, 'assign').mockImplementation(() => {});
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.restoreAllMocks();
});

function begin() {
  const { unmount } = render(<OwnWorkspaceDialog onClose={() => {}} />);
  fireEvent.click(screen.getByRole('button', { name: 'Start my own workspace' }));
  return unmount;
}
const answer = (said: object) => act(async () => server.answer({ reached: true, answer: said }));

it('goes there once it answers, and says meanwhile how long it has been waited for', async () => {
  begin();
  expect(screen.getByRole('status').textContent).toBe('Starting it: a few seconds…');
  act(() => void vi.advanceTimersByTime(40_000));
  expect(screen.getByRole('status').textContent).toContain('40 s so far');
  expect(assign).not.toHaveBeenCalled();
  await answer({ ok: true, value: { url: OWN } });
  expect(assign).toHaveBeenCalledWith(OWN);
});

it('takes nobody out of the demo who has closed it', async () => {
  const close = begin();
  close();
  await answer({ ok: true, value: { url: OWN } });
  expect(assign).not.toHaveBeenCalled();
});

it('says why it did not start, and can be asked again', async () => {
  begin();
  await answer({ ok: false, reason: { refused: 'own workspace', fault: 'did not start' } });
  expect(screen.getByRole('status').textContent).toContain('did not start');
  act(() => void vi.advanceTimersByTime(40_000));
  expect(screen.getByRole('status').textContent).toContain('did not start');
  expect(screen.getByRole('button', { name: 'Start my own workspace' })).toHaveProperty('disabled', false);
});
