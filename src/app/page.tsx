import { redirect } from 'next/navigation';
import { startAddress } from '@/server/start-page';
import BuildsPage from './builds/page';
import { workspaceTrouble } from '@/server/workspace';

/** The page that Evarn opens with: the list of builds, unless the settings say another. */
export default function StartPage() {
  const address = workspaceTrouble() === null ? startAddress() : null;
  if (address) redirect(address);
  return BuildsPage();
}
