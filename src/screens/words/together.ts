import type { MoveStoreyFault, StackFault } from '@/core/together';
import { refusalWords } from './refusal';

/** What is against the order of a stack of storeys. */
export function stackFaultWords(f: StackFault): string {
  if (f.fault === 'not on top') return `▲ must be on top, and ${f.over.name} is over it`;
  if (f.fault === 'not at the bottom') return `▲ must be at the bottom, and ${f.under.name} is under it`;
  return '▲ may be there only once';
}

const MOVE_FAULTS: Readonly<Record<MoveStoreyFault['fault'] | 'no such build', string>> = {
  'same build': 'It is in that build already.',
  'no such zone': 'That zone is no longer there.',
  'nothing there': 'Nothing stands in that zone yet: only what is built can go.',
  'no such build': 'That build is no longer there.',
};

/** Why a storey could not go to another build; nothing was moved. */
export function moveFaultWords(reason: unknown): string {
  const { fault } = (reason ?? {}) as { readonly fault?: keyof typeof MOVE_FAULTS };
  return (fault && MOVE_FAULTS[fault]) ?? refusalWords(reason);
}
