import type { SiteRule } from './siteSnag.js';

/** Bores of ducts one can buy, mm. Common practice, no source. */
const BORES_MM = [25, 32, 40, 50, 63, 75, 90, 100, 110, 125, 150];

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How full a duct is. NEC chapter 9 table 1, from memory. */
export const ductFill: SiteRule = ({ ways }) =>
  ways.flatMap(({ way, fill, cables }) => {
    const { duct } = way;
    if (!fill || !duct || (fill.share <= fill.limit && fill.laid)) return [];
    const larger = BORES_MM.find(
      (mm) => mm > duct.boreMm && fill.share * (duct.boreMm / mm) ** 2 <= fill.limit,
    );
    const names = cables.length === 1 ? '1 cable' : `${cables.length} cables`;
    return [
      {
        rule: 'duct-fill',
        level: fill.laid ? ('caution' as const) : ('stop' as const),
        at: way.id,
        what: fill.laid ? `${way.name} is too full` : `${names} do not go into ${way.name}`,
        why: `${names} fill ${percent(fill.share)} of its ${duct.boreMm} mm bore; ${percent(fill.limit)} is what ${cables.length === 1 ? 'one' : cables.length === 2 ? 'two' : 'three or more'} may.`,
        remedies: larger
          ? [
              {
                title: `Take a duct of ${larger} mm`,
                detail: `then ${percent(fill.share * (duct.boreMm / larger) ** 2)} full`,
                changes: [{ op: 'put way' as const, way: { ...way, duct: { ...duct, boreMm: larger } } }],
              },
            ]
          : [],
        source: 'NEC chapter 9 table 1, from memory',
      },
    ];
  });
