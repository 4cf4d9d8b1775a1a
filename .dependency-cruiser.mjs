/** Arrows point one way: web, server, cli -> contract -> core; instruments -> contract and core. Nothing imports a screen. */
const apart = (name, from, to, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: from },
  to: { path: to },
});

/** The layers of the web, the lowest first; each may use those before it. */
const layers = ['ui', '(drawing|background)', 'store', 'frame', 'screens'];
const upward = layers
  .slice(0, -1)
  .map((layer, k) =>
    apart(
      `web-${layer.replace(/\W/g, '-')}`,
      `^web/src/${layer}/`,
      `^web/src/(${layers.slice(k + 1).join('|')})/`,
      'screens -> frame -> store -> drawing, background -> ui',
    ),
  );

export default {
  forbidden: [
    apart('core-alone', '^core/', '^(contract|server|cli|web|instruments)/', 'core knows no other room'),
    apart('contract-on-core', '^contract/', '^(server|cli|web|instruments)/', 'contract knows core only'),
    apart(
      'cli-thin',
      '^cli/',
      '^(server|web|instruments)/',
      'the command line is thin over core and contract',
    ),
    apart(
      'instruments-apart-from-the-application',
      '^instruments/',
      '^(server|cli|web)/',
      'the simulated instruments know the trade and its documents, and nothing of the application',
    ),
    apart(
      'instruments-over-tcp',
      '^(contract|server|cli|web)/src/(?!.*\\.test)',
      '^instruments/',
      'instruments are met over TCP, as real ones are',
    ),
    apart('server-not-web', '^server/src/(?!.*\\.test)', '^(cli|web)/', 'the server knows no screen'),
    apart('web-not-server', '^web/', '^(server|cli)/', 'the web meets the server through the contract'),
    apart(
      'core-no-world',
      '^core/src/(?!.*\\.test)',
      '^(node:|fs$|path$|http$|crypto$|os$|child_process$)',
      'core does no I/O',
    ),
    apart(
      'core-no-framework',
      '^core/src/',
      'node_modules/(class-validator|class-transformer|reflect-metadata|@nestjs|react)/',
      'core has no decorators and no framework',
    ),
    ...upward,
    {
      name: 'screens-apart',
      severity: 'error',
      comment: 'what two screens share lives outside screens',
      from: { path: '^web/src/screens/([^/]+)/' },
      to: { path: '^web/src/screens/', pathNot: '^web/src/screens/$1/' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-circles-of-folders',
      severity: 'error',
      comment: 'two folders which need each other are one, or a third is missing',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules|/dist/' },
    exclude: { path: '\\.(test|fixture)\\.ts$' },
    tsPreCompilationDeps: 'specify',
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types'] },
  },
};
