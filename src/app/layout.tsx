import type { Metadata, Viewport } from 'next';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import { CommandCentre } from '@/screens/commands';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Evarn', template: '%s · Evarn' },
  description: 'The workbench record of someone who reworks official brick sets.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#f4f4f4' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Pages are rendered at each request, so that their scripts carry the nonce of the policy.
  await connection();
  return (
    <html lang="en">
      <body>
        <NuqsAdapter>
          {children}
          <CommandCentre />
        </NuqsAdapter>
      </body>
    </html>
  );
}
