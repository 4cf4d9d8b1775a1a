import {
  formatLength,
  type JobUse,
  type PartsRow,
  type Sheet,
  type SiteSheet,
  type UnitSystem,
} from '@kobran/core';
import { csvOf } from './csv.js';

/** Which cable lies where: a line for each run and way, in the order of the site’s ways. */
export function cableScheduleCsv({ ways, runs }: SiteSheet, system: UnitSystem): string {
  const metres = (value: number): string => formatLength(value, { system });
  return csvOf(
    ['run', 'piece', 'cable', 'way', 'kind', 'from', 'to', 'route in all', 'to order'],
    ways.flatMap(({ way, cables }) =>
      cables.map(({ runId, run, label, cable, fromM, toM }) => {
        const whole = runs.find(({ id }) => id === runId);
        return [
          run,
          label,
          cable.name,
          way.name,
          way.kind,
          metres(fromM),
          metres(toM),
          whole ? metres(whole.total.value) : '',
          whole ? metres(whole.order.value) : '',
        ];
      }),
    ),
  );
}

/** Clips, hangers and grips: a line for each cable that is carried. */
export function supportListCsv({ ways }: SiteSheet, system: UnitSystem): string {
  return csvOf(
    ['way', 'kind', 'run', 'cable', 'diameter', 'supports', 'every', 'grips'],
    ways.flatMap(({ way, supports }) =>
      supports.map(({ cable: { run, cable }, everyM, count, grips }) => [
        way.name,
        way.kind,
        run,
        cable.name,
        formatLength(cable.jacketMm / 1000, { system, small: true, digits: 1 }),
        count,
        formatLength(everyM, { system }),
        grips,
      ]),
    ),
  );
}

/** What is to be bought, a line for each part; lengths of cable in the units of the shop. */
export function partsListCsv(rows: readonly PartsRow[], system: UnitSystem): string {
  return csvOf(
    [
      'kind',
      'part',
      'needed',
      'spare',
      'on the shelf',
      'lowest',
      'to buy',
      'price',
      'supplier',
      'place',
      'lot',
      'for',
    ],
    rows.map(({ kind, name, unit, needed, spare, onShelf, lowest, toBuy, uses, ...row }) => {
      const amount = (value: number): string | number =>
        unit === 'm' ? formatLength(value, { system }) : value;
      return [
        kind,
        name,
        amount(needed),
        spare,
        onShelf === undefined ? '' : amount(onShelf),
        lowest,
        amount(toBuy),
        row.price ?? '',
        row.supplier ?? '',
        row.place ?? '',
        row.lot ?? '',
        [...new Set(uses.map(({ whose }) => whose))].join('; '),
      ];
    }),
  );
}

/** What is cut, a line for each cable of each run: from where to where it is measured, and whether it is done. */
export function cutListCsv(
  runs: readonly { name: string; cuts: Sheet['cuts'] }[],
  system: UnitSystem,
): string {
  const metres = (value: number): string => formatLength(value, { system, digits: 3 });
  return csvOf(
    ['run', 'piece', 'pieces', 'cable', 'cut', 'finished', 'measured', 'done'],
    runs.flatMap(({ name, cuts }) =>
      cuts.map((cut) => [
        name,
        cut.name,
        cut.copies,
        cut.cable.name,
        metres(cut.cut.value),
        metres(cut.finished.value),
        cut.planes,
        cut.done ? 'yes' : 'no',
      ]),
    ),
  );
}

/** What was used, as the log has it. @param nameOf what a part is called */
export const materialsUsedCsv = (uses: readonly JobUse[], nameOf: (part: string) => string): string =>
  csvOf(
    ['when', 'who', 'for', 'part', 'amount'],
    uses.map(({ at, by, of, part, amount }) => [at, by, of, nameOf(part), amount]),
  );
