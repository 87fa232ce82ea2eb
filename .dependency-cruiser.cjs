const only = (name, from, to, comment) => ({ name, severity: 'error', comment, from, to });

const APP = '^apps/web/src/app';
const PLACES =
  '(clients|people|look|bench|statements|tidy|ledger|routes|numbers|outline|importing|proposals|exchange|history)';

/** Folders of the core from the lowest up: each knows those above it in this list, and none in its own line. */
const CORE_LAYERS = [
  ['access', 'collections', 'dates', 'dimensions', 'money', 'spelling', 'text'],
  ['kinds', 'postings'],
  ['countries', 'plan'],
  ['settings'],
  ['chart'],
  ['entries', 'ledger', 'matching'],
  ['operations', 'returns', 'statements'],
  ['numbering'],
  ['planning'],
  ['findings', 'importing', 'outline', 'starting'],
  ['journals'],
  ['routes'],
];

/** Folders of the server, in the same way. */
const SERVER_LAYERS = [
  ['config', 'database', 'health', 'industries'],
  ['problems'],
  ['access', 'simulated'],
  ['charts', 'clients'],
  ['kept-charts', 'kind-lessons', 'known-lists', 'overviews', 'people', 'postings', 'revisions'],
  [
    'backups',
    'balances',
    'findings',
    'layouts',
    'ledger',
    'openings',
    'proposals',
    'routes',
    'splits',
  ],
  ['adopting', 'reviews'],
  ['benches'],
  ['demo', 'exports', 'fronts'],
  ['endpoints'],
  ['lanes'],
  ['http'],
];

const folders = (names) => `(${names.join('|')})/`;

/** A rule a layer: what it may not know. A folder that is in no layer may know nothing, and so is noticed. */
const layered = (name, root, layers) => [
  ...layers.map((layer, index) =>
    only(
      `${name}-layer-${index + 1}`,
      { path: `^${root}/${folders(layer)}`, pathNot: '\\.test\\.ts$' },
      { path: `^${root}/${folders(layers.slice(index).flat())}`, pathNot: `^${root}/$1/` },
      'A folder knows those of lower layers only.',
    ),
  ),
  only(
    `${name}-folders-have-a-layer`,
    { path: `^${root}/[^/]+/`, pathNot: `^${root}/${folders([...layers.flat(), 'testing'])}` },
    {},
    'Every folder has its place in the list of layers.',
  ),
];

/** The arrows of docs/architecture.md: core ← contract ← apps; core ← exchange ← server; nothing imports an app. */
module.exports = {
  forbidden: [
    only('no-circles', {}, { circular: true }, 'Modules depend on one another one way.'),
    ...layered('core', 'packages/core/src', CORE_LAYERS),
    ...layered('server', 'apps/server/src', SERVER_LAYERS),
    only(
      'core-stands-alone',
      { path: '^packages/core/src', pathNot: '\\.test\\.ts$|/testing/' },
      { pathNot: '^packages/core/src' },
      'The core imports nothing but its own files.',
    ),
    only(
      'contract-knows-core',
      { path: '^packages/contract/src', pathNot: '\\.test\\.ts$' },
      { pathNot: '^packages/(core|contract)/src|node_modules/valibot' },
      'The contract imports the core and its schema library.',
    ),
    only(
      'exchange-knows-core',
      { path: '^packages/exchange/src', pathNot: '\\.test\\.ts$' },
      {
        pathNot:
          '^packages/(core|exchange)/src|node_modules/(@types/nspell|exceljs|fast-xml-parser|fflate|nspell|papaparse|@types/papaparse|pdfmake|read-excel-file|valibot)|^pdfmake/|^(node:)?(fs/promises|module|path)$|^(fs/promises|path)$',
      },
      'The exchange imports the core, its file libraries, and what finds its type and its dictionaries.',
    ),
    only(
      'files-are-written-on-the-server',
      { path: '^apps/web' },
      {
        path: '^packages/exchange',
        pathNot: '^packages/exchange/src/(reading/|spelling/spelling-of)',
      },
      'Files are written on the server; they are read in the browser, where a hostile one harms nobody else.',
    ),
    only(
      'no-app-is-imported',
      { path: '^packages' },
      { path: '^apps' },
      'Packages do not know the apps.',
    ),
    only(
      'server-and-web-apart',
      { path: '^apps/server' },
      { path: '^apps/web' },
      'Apps do not know each other.',
    ),
    only(
      'web-and-server-apart',
      { path: '^apps/web' },
      { path: '^apps/server|node_modules/(pg|express)' },
      'Apps do not know each other.',
    ),
    only(
      'places-apart',
      { path: `${APP}/${PLACES}/` },
      { path: `${APP}/${PLACES}/`, pathNot: `${APP}/$1/` },
      'A place knows the workspace, never another place.',
    ),
    only(
      'workspace-knows-no-place',
      { path: `${APP}/(workspace|session|shared)/` },
      { path: `${APP}/${PLACES}/` },
      'What places share knows none of them.',
    ),
    only(
      'session-knows-no-workspace',
      { path: `${APP}/(session|shared)/` },
      { path: `${APP}/workspace/` },
      'Who is signed in is known before any client is open.',
    ),
    only(
      'shared-stands-alone',
      { path: `${APP}/shared/` },
      { path: `${APP}/session/` },
      'What everything shares imports nothing of it.',
    ),
    only(
      'controls-stay-in-components',
      { path: '^apps/web/src/app', pathNot: 'app\\.config|/components/|/pages/|shared/theme' },
      { path: 'node_modules/primeng' },
      'The control library stays in components and pages.',
    ),
    only(
      'queries-open-no-transaction',
      { path: 'apps/server/src/.*\\.queries\\.ts$' },
      { path: '\\.(service|routes)\\.ts$', dependencyTypesNot: ['type-only'] },
      'Queries are called by services, not the other way round.',
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.js', '.mjs'],
    },
  },
};
