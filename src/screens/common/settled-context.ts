'use client';

import { createContext } from 'react';
import type { Settings } from '@/core/records';

/** The workspace's settings that a page shows itself with; a page that is open is told here when they change. */
export const SettingsContext = createContext<Settings | null>(null);
