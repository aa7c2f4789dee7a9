import { cruise } from 'dependency-cruiser';
import extractTSConfig from 'dependency-cruiser/config-utl/extract-ts-config';

/** Which folders of src/ a folder may import from. Anything else is a wrong turn. */
const MAY_IMPORT = {
  core: [],
  data: ['core'],
  simulated: ['core'],
  workers: ['core', 'data'],
  server: ['data', 'simulated', 'workers', 'core'],
  sharing: ['core'],
  demo: ['server', 'data', 'simulated', 'core'],
  ui: ['core'],
  screens: ['ui', 'workers', 'simulated', 'core'],
  app: ['screens', 'ui', 'server', 'sharing', 'data', 'simulated', 'core'],
};

const folders = Object.keys(MAY_IMPORT);
const forbidden = folders.map((folder) => ({
  name: `${folder} imports only ${MAY_IMPORT[folder].join(', ') || 'itself'}`,
  severity: 'error',
  from: { path: `^src/${folder}/`, pathNot: '\\.test\\.tsx?$|/testing/' },
  to: {
    path: `^src/(${folders.filter((f) => f !== folder && !MAY_IMPORT[folder].includes(f)).join('|') || 'nowhere'})/`,
  },
}));
// Screens may name the shapes of the server's answers, never its code.
const typesOnly = forbidden.map((rule) =>
  rule.from.path === '^src/screens/'
    ? { ...rule, to: { ...rule.to, dependencyTypesNot: ['type-only'] } }
    : rule,
);
const rules = [
  ...typesOnly,
  {
    name: 'no circles',
    severity: 'error',
    from: {},
    to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
  },
  {
    name: 'core knows no React, Next, Node or SQL',
    severity: 'error',
    from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
    to: {
      path: '^(react|next|better-sqlite3|drizzle-orm)|node_modules/(react|next|better-sqlite3|drizzle-orm)/',
      dependencyTypesNot: [],
    },
  },
  {
    // Nor are components' faults looked for there: see eslint.config.mjs.
    name: 'components and hooks are written in app, screens and ui',
    severity: 'error',
    from: { path: '^src/(data|demo|server|sharing|simulated|workers)/' },
    to: { path: '^react(-dom)?(/|$)|node_modules/react(-dom)?/', dependencyTypesNot: ['type-only'] },
  },
  {
    name: 'core knows no Node',
    severity: 'error',
    from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
    to: { dependencyTypes: ['core'] },
  },
];
const { output } = await cruise(
  ['src'],
  {
    ruleSet: { forbidden: rules },
    validate: true,
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
  },
  {},
  { tsConfig: extractTSConfig('tsconfig.json') },
);
const { violations, totalCruised } = output.summary;

/** Folders of the core and of the screens that lean on each other in a circle, deep imports and types counted too. */
function folderCircles() {
  const folderOf = (file) => /^src\/(?:core|screens)\/[^/]+(?=\/)/.exec(file)?.[0];
  const leans = new Map();
  for (const { source, dependencies } of output.modules) {
    const from = folderOf(source);
    if (!from || /\.test\.tsx?$|\/testing\//.test(source)) continue;
    for (const { resolved } of dependencies) {
      const to = folderOf(resolved);
      if (to && to !== from && !to.endsWith('/testing'))
        leans.set(from, (leans.get(from) ?? new Set()).add(to));
    }
  }
  const circles = [];
  const walk = (at, way) => {
    if (way.includes(at)) return circles.push([...way.slice(way.indexOf(at)), at]);
    for (const next of leans.get(at) ?? []) walk(next, [...way, at]);
  };
  for (const from of leans.keys()) walk(from, []);
  return [...new Set(circles.map((c) => [...new Set(c)].sort().join(' and ')))];
}
const circles = folderCircles();
for (const c of circles) console.error(`a circle of folders: ${c}`);
for (const v of violations) console.error(`${v.rule.name}: ${v.from} -> ${v.to}`);
// A tool that sees next to nothing says "no violations" too.
if (totalCruised < 100) console.error(`only ${totalCruised} modules seen: the check is blind`);
console.log(`${totalCruised} modules, ${violations.length + circles.length} wrong turns`);
process.exitCode = violations.length + circles.length > 0 || totalCruised < 100 ? 1 : 0;
