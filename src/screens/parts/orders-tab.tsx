'use client';

import { formatDay } from '@/core/shared/forms';
import { useState } from 'react';
import { conditionOf, type Order } from '@/core/ledger';
import { elementName } from '@/core/parts';
import { daysBetween, outlookOf, type Outlook } from '@/core/market';
import { awaited, boxOf, recordOf, type ParcelNews, type SellerRecord } from '@/core/orders';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { boxPrice, count, money, pieces, kinds } from '@/ui/numbers';
import { daysAhead, moveClock } from '@/simulated/clock';
import { useBuild } from '../common/build-store';
import { CountForm } from './count-form';
import { ClaimsPanel } from './claims-panel';
import { LateOffers, RefundForm } from './late-offers';
import { sellerWords, useSellers } from '../common/use-sellers';
import { useParcelNews } from './use-parcel-news';
import { useToday } from '../common/use-today';
import { ListLinks } from '../lists/list-links';

/** What is on its way, what is late, and counting in what has come. */
export function OrdersTab() {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const today = useToday();
  const orders = [...workbench.records.order.values()].sort((a, b) => (a.due < b.due ? -1 : 1));
  const open = orders.filter((o) => awaited(workbench, o).length > 0);
  const post = useParcelNews();
  const sellers = useSellers(workbench.records);
  const news = post ?? new Map<string, ParcelNews>();
  // Where nothing is simulated there is no clock to move.
  const simulated = news.size > 0 || daysAhead(workbench.records) > 0;
  const isThere = (o: Order) => (news.get(o.id)?.comes ?? '9') <= today;
  const arrived = open.filter(isThere);
  const late = open.filter((o) => !isThere(o) && o.due !== '' && o.due < today);
  const outlook = (o: Order): Outlook | null => {
    const told = news.get(o.id);
    return told && o.due !== '' && !isThere(o) ? outlookOf(o, told.post, today) : null;
  };
  const risky = open.filter((o) => o.due >= today && outlook(o)?.risky);
  const moveOn = (days: number) => perform(moveClock(workbench.records, days));
  return (
    <section aria-label="Orders" tabIndex={0} className="h-full overflow-auto p-4">
      <div className="mb-3 flex flex-wrap items-start gap-3">
        <div className="min-w-72 flex-1">
          <h1 className="text-[21px] leading-tight">
            {orders.length === 0
              ? 'Nothing is on order.'
              : `${count(open.length)} of ${count(orders.length)} ${orders.length === 1 ? 'order' : 'orders'} ${open.length === 1 ? 'is' : 'are'} open; ${count(arrived.length)} here to receive${late.length > 0 ? `, ${count(late.length)} late` : ''}${risky.length > 0 ? `, ${count(risky.length)} likely to be late` : ''}.`}
          </h1>
          <p className="text-soft">
            Today is {today}.{' '}
            {simulated &&
              'Parcels of the simulated sellers come by a clock that can be moved on: on time, late, short or with something wrong. '}
            What you ordered elsewhere is received when it has come, whole or in part.
          </p>
        </div>
        <span className="no-print flex gap-2">
          {simulated &&
            [1, 7].map((d) => (
              <Button key={d} onClick={() => moveOn(d)}>
                {d === 1 ? 'A day on' : 'A week on'}
              </Button>
            ))}
          <ListLinks of={`/builds/${workbench.build}`} list="orders" />
        </span>
      </div>
      <ul className="flex flex-col gap-3">
        {orders.map((o) => (
          <OrderCard
            key={o.id}
            order={o}
            record={o.simulated ? undefined : recordOf(sellers, o.seller)}
            today={today}
            outlook={outlook(o)}
            news={news.get(o.id)}
            isTold={post !== null}
          />
        ))}
      </ul>
      <ClaimsPanel today={today} />
    </section>
  );
}

/** "four in five sure by 12 December", or what speaks against its day. */
function outlookWords(o: Outlook): string {
  const chance = `${Math.round(o.byDue * 100)} % chance of arriving on time`;
  if (o.sureBy) return `${o.risky ? '▲ ' : ''}${chance}; four in five by ${o.sureBy}`;
  return `▲ ${chance}; this seller’s parcels are late too often to be sure of any day`;
}

/** "£2.00 postage, £0.40 fees, £1.20 refunded" */
const aroundWords = (o: Order): string =>
  [
    `${money(o.postage)} postage`,
    o.fees > 0 ? `${money(o.fees)} fees` : '',
    o.refund > 0 ? `${money(o.refund)} refunded` : '',
  ]
    .filter(Boolean)
    .join(', ');

/** "3 days late: was due 2026-11-24" */
const lateWords = (days: number, due: string): string =>
  `${count(days)} ${days === 1 ? 'day' : 'days'} late: was due ${formatDay(due)}`;

function OrderCard({
  order,
  today,
  outlook,
  record,
  news,
  isTold,
}: {
  order: Order;
  /** How this seller's parcels have come so far; undefined of a simulated one, and where nothing was ordered before. */
  record: SellerRecord | undefined;
  today: string;
  outlook: Outlook | null;
  /** What the simulated post says; undefined of a seller of one's own, whose parcels come when they come. */
  news: ParcelNews | undefined;
  /** False until the post has answered: nothing is received before. */
  isTold: boolean;
}) {
  const workbench = useBuild((s) => s.workbench);
  const lots = awaited(workbench, order);
  const box = boxOf(workbench, order);
  const there = news !== undefined && news.comes <= today;
  const canCount = isTold && (there || news === undefined);
  const [counting, setCounting] = useState(false);
  const [refunding, setRefunding] = useState(false);
  const late = lots.length > 0 && !there && order.due !== '' && order.due < today;
  const state =
    lots.length === 0
      ? 'received'
      : there
        ? `here: ${box ? 'open it' : 'count it in'}`
        : order.due !== '' && order.due < today
          ? lateWords(daysBetween(order.due, today), order.due)
          : order.due
            ? `due ${formatDay(order.due)}`
            : 'no day is known';
  return (
    <li className="border-rule rounded-md border p-3">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="min-w-56 flex-1">
          <bdi>{order.seller}</bdi>
          {box && (
            <>
              : <bdi>{box.setName}</bdi>, {box.condition}, {boxPrice(box.price)}
            </>
          )}{' '}
          <span className="text-soft font-sans font-normal">
            {pieces(lots.reduce((s, l) => s + l.qty, 0))} awaited
            {!box && `, ${aroundWords(order)}`} · {state}
            {order.chasedAt && lots.length > 0 && ` · asked on ${formatDay(order.chasedAt)}`}
            {news && ' · simulated'}
          </span>
        </h2>
        {!news && lots.length > 0 && record && record.closed > 0 && (
          <span className="text-soft text-[12px]">{sellerWords(record)}</span>
        )}
        {outlook && lots.length > 0 && <span className="text-soft text-[12px]">{outlookWords(outlook)}</span>}
        {lots.length > 0 && !counting && (
          <Button look={there ? 'main' : 'plain'} disabled={!canCount} onClick={() => setCounting(true)}>
            {box ? 'Open the box' : news ? 'Receive it' : 'It came today'}
          </Button>
        )}
        {!box && !refunding && (
          <Button look="bare" onClick={() => setRefunding(true)}>
            Refund…
          </Button>
        )}
      </div>
      {refunding && <RefundForm order={order} onDone={() => setRefunding(false)} />}
      {late && !counting && <LateOffers order={order} today={today} />}
      {counting ? (
        <CountForm order={order} lots={lots} news={news} onDone={() => setCounting(false)} />
      ) : (
        <AwaitedLots lots={lots} />
      )}
    </li>
  );
}

/** Lots of an order that are listed; what is more is told in a line, and stands in its list. */
const MOST_LOTS = 40;

/** What an order still brings: each kind with its pieces, condition and price. */
function AwaitedLots({ lots }: { lots: ReturnType<typeof awaited> }) {
  return (
    <ul className="mt-2 grid gap-x-8 sm:grid-cols-2 xl:grid-cols-3">
      {lots.slice(0, MOST_LOTS).map((l) => (
        <li
          key={`${l.element}${l.grade}`}
          className="border-rule flex min-h-9 items-center gap-2 border-b last:border-b-0"
        >
          <Glyph element={l.element} size={28} label="" />
          <b className="w-10 text-right">{count(l.qty)}</b>
          <span className="min-w-0 flex-1">
            <bdi>{elementName(l.element)}</bdi> <span className="text-soft">{conditionOf(l.grade)}</span>
          </span>
        </li>
      ))}
      {lots.length > MOST_LOTS && <li className="text-faint">and {kinds(lots.length - MOST_LOTS)} more</li>}
    </ul>
  );
}
