import { Select } from '@/ui/field';
import type { SourcingTools } from './use-sourcing';
import { MoneyBox } from '../common/money-box';

/** Sellers of the plan and those that were chosen before: preferred, or never. */
export function PreferredSellers({ sourcing }: { sourcing: SourcingTools }) {
  const { preferences: p, setPreferences, market, plan } = sourcing;
  const used = new Set(plan?.buys.map((b) => b.seller));
  const listed =
    market?.sellers.filter((s) => used.has(s.id) || p.never.has(s.id) || p.prefer.has(s.id)) ?? [];
  if (listed.length === 0) return null;
  const set = (id: string, to: string) => {
    const [never, prefer] = [new Set(p.never), new Set(p.prefer)];
    never.delete(id);
    prefer.delete(id);
    if (to === 'never') never.add(id);
    if (to === 'prefer') prefer.add(id);
    setPreferences({ ...p, never, prefer });
  };
  return (
    <fieldset className="min-w-0">
      <legend className="text-soft text-[12px]">Sellers, simulated but for your price lists</legend>
      {listed.map((s) => (
        <label key={s.id} className="flex min-h-8 items-center gap-2">
          <span className="min-w-0 flex-1 truncate">
            <bdi>{s.name}</bdi>, {s.place}
            {!s.genuine && ' (not all genuine)'}
          </span>
          <Select
            aria-label={s.name}
            value={p.never.has(s.id) ? 'never' : p.prefer.has(s.id) ? 'prefer' : ''}
            onChange={(e) => set(s.id, e.target.value)}
          >
            <option value="">as any</option>
            <option value="prefer">prefer</option>
            <option value="never">never</option>
          </Select>
        </label>
      ))}
      {p.prefer.size > 0 && (
        <MoneyBox
          label="A preferred parcel may cost more by"
          value={p.favour}
          onChange={(favour) => setPreferences({ ...p, favour: favour ?? 0 })}
        />
      )}
    </fieldset>
  );
}
