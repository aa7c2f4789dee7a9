'use client';

import { withOpening } from '../common/with-opening';
import { InspectScreen } from './inspect-screen';

export const InspectPage = withOpening(InspectScreen, 'Inspect');
