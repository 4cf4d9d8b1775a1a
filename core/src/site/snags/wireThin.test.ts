import { expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { codeProfile } from '../../ground/index.js';
import { aGround, arrested, groundedSite, groundSnags, mendsGround } from '../aGround.fixture.js';
import { onTheSite } from '../aSite.fixture.js';
import { applySiteChange, survey } from '../index.js';

const with4mm2 = aGround().bonds.map((one) =>
  one.id === 'rod-mast-rod' ? { ...one, section: { areaMm2: 4 } } : one,
);

// Handbook of the trade: 16 mm² between rods; IEC 62305-3, from memory: 50 mm².
it('a thin conductor between rods is told by the profile which asks more', () => {
  expect(groundSnags({ bonds: with4mm2 }, 'ground-wire-thin').map(({ at }) => at)).toEqual(['rod-mast-rod']);
  expect(mendsGround({ bonds: with4mm2 }, 'ground-wire-thin')).toBe(true);
  const asked = groundSnags({ profile: 'iec-62305-3' }, 'ground-wire-thin');
  expect(asked.map(({ at }) => at).sort()).toEqual([
    'bar-building',
    'bar-rod',
    'mast-mast-rod',
    'rod-mast-rod',
  ]);
  expect(groundSnags({ profile: 'nec-810' }, 'ground-wire-thin')).toEqual([]);
});

// A shop’s own code, invented here: 25 mm² everywhere, where common practice asks 16 and 6 mm².
it('a code of the shop’s own is asked before the shipped ones, its remedies too', () => {
  const common = codeProfile('common-practice');
  const ours = {
    ...common,
    id: 'ours',
    name: 'Ours',
    copperMm2: { electrodes: 25, mast: 25, shield: 25, arrester: 25, equipment: 25 },
  };
  const site = groundedSite(aGround({ profile: 'ours' }));
  const thin = (of: typeof site) =>
    survey(of, [onTheSite(of, 'run-0', arrested)], catalog, [ours]).snags.filter(
      ({ rule }) => rule === 'ground-wire-thin',
    );
  expect(thin(site)).toHaveLength(6);
  expect(thin(site)[0].why).toContain('your profile asks 25 mm²');
  const mended = thin(site)
    .flatMap(({ remedies }) => remedies[0].changes)
    .reduce(applySiteChange, site);
  expect(thin(mended)).toEqual([]);
  // Without it the first of the shipped ones is reckoned with.
  expect(survey(site, [], catalog).ground.profile).toEqual(common);
});
