'use client';

import { useEffect, useState } from 'react';
import type { RecordSet } from '@/core/ledger';
import type { SellerRecord } from '@/core/orders';
import { count, pieces } from '@/ui/numbers';
import { ask } from '../sending/answers';

/** How the sellers' parcels have come so far, over all builds; asked anew when an order or a claim of this one changed. */
export function useSellers(records: Pick<RecordSet, 'order' | 'parcelClaim'>): readonly SellerRecord[] {
  const [sellers, setSellers] = useState<readonly SellerRecord[]>([]);
  const { order, parcelClaim } = records;
  useEffect(() => {
    let gone = false;
    void ask<readonly SellerRecord[]>('/api/orders/sellers').then((told) => {
      if (!gone && told) setSellers(told);
    });
    return () => {
      gone = true;
    };
  }, [order, parcelClaim]);
  return sellers;
}

/** "3 of 4 parcels with a day came by it, the latest 6 days after; 2 of 120 pieces short, 1 wrong" */
export function sellerWords(r: SellerRecord): string {
  const times =
    r.withDay === 0
      ? `${count(r.orders)} ${r.orders === 1 ? 'order' : 'orders'} so far, none with a day has come`
      : `${count(r.withDay - r.late)} of ${count(r.withDay)} ${r.withDay === 1 ? 'parcel' : 'parcels'} came by ${r.withDay === 1 ? 'its' : 'their'} day${r.late > 0 ? `, the latest ${count(r.worstDays)} ${r.worstDays === 1 ? 'day' : 'days'} after` : ''}`;
  const faults = [
    r.short > 0 ? `${count(r.short)} short` : '',
    r.wrong > 0 ? `${count(r.wrong)} wrong` : '',
    r.damaged > 0 ? `${count(r.damaged)} damaged` : '',
  ].filter(Boolean);
  return `${times}; ${faults.length > 0 ? `of ${pieces(r.pieces)} ${faults.join(', ')}` : 'nothing short or wrong'}`;
}
