const FORMS: readonly [string, string][] = [
  ['-2 plate 2x3 chalk', 'two off, to spares'],
  ['+4 window 1x2x2 chalk', 'four on, from spares, boxes and own parts in turn'],
  ['own   buy   bought 0.12', 'what is in none of them: there uncounted, to be bought, or bought'],
  ['from "pier railway, 1996"', 'own parts with a name for what they came out of'],
  ['~6 arch 1x4 ash > bark', 'recolour'],
  ['%9 brick 1x2 brick-red', 'renew: the same in better condition'],
  ['>3 arch 1x4 ash : gallery to quay', 'move between zones'],
  ['-2 plate 1x2 ash / +1 plate 1x4 ash', 'swap'],
  ['-2 plate 1x2 ash & 1 tile 1x2 ash / +1 plate 1x4 ash & 1 tile 1x4 ash', 'several for several'],
  ['?8 brick 1x2 amber for lagoon', 'placeholders'],
  ['^8 brick 1x2 amber', 'the right part takes the placeholder’s place'],
  ['!1 pane 1x2x2 clear', 'missing'],
  ['*1 pane 1x2x2 clear', 'replaced'],
  ['=[lamp table] 4 brick 1x2 ash & 1 tile 2x2 bark', 'name an assembly'],
  ['+3 [lamp table]', 'place it three times'],
  ['>[lamp table] : gallery to quay', 'move it as one; -[…] and +[…] too'],
  ['@zone  #why  from …  to …  at 0.12', 'trailing words; plan, hidden, "a note" as well'],
];

/** The forms of the log line, each with what it does. */
export const LogLineHelp = () => (
  <section>
    <h3 className="mb-1">The log line</h3>
    <dl>
      {FORMS.map(([form, says]) => (
        <div key={form} className="border-rule border-b py-1">
          <dt className="font-mono text-[12px]">{form}</dt>
          <dd className="text-soft">{says}</dd>
        </div>
      ))}
    </dl>
    <p className="text-soft mt-2">
      Commas part clauses; words after the last clause reach the earlier ones. A semicolon keeps them apart.
    </p>
  </section>
);
