import type { Metadata } from 'next';
import { StoresScreen } from '@/screens/stores';
import { takeStores } from '@/server/snapshot';
import { workspace } from '@/server/workspace';

export const metadata: Metadata = { title: 'Stores' };

export default function StoresPage() {
  return <StoresScreen stores={takeStores(workspace())} />;
}
