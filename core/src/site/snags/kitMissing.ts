import { freshId } from '../../run/index.js';
import type { GroundNode } from '../document/ground.js';
import { usualBond } from '../ground/newBond.js';
import type { KitPlace } from '../ground/kits.js';
import type { SiteRule } from './siteSnag.js';

const where: Record<KitPlace['where'], string> = {
  top: 'at the top of the mast',
  foot: 'at the mast foot',
  between: 'on the mast',
};

/** A ground kit fits a few millimetres of jacket. Common practice, no source. */
const FITS_MM = 2;

/** The shield of every cable on a mast is tied to it at the top, at the foot, and between on a long one. */
export const kitMissing: SiteRule = ({ site, ground: { drawn, kits, nodes, profile } }) =>
  drawn
    ? kits
        .filter(({ kit }) => !kit)
        .map(({ run, runName, jacketMm, where: place, point, heightM }) => {
          const kit: GroundNode | undefined = point && {
            id: freshId(site.ground.nodes, 'kit'),
            name: `kit of ${runName}, ${place}`,
            kind: 'ground kit',
            point: point.id,
            metal: 'tinned copper',
            kit: { run, fromMm: Math.floor(jacketMm - FITS_MM / 2), toMm: Math.ceil(jacketMm + FITS_MM / 2) },
          };
          const mast = nodes.find(({ kind }) => kind === 'mast');
          return {
            rule: 'kit-missing',
            level: 'caution' as const,
            at: point?.id ?? run,
            of: `${run}.${place}.${Math.round(heightM)}`,
            what: `No ground kit ${where[place]} for ${runName}`,
            why: `Its shield is tied to the mast at the top below the antenna’s tail, and at the foot above the bend; on a long mast every 30 m.`,
            remedies:
              kit && mast
                ? [
                    {
                      title: 'Add a kit, tied to the mast',
                      detail: `for a jacket of ${jacketMm.toFixed(1)} mm; lead down, straight, 1 m at most`,
                      changes: [
                        { op: 'put node' as const, node: kit },
                        {
                          op: 'put bond' as const,
                          bond: {
                            ...usualBond(site.ground, profile, { ...kit, place: point }, mast),
                            lengthM: 0.5,
                          },
                        },
                      ],
                    },
                  ]
                : [],
            source: 'common practice, no source',
          };
        })
    : [];
