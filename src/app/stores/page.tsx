import type { Metadata } from 'next';
import { StoresScreen } from '@/screens/stores';
import { takeStores } from '@/server/snapshot';
import { withWorkspace } from '../with-workspace';

export const metadata: Metadata = { title: 'Stores' };

export default function StoresPage() {
  return withWorkspace((handle) => <StoresScreen stores={takeStores(handle)} />);
}
