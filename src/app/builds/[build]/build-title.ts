import type { Metadata } from 'next';
import { readRecord } from '@/data/records';
import { workspace, workspaceTrouble } from '@/server/workspace';

interface Props {
  readonly params: Promise<{ build: string }>;
}

/** The title of one of a build's pages: its name and the page's, so that tabs and history tell builds apart. */
export const buildTitle =
  (page: string) =>
  async ({ params }: Props): Promise<Metadata> => {
    const { build } = await params;
    const name = workspaceTrouble() === null ? readRecord(workspace().db, 'build', build)?.name : undefined;
    return { title: name ? `${page}, ${name}` : page };
  };
