import type { Metadata } from 'next';
import { SETTINGS_ID } from '@/core/records';
import { currentRevision, undoTargets } from '@/data/actions';
import { dataFolder } from '@/data/database';
import { readRecord } from '@/data/records';
import { SettingsScreen } from '@/screens/settings';
import { isEmptyWorkspace } from '@/server/copy-demo';
import { readSettled } from '@/server/settings';
import { withWorkspace } from '../with-workspace';

export const metadata: Metadata = { title: 'Settings' };

export default function SettingsPage() {
  return withWorkspace(({ db }) => (
    <SettingsScreen
      settled={readSettled(db)}
      kept={readRecord(db, 'settings', SETTINGS_ID) ?? null}
      revision={currentRevision(db)}
      undoRedo={undoTargets(db, SETTINGS_ID)}
      folder={dataFolder()}
      isEmpty={isEmptyWorkspace(db)}
    />
  ));
}
