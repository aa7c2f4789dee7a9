'use client';

import { useEffect } from 'react';
import { doEarly } from './do-early';

/** Does what was done too early, as soon as the page hears. */
export function Awake() {
  useEffect(() => void doEarly(), []);
  return null;
}
