'use client';

import { useEffect } from 'react';
import { doEarly } from './do-early';
import { KEEP_EARLY } from './keep-early';

/**
 * Keeps what is done to a page that does not hear yet, and does it as soon as it hears. It goes before all that can be
 * pressed. Part of the program, so that its text is in the page once.
 */
export function Awake({ nonce }: { readonly nonce?: string | undefined }) {
  useEffect(() => void doEarly(), []);
  return <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: KEEP_EARLY }} />;
}
