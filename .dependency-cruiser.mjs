/** The arrows of the house point one way: web, server → contract → core; cli → core. Nothing imports a screen. */
const apart = (name, from, to, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: from },
  to: { path: to },
});

export default {
  forbidden: [
    apart('core-alone', '^core/', '^(contract|server|cli|web|instruments)/', 'core knows no other room'),
    apart('contract-on-core', '^contract/', '^(server|cli|web)/', 'contract knows core only'),
    apart('cli-on-core', '^cli/', '^(contract|server|web)/', 'the command line is thin over core'),
    apart(
      'instruments-on-core',
      '^instruments/',
      '^(contract|server|cli|web)/',
      'the simulated instruments know the trade and nothing of the application',
    ),
    apart(
      'instruments-apart',
      '^(contract|server|cli|web)/src/(?!.*\\.test)',
      '^instruments/',
      'instruments are met over TCP, as real ones are',
    ),
    apart('server-not-web', '^server/', '^(cli|web)/', 'the server knows no screen'),
    apart('web-not-server', '^web/', '^(server|cli)/', 'the web meets the server through the contract'),
    apart(
      'core-no-world',
      '^core/src/(?!.*\\.test)',
      '^(node:|fs$|path$|http$|crypto$|os$|child_process$)',
      'core does no I/O',
    ),
    {
      name: 'no-screen-imported',
      severity: 'error',
      comment: 'a screen is reached by its route only; what two screens share lives outside screens',
      from: { path: '^web/src/(?!App\\.tsx|screens/)' },
      to: { path: '^web/src/screens/' },
    },
    {
      name: 'screens-apart',
      severity: 'error',
      comment: 'what two screens share lives outside screens',
      from: { path: '^web/src/screens/([^/]+)/' },
      to: { path: '^web/src/screens/', pathNot: '^web/src/screens/$1/' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules|/dist/' },
    tsPreCompilationDeps: 'specify',
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types'] },
  },
};
