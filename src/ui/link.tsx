'use client';

import NextLink from 'next/link';
import { useState, type ComponentProps } from 'react';

/**
 * A link to another page of Evarn. What that page needs is fetched when a pointer, a finger or the keyboard comes to the
 * link: a bar full of links would otherwise fetch seven screens before the one that a person waits for.
 */
export function Link(props: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) {
  const [isMeant, setMeant] = useState(false);
  const mean = () => setMeant(true);
  return (
    <NextLink
      onMouseEnter={mean}
      onTouchStart={mean}
      onFocus={mean}
      {...props}
      prefetch={isMeant ? null : false}
    />
  );
}
