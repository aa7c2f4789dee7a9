import { CAUTIONS } from '../words/stickers';

/** The usual cautions of a step, folded to one line until they are opened, and whole on paper. */
const allOf = (of: readonly (keyof typeof CAUTIONS)[]) => [...of, 'label' as const];

export const Caution = ({ of }: { of: readonly (keyof typeof CAUTIONS)[] }) => (
  <div className="my-2">
    <details className="border-rule no-print rounded-md border px-3 py-1.5">
      <summary className="cursor-pointer">Cautions: {of.join(', ')}</summary>
      <ul className="mt-1 list-disc pl-5">
        {allOf(of).map((c) => (
          <li key={c}>{CAUTIONS[c]}</li>
        ))}
      </ul>
    </details>
    <p className="hidden print:block">
      {allOf(of)
        .map((c) => CAUTIONS[c])
        .join(' ')}
    </p>
  </div>
);
