'use client';

import { withOpening } from '../common/with-opening';
import { FitScreen } from './fit-screen';

export const FitPage = withOpening(FitScreen, 'Fit');
