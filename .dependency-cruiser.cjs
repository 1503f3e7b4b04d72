/** The layer rules of the house: data flows one way, the core knows nothing of the rest. */
const forbid = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });
/** The server's folders, from what knows least to what knows most: none imports from one that stands after it. */
const SERVER = [
  'schema',
  'database',
  'threads',
  'queue',
  'pictures',
  'accounts',
  'edits',
  'studies',
  'pieces',
  'lessons',
  'exports',
  'removal',
  'jobs',
  'door',
  'demo',
];
const downwards = SERVER.slice(0, -1).map((folder, i) =>
  forbid(`server-${folder}-knows-nothing-above`, `^server/${folder}/(?!.*\\.test\\.ts$)`, `^server/(${SERVER.slice(i + 1).join('|')})/`),
);
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|ui|server|headless|words|atelier|tests)/' },
    },
    {
      name: 'core-imports-computation-only',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^(core/|node_modules/(culori|d3-contour|libheif-js|papaparse|@types/culori|@types/d3-contour|@types/papaparse)/)' },
    },
    {
      name: 'words-know-messages-only',
      severity: 'error',
      from: { path: '^words/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^(words/|core/message\\.ts$|node_modules/(use-intl|@formatjs)/)' },
    },
    forbid('pages-keep-off-the-database', '^ui/', '^(server/|node_modules/(drizzle-orm|mysql2)/)'),
    forbid('routes-keep-off-the-database', '^app/', '^(server/schema/|node_modules/(drizzle-orm|mysql2)/)'),
    forbid('server-has-no-interface', '^server/', '^(ui|app)/'),
    ...downwards,
    {
      name: 'headless-is-thin',
      severity: 'error',
      from: { path: '^headless/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|ui|server|atelier)/' },
    },
    {
      name: 'atelier-draws-on-core',
      severity: 'error',
      from: { path: '^atelier/' },
      to: { path: '^(app|ui|server|headless)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
