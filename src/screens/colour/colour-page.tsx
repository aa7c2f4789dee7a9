'use client';

import { withOpening } from '../common/with-opening';
import { ColourScreen } from './colour-screen';

export const ColourPage = withOpening(ColourScreen);
