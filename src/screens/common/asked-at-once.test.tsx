import { renderToString } from 'react-dom/server';
import { expect, it, vi } from 'vitest';
import { takeSnapshot } from '@/server/snapshot';
import { testBuild } from '@/server/testing/workspace';
import { openingPaths } from '../sending/opening-paths';
import { withOpening } from './with-opening';

vi.mock(import('next/navigation'), async (original) => ({
  ...(await original()),
  usePathname: () => '/builds',
}));

const t = testBuild();
const Page = withOpening(() => <p>its books</p>, 'Tally');
const wanted = (html: string): string[] =>
  [...html.matchAll(/<link rel="preload"[^>]*>/g)]
    .filter(([link]) => link.includes('as="fetch"') && link.includes('crossorigin=""'))
    .map(([link]) => /href="([^"]*)"/.exec(link)![1]!.replaceAll('&amp;', '&'));

it('what the server draws of a long log names what its browser is to ask for at once', () =>
  expect(
    wanted(renderToString(<Page opening={{ later: t.build, name: 'Long', copies: [], comesTo: null }} />)),
  ).toEqual(Object.values(openingPaths(t.build))));

it('a page that comes with its books names nothing', () =>
  expect(wanted(renderToString(<Page opening={takeSnapshot(t.handle, t.build)!} />))).toEqual([]));
