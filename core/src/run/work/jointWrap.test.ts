import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { defaultPractice } from '../../practice/index.js';
import { routeLength, type Zone } from '../../route/index.js';
import { anOutdoorRun, cable, fact, sheetOf } from '../aRun.fixture.js';
import type { Design } from '../design/design.js';
import { layOut, type PlacedJoint } from '../wave/layout.js';
import { profileUpwards, jointSeal, wrapGroups, type SealSetting } from './jointWrap.js';

const joints = (design: Design): PlacedJoint[] =>
  layOut(design, catalog, routeLength(design.legs, 0).spans).joints;
const top = joints(anOutdoorRun())[3];
const upwards = { lower: 'radio', from: 'assumed', flange: undefined } as const;
const setting = { catalog, practice: defaultPractice, housing: undefined, own: undefined, hang: upwards };
const inZone = (zone: Zone, over: Partial<PlacedJoint> = {}, by: Partial<SealSetting> = {}) =>
  jointSeal([{ ...top, zone, ...over }], { ...setting, ...by });
const rubberM = (seal: ReturnType<typeof inZone>): number =>
  seal.wrap?.materials.find(({ id }) => id === 'rubber38')?.amount.value ?? 0;

describe('how a joint is closed', () => {
  it('its profile goes from the cable’s ferrule over the nut to the port', () =>
    expect(profileUpwards([top], catalog, upwards).map(({ name }) => name)).toEqual([
      'ferrule',
      'N coupling nut',
      'N jack body',
    ]));

  it('a joint may differ from the shop in passes, stretch, lap and courtesy layer', () => {
    const own = (over: object) =>
      inZone('outdoor', {}, { own: { joint: top.id, system: 'rubber and vinyl', reason: 'wind', ...over } });
    const layers = (over: object): string[] => own(over).wrap?.layers.map(({ name }) => name) ?? [];
    expect(layers({}).filter((name) => name.startsWith('Rubber'))).toHaveLength(2);
    expect(layers({ passes: 3 }).filter((name) => name.startsWith('Rubber'))).toHaveLength(3);
    expect(own({ passes: 3 }).instructions.join(' ')).toContain('Three passes');
    expect(layers({ courtesy: true })[0]).toBe('Courtesy layer');
    expect(rubberM(own({ stretch: 'hard' }))).toBeLessThan(rubberM(own({ stretch: 'a little' })));
    expect(rubberM(own({ lap: 'two thirds' }))).toBeGreaterThan(rubberM(own({})));
  });

  it('takes less tape stretched hard', () => {
    const tape = (tapeStretch: 'a little' | 'hard'): number =>
      rubberM(inZone('outdoor', {}, { practice: { ...defaultPractice, tapeStretch } }));
    expect(tape('hard')).toBeLessThan(tape('a little'));
  });

  it('by the shop’s system, and by its own where it has one, with the reason', () => {
    const practice = { ...defaultPractice, sealSystem: 'mastic' as const };
    expect(inZone('outdoor', {}, { practice })).toMatchObject({ system: 'mastic', reason: undefined });
    const own = { joint: top.id, system: 'cold shrink' as const, reason: 'flat roof, no way back' };
    expect(inZone('outdoor', {}, { practice, own })).toMatchObject({
      system: 'cold shrink',
      reason: own.reason,
    });
  });

  // Handbook of the trade, 6: salt 6 months; the shop can change it.
  it('is looked at again by place, or as the shop has it', () => {
    expect(inZone('salt').inspectionMonths).toBe(6);
    const practice = { ...defaultPractice, inspectionMonths: { salt: 3 } };
    expect(inZone('salt', {}, { practice }).inspectionMonths).toBe(3);
    expect(inZone('buried').inspectionMonths).toBeUndefined();
  });

  // Handbook of the trade: never taped and buried; no UV layer, tie or drip loop under ground.
  it('in the ground never with tape: a pit, a box or a rated splice', () => {
    const { wrap, instructions } = inZone('buried');
    expect(wrap).toBeUndefined();
    expect(instructions.join(' ')).toMatch(/never taped and buried.*pit or box.*splice/);
    for (const housing of ['pit', 'box', 'splice'] as const) {
      const text = inZone('buried', {}, { housing }).instructions.join(' ');
      expect(text).not.toMatch(/UV-stable tie|drip loop|sun/);
    }
  });

  // Handbook of the trade: a bare pair is no cylinder: fill the split or pot it, no half-lap arithmetic.
  it('a bare pair without half laps', () => {
    const { wrap, instructions } = inZone('outdoor', { right: { ...top.right, series: 'pair' } });
    expect(wrap).toBeUndefined();
    expect(instructions.join(' ')).toMatch(/crotch.*pot/);
  });

  it('in salt it is rinsed first, and looked at again in six months', () =>
    expect(inZone('salt').instructions.join(' ')).toMatch(/fresh water.*six months/));

  // The last pass of every layer runs upwards: laps shed water like roof tiles (handbook of the trade).
  it('two passes begin at the top, so that the last one runs upwards', () =>
    expect(inZone('outdoor').instructions.join(' ')).toMatch(/begin at the top, go down, and come back up/));
});

describe('one wrap, one object', () => {
  const withBarrel = anOutdoorRun({
    pieces: [
      cable({ id: 'in', lengthM: 5 }),
      { kind: 'adapter', id: 'barrel', adapter: 'n-jack-to-n-jack', reversed: false },
      cable({ lengthM: 8 }),
    ],
  });

  it('a barrel with both its joints is one', () => {
    const groups = wrapGroups(joints(withBarrel), catalog);
    expect(groups.map((group) => group.map(({ id }) => id))).toEqual([
      ['in>barrel', 'barrel>main'],
      ['main>antenna'],
    ]);
    const [barrel] = sheetOf(withBarrel).wraps;
    expect(barrel.name).toBe('J2 and J3');
    expect(barrel.profile.map(({ name }) => name)).toContain('N jack to N jack');
  });

  it('sealed once it is sealed for all of it', () => {
    const sealed = fact({ kind: 'sealed', jointId: 'in>barrel', with: ['barrel>main'] });
    expect(sheetOf(withBarrel, [sealed]).wraps[0].sealed).toBe(true);
    expect(sheetOf(withBarrel, [fact({ kind: 'sealed', jointId: 'in>barrel' })]).wraps[0].sealed).toBe(false);
    expect(sheetOf(withBarrel, [sealed]).snags.filter(({ rule }) => rule === 'unsealed')).toHaveLength(1);
  });

  it('an arrester whose tube must stay reachable is sealed on each side for itself', () => {
    const run = anOutdoorRun({
      legs: anOutdoorRun().legs.map((leg) => ({ ...leg, zone: 'outdoor' as const })),
    });
    expect(wrapGroups(joints(run), catalog).every((group) => group.length === 1)).toBe(true);
    const beside = sheetOf(run).wraps.find(({ jointId }) => jointId === 'in>arrester');
    expect(beside?.instructions.join(' ')).toContain('cap of the arrester’s tube');
  });
});
