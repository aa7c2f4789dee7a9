'use client';

import { useEffect, useMemo, useState } from 'react';
import { awaited, type ParcelNews, type ParcelQuestion } from '@/core/orders';
import type { Workbench } from '@/core/workbench';
import { useBuild } from '../common/build-store';
import { post } from '../sending/answers';

const AGAIN_MS = 2000;

/** What the post says of a build's open orders, by order; null until it has answered. Of a seller of one's own it says nothing. */
export function useParcelNews(): ReadonlyMap<string, ParcelNews> | null {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const [news, setNews] = useState<ReadonlyMap<string, ParcelNews> | null>(null);
  const question = useMemo(() => {
    void version;
    return JSON.stringify({ orders: questionsOf(workbench) });
  }, [workbench, version]);
  useEffect(() => {
    let there = true;
    let timer: number | undefined;
    const ask = async () => {
      const said = await post<readonly ParcelNews[]>('/api/market/parcels', JSON.parse(question));
      if (!there) return;
      if (said.reached && said.answer.ok) setNews(new Map(said.answer.value.map((n) => [n.order, n])));
      else timer = window.setTimeout(() => void ask(), AGAIN_MS);
    };
    void ask();
    return () => {
      there = false;
      window.clearTimeout(timer);
    };
  }, [question]);
  return news;
}

const questionsOf = (workbench: Workbench): ParcelQuestion[] =>
  [...workbench.records.order.values()].flatMap((order) => {
    const lots = awaited(workbench, order).map(({ element, qty }) => ({ element, qty }));
    const { id, seller, placedAt, due } = order;
    // Of a seller of one's own nothing is made up, whatever he is called.
    return lots.length > 0 && order.simulated ? [{ id, seller, placedAt, due, lots }] : [];
  });
