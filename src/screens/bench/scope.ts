import type { Scope } from '@/core/ledger';
import type { ZoneId } from '@/core/shared/ids';

/** What the figures at the top are of: the zone that is looked at, or the build. */
export const scopeOf = (zone: ZoneId | null): Scope => (zone ? { of: 'zone', zone } : { of: 'build' });
