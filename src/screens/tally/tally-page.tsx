'use client';

import { withOpening } from '../common/with-opening';
import { TallyScreen } from './tally-screen';

export const TallyPage = withOpening(TallyScreen, 'Tally');
