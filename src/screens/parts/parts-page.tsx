'use client';

import { withOpening } from '../common/with-opening';
import { PartsScreen } from './parts-screen';

export const PartsPage = withOpening(PartsScreen, 'Parts');
