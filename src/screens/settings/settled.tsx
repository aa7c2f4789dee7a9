'use client';

import { useLayoutEffect, type ReactNode } from 'react';
import { applySettings, type Settled } from '@/core/workbench';
import { allowLetterKeys } from '../commands/keys';
import { HeaderAsideProvider } from '@/ui/header-aside';
import './random-uuid';
import { SettingsContext } from '../common/settled-context';
import { BarEnd } from './bar-end';

/** Puts the workspace's settings to work before anything in it is written, in the page as on the server. */
export function SettledPage({ settled, children }: { settled: Settled; children: ReactNode }) {
  applySettings(settled);
  const { surround, letterKeys } = settled.settings;
  allowLetterKeys(letterKeys);
  useLayoutEffect(() => {
    document.documentElement.dataset.surround = surround;
  }, [surround]);
  return (
    <SettingsContext value={settled.settings}>
      <HeaderAsideProvider value={<BarEnd isDemo={settled.settings.isDemo} />}>
        {children}
      </HeaderAsideProvider>
    </SettingsContext>
  );
}
