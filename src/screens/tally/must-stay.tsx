import { Link } from '@/ui/link';
import type { Workbench } from '@/core/workbench';
import { MUST_STAY } from '@/core/inspection';
import { stayAnswerWords } from '../words/brief';

/** What must stay, asked for at the end: the answers are given in Brief. */
export function MustStay({ workbench }: { workbench: Workbench }) {
  const stay = [...workbench.records.finding.values()].filter(
    (f) => MUST_STAY.includes(f.kind) && !f.dropped,
  );
  if (stay.length === 0) return null;
  const open = stay.filter((f) => !f.answer).length;
  return (
    <section className="mb-6 break-inside-avoid">
      <h2 className="mb-1 text-[16px]">What must stay</h2>
      <ul>
        {stay.map((f) => (
          <li key={f.id}>
            <bdi>{f.note || 'What must stay'}</bdi>: {stayAnswerWords(f)}
          </li>
        ))}
      </ul>
      {open > 0 && (
        <Link href={`/builds/${workbench.build}/brief?part=stay`} className="no-print underline">
          Ask them through
        </Link>
      )}
    </section>
  );
}
