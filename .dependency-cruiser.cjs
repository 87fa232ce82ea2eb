const only = (name, from, to, comment) => ({ name, severity: 'error', comment, from, to });

const APP = '^apps/web/src/app';
const PLACES = '(clients|people|look|bench|numbers|outline|importing|proposals|exchange|history)';

/** The arrows of docs/architecture.md: core ← contract ← apps; core ← exchange ← server; nothing imports an app. */
module.exports = {
  forbidden: [
    only('no-circles', {}, { circular: true }, 'Modules depend on one another one way.'),
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
          '^packages/(core|exchange)/src|node_modules/(exceljs|fast-xml-parser|fflate|papaparse|@types/papaparse|pdfmake|read-excel-file|valibot)|^pdfmake/',
      },
      'The exchange imports the core and its file libraries.',
    ),
    only(
      'files-are-written-on-the-server',
      { path: '^apps/web' },
      { path: '^packages/exchange', pathNot: '^packages/exchange/src/reading' },
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
