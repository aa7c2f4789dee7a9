import { describe, expect, it } from 'vitest';
import { SETTINGS_ID } from '@/core/records';
import { changeSettings } from '@/core/workbench';
import { formatMoney } from '@/core/shared/money';
import { asId, type ActionId } from '@/core/shared/ids';
import { readRecord } from '@/data/records';
import { perform, undoOrRedo } from './perform';
import { readSettled } from './settings';
import { startAddress } from './start-page';
import { NOW, testBuild } from './testing/workspace';

describe('settings of a workspace', () => {
  it('change what the server writes at once, and are undone by themselves', () => {
    const t = testBuild();
    const set = (id: string, to: Parameters<typeof changeSettings>[1]) => {
      const kept = readRecord(t.handle.db, 'settings', SETTINGS_ID);
      const action = { ...changeSettings(kept, to), id: asId<ActionId>(id), scope: SETTINGS_ID };
      expect(perform(t.handle, action, NOW).ok).toBe(true);
    };
    set('s1', { currency: 'EUR' });
    expect(formatMoney(120)).toBe('€1.20');
    set('s2', { decimal: 'comma' });
    expect(formatMoney(120).replace(/\s/g, ' ')).toBe('1,20 €');
    expect(undoOrRedo(t.handle, 'u1', SETTINGS_ID, 'undo', 's2').ok).toBe(true);
    expect(formatMoney(120)).toBe('€1.20');
    expect(undoOrRedo(t.handle, 'u2', SETTINGS_ID, 'undo', 's1').ok).toBe(true);
    expect([formatMoney(120), readSettled(t.handle.db).settings.currency]).toEqual(['£1.20', 'GBP']);
  });

  it('say where it begins: with the build that was worked on last, if there is one', () => {
    const t = testBuild();
    const set = (id: string, startPage: 'builds' | 'last build' | 'own parts') => {
      const kept = readRecord(t.handle.db, 'settings', SETTINGS_ID);
      perform(
        t.handle,
        { ...changeSettings(kept, { startPage }), id: asId<ActionId>(id), scope: SETTINGS_ID },
        NOW,
      );
      return startAddress(t.handle);
    };
    expect(startAddress(t.handle)).toBeNull();
    expect(set('a', 'own parts')).toBe('/own-parts');
    expect(set('b', 'last build')).toBe(`/builds/${t.build}`);
    expect(set('c', 'builds')).toBeNull();
  });
});
