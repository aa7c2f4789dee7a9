'use client';

import { useLayoutEffect, useRef, useState } from 'react';

/** How wide the place of a drawing is, pixels: followed as it changes. */
export function useRoom() {
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(640);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const watch = new ResizeObserver(() => setRoom(element.clientWidth));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { box, room };
}
