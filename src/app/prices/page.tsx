import type { Metadata } from 'next';
import { PricesScreen } from '@/screens/stores';
import { takeStores } from '@/server/snapshot';
import { workspace } from '@/server/workspace';

export const metadata: Metadata = { title: 'Prices' };

export default function PricesPage() {
  return <PricesScreen stores={takeStores(workspace())} />;
}
