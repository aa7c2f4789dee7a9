'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Order } from '@/core/ledger';
import { awaited, type ParcelNews, type ParcelQuestion } from '@/core/orders';
import { useBuild } from '../common/build-store';
import { post } from '../sending/answers';

/** What the post says of a build's open orders, by order. Of a seller of one's own it says nothing. */
export function useParcelNews(open: readonly Order[]): ReadonlyMap<string, ParcelNews> {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [news, setNews] = useState<ReadonlyMap<string, ParcelNews>>(new Map());
  const asked = useMemo(() => {
    void version;
    const questions = open.map(({ id, seller, placedAt, due }): ParcelQuestion => {
      const lots = awaited(workbench, { id } as Order).map(({ element, qty }) => ({ element, qty }));
      return { id, seller, placedAt, due, lots };
    });
    return JSON.stringify({ orders: questions });
    // The list of orders is made anew at each drawing; what is in it changes with the version.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [workbench, version]);
  useEffect(() => {
    let there = true;
    void post<readonly ParcelNews[]>('/api/market/parcels', JSON.parse(asked)).then((said) => {
      if (there && said.reached && said.answer.ok)
        setNews(new Map(said.answer.value.map((n) => [n.order, n])));
    });
    return () => void (there = false);
  }, [asked]);
  return news;
}
