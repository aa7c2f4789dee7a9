import { cleanup, render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { afterEach } from 'vitest';
import type { Result } from '@/core/shared/result';
import { perform, undoOrRedo, type Performed } from '@/server/perform';
import { NOW, testBuild } from '@/server/testing/workspace';
import { takeSnapshot } from '@/server/snapshot';
import { PaletteProvider } from '@/ui/palette-context';
import { BuildContext, makeBuildStore } from '../common/build-store';
import { Outbox, type Wish } from '../sending/outbox';

afterEach(cleanup);

/** A part of a screen on a build of its own, with the server behind it and no network between. */
export function onBuild(
  part: ReactNode,
  prepare: (t: ReturnType<typeof testBuild>) => void = () => {},
  open: typeof takeSnapshot = takeSnapshot,
) {
  const t = testBuild();
  prepare(t);
  const answer = (wish: Wish): Result<Performed, unknown> =>
    wish.kind === 'action'
      ? perform(t.handle, wish.action, NOW)
      : undoOrRedo(t.handle, wish.request, wish.scope, wish.direction, wish.action);
  const outbox = new Outbox({
    send: (wish) => Promise.resolve({ reached: true, answer: answer(wish) }),
    keep: () => Promise.resolve(),
    forget: () => Promise.resolve(),
    pause: () => Promise.resolve(),
  });
  const store = makeBuildStore(open(t.handle, t.build)!, outbox);
  const { palette } = store.getState().workbench;
  render(
    <PaletteProvider palette={palette}>
      <BuildContext value={store}>{part}</BuildContext>
    </PaletteProvider>,
  );
  return { t, store, user: userEvent.setup() };
}
