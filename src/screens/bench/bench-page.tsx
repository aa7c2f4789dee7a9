'use client';

import { withOpening } from '../common/with-opening';
import { BenchScreen } from './bench-screen';

export const BenchPage = withOpening(BenchScreen, 'Bench');
