import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { preload } from 'react-dom';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { CommandCentre, SkipLink } from '@/screens/commands';
import { KeepOffline } from '@/screens/sending/keep-offline';
import { SettledPage } from '@/screens/settings';
import { firstFonts } from '@/server/built-files';
import { readSettled } from '@/server/settings';
import { workspace, workspaceTrouble } from '@/server/workspace';
import { Awake } from '@/ui/early/awake';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Evarn', template: '%s · Evarn' },
  description: 'The workbench record of someone who reworks official brick sets.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#f4f4f4' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Pages are rendered at each request, so that their scripts carry the nonce of the policy.
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  for (const font of await firstFonts())
    preload(font, { as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' });
  const settled = settledNow();
  const inside = (
    <>
      <SkipLink />
      {children}
      <CommandCentre />
      <KeepOffline />
    </>
  );
  return (
    <html lang="en" data-surround={settled?.settings.surround ?? 'as the system'}>
      <body>
        <Awake nonce={nonce} />
        <NuqsAdapter>{settled ? <SettledPage settled={settled}>{inside}</SettledPage> : inside}</NuqsAdapter>
      </body>
    </html>
  );
}

/** The workspace's settings; null where it cannot be opened, which the page itself says. */
const settledNow = () => (workspaceTrouble() === null ? readSettled(workspace().db) : null);
