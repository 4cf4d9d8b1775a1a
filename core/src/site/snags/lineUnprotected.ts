import type { SiteRule } from './siteSnag.js';

/** Every other line which comes in has a protector on the same bar. */
export const lineUnprotected: SiteRule = ({ ground: { nodes } }) =>
  nodes.flatMap(({ id, name, node }) =>
    node?.kind === 'other line' && node.protector === ''
      ? [
          {
            rule: 'line-unprotected',
            level: 'caution' as const,
            at: id,
            what: `${name} comes in without a protector`,
            why: 'Rotator, power and network leads bring a surge in as well as coax. Each has its own protector, on the same bar.',
            remedies: [
              {
                title: 'Put a protector on it',
                detail: 'then tie it to the bar',
                changes: [{ op: 'put node' as const, node: { ...node, protector: 'protector' } }],
              },
            ],
            source: 'common practice, no source',
          },
        ]
      : [],
  );
