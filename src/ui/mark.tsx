import type { EntryKind } from '@/core/ledger';
import type { GlyphMark } from './glyph';

/** The mark of each kind of entry, the same on glyphs, lines and print. */
export const MARK_OF: Readonly<Record<EntryKind, GlyphMark>> = {
  remove: 'out',
  add: 'in',
  recolour: 'recoloured',
  swap: 'recoloured',
  renew: 'renewed',
  move: 'moved',
  placeholder: 'placeholder',
  replacement: 'renewed',
  missing: 'out',
  'replace-missing': 'in',
  unpack: 'in',
  'add-stock': 'in',
  order: 'in',
  transfer: 'moved',
  regrade: 'renewed',
  sticker: 'sticker',
};

const SHAPES: Readonly<Record<GlyphMark, string>> = {
  out: 'M3 8h10',
  in: 'M8 3v10M3 8h10',
  recoloured: 'M8 2.5a5.5 5.5 0 1 0 0 11zM8 2.5a5.5 5.5 0 1 1 0 11',
  renewed: 'M8 2.5a5.5 5.5 0 1 0 .01 0z',
  placeholder: 'M3 3h10v10H3zM3 7l4-4M3 11l8-8M5 13l8-8M9 13l4-4',
  moved: 'M2 8h11M9 4l4 4-4 4',
  // A corner that lifts.
  sticker: 'M3 3h10v6l-4 4H3zM13 9H9v4',
  hidden: 'M8 2.5a5.5 5.5 0 1 0 .01 0zM8 7a1 1 0 1 0 .01 0z',
};

/** A mark by itself, 16 by 16. */
export function Mark({ mark, label }: { mark: GlyphMark; label?: string }) {
  const said = label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true };
  return (
    <svg width={16} height={16} viewBox="0 0 16 16" className="shrink-0" {...said}>
      <path
        d={SHAPES[mark]}
        fill="none"
        stroke="currentColor"
        strokeWidth={mark === 'placeholder' ? 1 : 1.5}
        strokeDasharray={mark === 'out' ? '3 1.6' : undefined}
      />
      {mark === 'recoloured' && <path d="M8 2.5a5.5 5.5 0 1 0 0 11z" fill="currentColor" />}
      {mark === 'hidden' && <circle cx={8} cy={8} r={1.6} fill="currentColor" />}
    </svg>
  );
}
