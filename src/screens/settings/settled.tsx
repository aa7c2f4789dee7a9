'use client';

import { createContext, useContext, useLayoutEffect, type ReactNode } from 'react';
import { applySettings, DEFAULT_SETTINGS, type Settled } from '@/core/workbench';
import type { Settings } from '@/core/records';
import { allowLetterKeys } from '../commands/keys';
import { HeaderAsideProvider } from '@/ui/header-aside';
import './random-uuid';
import { BarEnd } from './bar-end';

const Kept = createContext<Settings>(DEFAULT_SETTINGS);

/** How the workspace shows what it knows. */
export const useSettings = (): Settings => useContext(Kept);

/** Puts the workspace's settings to work before anything in it is written, in the page as on the server. */
export function SettledPage({ settled, children }: { settled: Settled; children: ReactNode }) {
  applySettings(settled);
  const { surround, letterKeys } = settled.settings;
  allowLetterKeys(letterKeys);
  useLayoutEffect(() => {
    document.documentElement.dataset.surround = surround;
  }, [surround]);
  return (
    <Kept.Provider value={settled.settings}>
      <HeaderAsideProvider value={<BarEnd isDemo={settled.settings.isDemo} />}>
        {children}
      </HeaderAsideProvider>
    </Kept.Provider>
  );
}
