import type { SiteRule } from './siteSnag.js';

/** A kit that is too wide lets water in, one too narrow does not close. */
export const kitSize: SiteRule = ({ ground: { kits } }) =>
  kits.flatMap(({ kit, jacketMm, runName }) => {
    if (!kit?.kit || (jacketMm >= kit.kit.fromMm && jacketMm <= kit.kit.toMm)) return [];
    const { run, fromMm, toMm } = kit.kit;
    return [
      {
        rule: 'kit-size',
        level: 'stop' as const,
        at: kit.id,
        what: `${kit.name} does not fit its cable`,
        why: `${runName} has a jacket of ${jacketMm.toFixed(1)} mm there; the kit takes ${fromMm} to ${toMm} mm.`,
        remedies: [
          {
            title: 'Take a kit of its size',
            detail: `${Math.floor(jacketMm - 1)} to ${Math.ceil(jacketMm + 1)} mm`,
            changes: [
              {
                op: 'put node' as const,
                node: {
                  ...kit,
                  kit: { run, fromMm: Math.floor(jacketMm - 1), toMm: Math.ceil(jacketMm + 1) },
                },
              },
            ],
          },
        ],
        source: 'cable data',
      },
    ];
  });
