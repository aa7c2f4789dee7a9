'use client';

import { Link } from '@/ui/link';
import { useMemo } from 'react';
import { rulesNow, touchedBy, wouldBreak } from '@/core/brief';
import type { Entry, Tally } from '@/core/ledger';
import { rulesInShort, rulesShortest } from '../words/brief';
import { list } from '../words/places';
import { useBuild } from './build-store';

interface RuleWatchProps {
  readonly trying?: Tally | null | undefined;
  /** The entries that are tried. */
  readonly entries?: readonly Entry[];
  /** Where there is little room: how many hold alone. */
  readonly short?: boolean;
}

/** The house rules in a line, where any is on; and which of them what is being typed would break. */
export function RuleWatch({ trying, entries, short }: RuleWatchProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const rules = useMemo(() => {
    void version;
    return rulesNow(workbench);
  }, [workbench, version]);
  const touched = entries && trying ? touchedBy(workbench, entries) : [];
  if (rules.length === 0 && touched.length === 0) return null;
  const broken = trying ? wouldBreak(workbench, trying, entries, rules) : [];
  return (
    <span aria-live="polite" className="text-soft text-[12px]">
      {rules.length > 0 && (
        <Link href={`/builds/${workbench.build}/brief?part=rules`} className="underline">
          {short ? rulesShortest(rules) : rulesInShort(rules)}
        </Link>
      )}
      {broken.length > 0 && (
        <b className="text-ink"> ▲ would break: {list(broken.map((r) => r.name.toLowerCase()))}</b>
      )}
      {touched.length > 0 && (
        <b className="text-ink">
          {' '}
          ▲ touches what must stay: {list(touched.map((f) => f.note || 'a part of it'))}
        </b>
      )}
    </span>
  );
}
