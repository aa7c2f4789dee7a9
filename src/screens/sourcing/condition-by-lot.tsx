import { elementName } from '@/core/parts';
import { lotId } from '@/core/market';
import { Button } from '@/ui/button';
import { Select } from '@/ui/field';
import { count } from '@/ui/numbers';
import type { Beside } from './mixed-lots';
import type { SourcingTools, WantedParts } from './use-sourcing';

interface ConditionByLotProps {
  readonly sourcing: SourcingTools;
  readonly need: WantedParts;
  readonly beside?: Beside | undefined;
}

/** New or used, lot by lot, where a lot is to be other than the rest. */
export function ConditionByLot({ sourcing, need, beside }: ConditionByLotProps) {
  const { preferences: p, setPreferences } = sourcing;
  if (need.lots.length === 0) return null;
  const set = (id: string, to: string) => {
    const condition = new Map(p.condition);
    if (to === 'new' || to === 'used') condition.set(id, to);
    else condition.delete(id);
    setPreferences({ ...p, condition });
  };
  return (
    <details>
      <summary className="text-soft min-h-7 text-[12px]">
        New or used, kind by kind{p.condition.size > 0 ? `, ${count(p.condition.size)} chosen` : ''}
      </summary>
      {beside && (
        <Button
          className="my-1"
          onClick={() => {
            const condition = new Map(p.condition);
            for (const l of need.lots) {
              const fits = beside(l);
              if (fits) condition.set(lotId(l), fits);
            }
            setPreferences({ ...p, condition });
          }}
        >
          As those beside them, where they are seen
        </Button>
      )}
      <ul>
        {need.lots.map((l) => (
          <li key={lotId(l)} className="flex min-h-8 items-center gap-2">
            <span className="min-w-0 flex-1 leading-tight">
              {count(l.qty)} {elementName(l.element)}
            </span>
            <Select
              aria-label={`Condition of ${elementName(l.element)}${l.hidden ? ', hidden' : ''}`}
              value={p.condition.get(lotId(l)) ?? ''}
              onChange={(e) => set(lotId(l), e.target.value)}
            >
              <option value="">as all</option>
              <option value="new">new</option>
              <option value="used">used</option>
            </Select>
          </li>
        ))}
      </ul>
    </details>
  );
}
