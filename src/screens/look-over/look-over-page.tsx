'use client';

import { withOpening } from '../common/with-opening';
import { LookOverScreen } from './look-over-screen';

export const LookOverPage = withOpening(LookOverScreen);
