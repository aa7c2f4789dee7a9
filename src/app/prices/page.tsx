import type { Metadata } from 'next';
import { PricesScreen } from '@/screens/prices';
import { stockOpening } from '@/server/snapshot';
import { withWorkspace } from '../with-workspace';

export const metadata: Metadata = { title: 'Prices' };

export default function PricesPage() {
  return withWorkspace((handle) => <PricesScreen opening={stockOpening(handle)} />);
}
