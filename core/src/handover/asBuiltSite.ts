import { asSentence, formatFigure } from '../quantity/index.js';
import type { Site, SiteSheet } from '../site/index.js';
import { asBuiltRun } from './asBuilt.js';
import type { BuiltRun, ReportOptions } from './asBuiltTables.js';
import { inspectionsOf } from './inspections.js';
import { groundDrawing } from './groundDrawing.js';
import { planDrawing } from './planDrawing.js';
import { photoBlocks, type PrintedPicture } from './photoBlocks.js';
import type { Block } from './report.js';

/** What a photo of a site is of, in words. */
function siteNames({ points, ways, ground }: Site): (about: string) => string {
  const names = new Map([...points, ...ways, ...ground.nodes].map(({ id, name }) => [id, name]));
  for (const { id, from, to } of ground.bonds)
    names.set(id, `${names.get(from) ?? from} to ${names.get(to) ?? to}`);
  return (about) => names.get(about) ?? about;
}

/** The as-built of a whole site: its cable schedule, its ground and its inspections, then every run. */
export function asBuiltSite(
  site: {
    name: string;
    where: string;
    site: Site;
    sheet: SiteSheet;
    pictures: ReadonlyMap<string, PrintedPicture>;
  },
  runs: readonly (BuiltRun & { id: string })[],
  options: ReportOptions,
): Block[] {
  const { units, day } = options;
  const { ways, ground, snags } = site.sheet;
  const schedule = ways.flatMap(({ way, length, cables }) =>
    cables.map(({ run, label, cable, installed }) => [
      way.name,
      formatFigure(length, units),
      run,
      `${label}, ${cable.name}`,
      installed ? 'lies there' : 'to be laid',
    ]),
  );
  const bonds = ground.bonds.map(({ bond, from, to, length, areaMm2, reading }) => [
    `${from.name} to ${to.name}`,
    ...(bond.joint === 'mounted'
      ? ['screwed on', '']
      : [length ? formatFigure(length, units) : 'not known', `${areaMm2.toFixed(0)} mm²`]),
    bond.made ? `${bond.made.on}${options.forCustomer ? '' : `, ${bond.made.by}`}` : 'not joined',
    reading ? `${reading.ohm} ohm, ${reading.method}` : '',
  ]);
  const due = inspectionsOf(
    runs.map(({ id, design, sheet }) => ({ id, name: design.name, sheet })),
    options.now,
  );
  return [
    {
      kind: 'title',
      text: site.name,
      under: [site.where, `${runs.length} ${runs.length === 1 ? 'run' : 'runs'}`],
    },
    ...[planDrawing(site.site, units) ?? []].flat(),
    ...(schedule.length === 0
      ? []
      : ([
          { kind: 'heading', level: 2, text: 'Cable schedule' },
          {
            kind: 'table',
            head: ['Way', 'Length', 'Run', 'Cable', ''],
            rows: schedule,
            widths: [40, 22, 50, 48, 20],
          },
        ] satisfies Block[])),
    ...(bonds.length === 0
      ? []
      : ([
          { kind: 'heading', level: 2, text: 'Ground' },
          { kind: 'text', text: site.sheet.groundHeadline },
          ...[groundDrawing(site.sheet, units) ?? []].flat(),
          {
            kind: 'table',
            head: ['Conductor', 'Length', 'Size', 'Joined', 'Read'],
            rows: bonds,
            widths: [66, 22, 20, 36, 36],
          },
        ] satisfies Block[])),
    ...photoBlocks(
      (site.site.photos ?? []).map(({ id, ...photo }) => ({ ...photo, pictureId: id })),
      site.pictures,
      siteNames(site.site),
      ({ by, at }) => (options.forCustomer || by === '' ? day(at) : `${day(at)}, ${by}`),
    ),
    { kind: 'heading', level: 2, text: 'Inspections' },
    ...(due.length === 0
      ? ([{ kind: 'text', text: 'None is due: nothing is sealed yet.' }] satisfies Block[])
      : ([
          {
            kind: 'table',
            head: ['By', 'What', 'Run'],
            rows: due.map(({ due: at, what, run, overdue }) => [
              overdue ? `${day(at)}, overdue` : day(at),
              what,
              run,
            ]),
            widths: [36, 74, 70],
          },
        ] satisfies Block[])),
    ...(snags.length === 0
      ? []
      : ([
          { kind: 'heading', level: 2, text: 'Open problems of the site' },
          ...snags.map(({ level, what, why }) => ({
            kind: 'text' as const,
            text: `${level.toUpperCase()}: ${asSentence(what)} ${why}`,
            tone: level === 'stop' ? ('stop' as const) : ('plain' as const),
          })),
        ] satisfies Block[])),
    ...runs.flatMap((run) => asBuiltRun(run, options, true)),
  ];
}
