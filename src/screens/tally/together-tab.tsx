'use client';

import { StoreysPanel } from './storeys-panel';
import { StreetPanel } from './street-panel';

/** Several builds together: a street that they stand in, and storeys that go from one to another. */
export const TogetherTab = () => (
  <div className="mx-auto max-w-5xl">
    <StreetPanel />
    <StoreysPanel />
  </div>
);
