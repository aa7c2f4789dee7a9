'use client';

import { withOpening } from '../common/with-opening';
import { BriefScreen } from './brief-screen';

export const BriefPage = withOpening(BriefScreen, 'Brief');
