'use client';

import { createContext, useContext, type ReactNode } from 'react';

const Aside = createContext<ReactNode>(null);

/** What every page's bar has at its end: the screens say what, the bar shows it. */
export const HeaderAsideProvider = Aside.Provider;

export const HeaderAside = () => useContext(Aside);
