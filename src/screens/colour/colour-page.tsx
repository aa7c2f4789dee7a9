'use client';

import type { RegisterRows } from '@/core/mismatch';
import { withOpening } from '../common/with-opening';
import { ColourScreen } from './colour-screen';

export const ColourPage = withOpening<{ readonly register: RegisterRows }>(ColourScreen, 'Colour');
