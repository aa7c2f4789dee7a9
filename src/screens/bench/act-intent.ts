import type { Workbench } from '@/core/workbench';
import {
  BLANK_INTENT,
  modelAccount,
  openPlaceholders,
  type Books,
  type Intent,
  type LoggedKind,
  type Modification,
} from '@/core/ledger';
import type { ElementKey } from '@/core/parts';
import type { ZoneId } from '@/core/shared/ids';
import { readMoney } from '@/core/shared/money';

/** What can be said about a change besides the parts. Empty text = not said. */
export interface Options {
  readonly qty: number;
  readonly onQty: number;
  readonly zone: ZoneId | '';
  readonly toZone: ZoneId | '';
  readonly source: Intent['source'] | '';
  readonly boxes: Intent['boxes'];
  readonly destination: Intent['destination'] | '';
  readonly why: Intent['why'] | '';
  readonly price: string;
  readonly note: string;
  readonly planned: boolean;
  readonly hidden: boolean;
}
export const NO_OPTIONS: Options = {
  qty: 1,
  onQty: 1,
  zone: '',
  toZone: '',
  source: '',
  boxes: [],
  destination: '',
  why: '',
  price: '',
  note: '',
  planned: false,
  hidden: false,
};

/** What pointing has said so far, as an intent; null while something is still to be chosen. */
export function makeIntent(
  kind: LoggedKind,
  part: ElementKey | null,
  target: ElementKey | null,
  o: Options,
  books: Books,
): Intent | null {
  if (!part) return null;
  const leaves = !['add', 'replace-missing', 'placeholder'].includes(kind);
  const joins = !['remove', 'move', 'missing'].includes(kind);
  const awaited =
    kind === 'replacement'
      ? openPlaceholders(books.entries).find((s) => s.element === part)?.standsFor
      : undefined;
  const onElement = kind === 'recolour' || kind === 'swap' ? target : kind === 'replacement' ? awaited : part;
  if (joins && !onElement) return null;
  if (kind === 'placeholder' && !target) return null;
  if (kind === 'move' && !o.toZone) return null;
  const price = o.price ? readMoney(o.price) : undefined;
  return {
    ...BLANK_INTENT,
    kind,
    off: leaves ? [{ element: part, qty: o.qty }] : [],
    on: joins && onElement ? [{ element: onElement, qty: kind === 'swap' ? o.onQty : o.qty }] : [],
    zone: o.zone || null,
    toZone: kind === 'move' ? o.toZone || null : null,
    source: joins ? o.source || null : null,
    boxes: joins && o.source === 'donor' ? o.boxes : [],
    destination: leaves && !['move', 'missing'].includes(kind) ? o.destination || null : null,
    price: joins ? (price ?? null) : null,
    why: o.why || null,
    note: o.note.trim(),
    planned: o.planned,
    hidden: o.hidden,
    standsFor: kind === 'placeholder' ? target : (awaited ?? null),
  };
}

/** The modification's own zone when it has the part, else the zone that has most of it. */
export function likelyZone(
  workbench: Workbench,
  modification: Modification | undefined,
  element: ElementKey | null,
): ZoneId | '' {
  if (!element || !modification) return '';
  const has = (zone: ZoneId) => workbench.built.balances.at(modelAccount(zone), element);
  const near = [...workbench.built.nested(modification.zone), workbench.rootZone.id];
  if (near.some((z) => has(z) > 0)) return '';
  const [most] = workbench.zones.filter((z) => has(z.id) > 0).sort((a, b) => has(b.id) - has(a.id));
  return most?.id ?? '';
}
