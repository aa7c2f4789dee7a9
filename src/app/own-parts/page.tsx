import type { Metadata } from 'next';
import { OwnPartsScreen } from '@/screens/own-parts';
import { stockOpening } from '@/server/snapshot';
import { withWorkspace } from '../with-workspace';

export const metadata: Metadata = { title: 'Own parts' };

export default function OwnPartsPage() {
  return withWorkspace((handle) => <OwnPartsScreen opening={stockOpening(handle)} />);
}
