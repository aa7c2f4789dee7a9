import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { asId, type BuildId } from '@/core/shared/ids';
import type { Handle } from '@/data/database';
import type { Opening } from '@/screens/common/with-opening';
import { pageOpening } from '@/server/snapshot';
import { withWorkspace } from '../../with-workspace';

interface Opened {
  readonly opening: Opening;
}

interface Props {
  readonly params: Promise<{ build: string }>;
}

const openingOf = (handle: Handle, build: BuildId): Opened | undefined => {
  const opening = pageOpening(handle, build);
  return opening && { opening };
};

/** A page of a build. Where the log is long it comes without the books, and asks for them before its program is there. */
export const pageOfBuild = (show: (opened: Opened, build: BuildId) => ReactNode) =>
  pageOpenedBy(openingOf, show);

/** The same for a page that opens with more. */
export const pageOpenedBy = <O extends Opened>(
  open: (handle: Handle, build: BuildId) => O | undefined,
  show: (opened: O, build: BuildId) => ReactNode,
) =>
  async function BuildPage({ params }: Props) {
    const build = asId<BuildId>((await params).build);
    return withWorkspace((handle) => {
      const opened = open(handle, build);
      if (!opened) notFound();
      return show(opened, build);
    });
  };
