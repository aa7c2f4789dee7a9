'use client';

import { createContext } from 'react';
import type { Workbench } from '@/core/workbench';

/** The books of a build that were opened before its screen is drawn; null where the screen opens them itself. */
export const OpenedContext = createContext<Workbench | null>(null);
