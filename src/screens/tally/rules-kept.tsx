import { rulesNow } from '@/core/brief';
import type { Workbench } from '@/core/workbench';
import { ruleWords, rulesInShort } from '../words/brief';

/** House rules at the end: which were kept, which not, and why. */
export function RulesKept({ workbench }: { workbench: Workbench }) {
  const rules = rulesNow(workbench);
  if (rules.length === 0) return null;
  return (
    <section aria-label="House rules" className="mb-6 break-inside-avoid">
      <h2 className="mb-1 text-[16px]">House rules: {rulesInShort(rules)}</h2>
      <ul>
        {rules.map((r) => (
          <li key={r.rule.id}>
            <b>{r.rule.name}</b>: {ruleWords(r)}
          </li>
        ))}
      </ul>
    </section>
  );
}
