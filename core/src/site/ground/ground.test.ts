import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aGround, bond, groundedSite, groundOf, node, rod } from '../aGround.fixture.js';
import { applySiteChange, checkSite, lightningLevels, metals } from '../index.js';
import { bondRoles, codeProfiles } from '../../ground/index.js';
import { metalsClash, smallestMm2 } from './metals.js';
import { bondOhm, bondUh, roundWireUh, strapUh } from './conductor.js';
import { islandsOf, pathsToEarth } from './connections.js';
import { buriedWireOhm, electrodeOhm, plateOhm, ringOhm, rodOhm, rodsFactor } from './electrodes.js';
import { firstStroke, strokeVolts, subsequentStroke } from './stroke.js';

describe('electrodes', () => {
  // IEEE Std 142, from memory: 3.05 m of 15.9 mm in 100 ohm m is about 33 ohm; 2, 3 and 4 rods have 1.16, 1.29, 1.36.
  it('a rod of ten feet, and several of them', () => {
    expect(rodOhm(100, 3.05, 0.0159)).toBeCloseTo(33, 0);
    expect([1, 2, 3, 4].map(rodsFactor)).toEqual([1, 1.16, 1.29, 1.36]);
  });

  // BS 7430 and Dwight: a ring of 10 m radius, 8 mm wire, 0.6 m deep in 100 ohm m. ln(64·100/(0.008·0.6)) = 14.10; 14.10·100/(4π²·10) = 3.57.
  it('a ring by hand', () => expect(ringOhm(100, 10, 0.008, 0.6)).toBeCloseTo(3.57, 2));

  // A disc on the surface has ρ/(4a); a plate of the same area may not be far from it. Any text on electrostatics.
  it('a plate is near a disc of its area, a long wire better than a short one', () => {
    expect(plateOhm(100, Math.PI * 0.25)).toBeCloseTo(100 / (4 * 0.5), 6);
    expect(buriedWireOhm(100, 40, 0.008, 0.6)).toBeLessThan(buriedWireOhm(100, 20, 0.008, 0.6));
    // By hand: 20²/(1.85·0.6·0.008) = 45045, its ln 10.715; ·100/(2π·20) = 8.53 ohm.
    expect(buriedWireOhm(100, 20, 0.008, 0.6)).toBeCloseTo(8.53, 2);
  });

  it('more rods have less, more soil has more, a building’s own is not computed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), (n) => {
        expect(rodsFactor(n + 1) / (n + 1)).toBeLessThan(rodsFactor(n) / n);
      }),
    );
    for (const kind of ['rod', 'ring', 'buried wire', 'plate'] as const)
      expect(electrodeOhm(kind, rod, 300)).toBeCloseTo(3 * (electrodeOhm(kind, rod, 100) ?? NaN), 6);
    expect(electrodeOhm('building electrode', rod, 100)).toBeUndefined();
  });
});

describe('conductors', () => {
  // Rosa; Terman: 1 m of 16 mm² is 1.1 to 1.2 microhenry, 100 kA in 10 µs are 11 to 12 kV along it.
  it('a metre of 16 mm²', () => {
    const uh = bondUh(bond('a', 'b'), 1);
    expect(uh).toBeGreaterThan(1.1);
    expect(uh).toBeLessThan(1.2);
    const volts = strokeVolts(uh, 0, 1, firstStroke('III'));
    expect(volts).toBeGreaterThan(11_000);
    expect(volts).toBeLessThan(12_000);
    // IEC 62305-1, from memory: 25 kA in 0.25 µs, 100 kA per µs.
    expect(strokeVolts(uh, 0, 1, subsequentStroke('III'))).toBeCloseTo(uh * 1e5, 3);
    expect(lightningLevels.map((level) => firstStroke(level).peakA / 1000)).toEqual([200, 150, 100, 100]);
  });

  // 1.72e-8 ohm m: 1 m of 1 mm² copper has 17.2 milliohm.
  it('its resistance, and what two side by side have', () => {
    expect(bondOhm(bond('a', 'b', { section: { areaMm2: 1 } }), 1)).toBeCloseTo(0.0172, 6);
    const twice = bond('a', 'b', { parallel: 2 });
    expect(bondUh(twice, 3)).toBeCloseTo(bondUh(bond('a', 'b'), 3) / 2, 9);
  });

  // Terman: a strap of the same copper is better than a round wire, a wider one better still.
  it('wide straps have less, bends and metres more', () => {
    expect(strapUh(1, 0.05, 0.001)).toBeLessThan(roundWireUh(1, Math.sqrt((4 * 50e-6) / Math.PI)));
    expect(strapUh(1, 0.1, 0.001)).toBeLessThan(strapUh(1, 0.05, 0.001));
    const bent = bond('a', 'b', { sharpBends: 2 });
    expect(bondUh(bent, 2)).toBeGreaterThan(bondUh(bond('a', 'b'), 2));
    expect(bondUh(bent, 0)).toBe(0);
  });
});

describe('what is tied', () => {
  const ids = Array.from({ length: 9 }, (_, k) => `n${k}`);
  const anyEnds = fc.array(fc.record({ from: fc.constantFrom(...ids), to: fc.constantFrom(...ids) }), {
    maxLength: 12,
  });

  it('islands are those of a union-find', () =>
    fc.assert(
      fc.property(anyEnds, (bonds) => {
        const root = new Map(ids.map((id) => [id, id]));
        const find = (id: string): string => (root.get(id) === id ? id : find(root.get(id) as string));
        for (const { from, to } of bonds) root.set(find(from), find(to));
        const sets = islandsOf(ids, bonds);
        expect(sets.flat().sort()).toEqual(ids);
        for (const x of ids)
          for (const y of ids)
            expect(sets.some((set) => set.includes(x) && set.includes(y))).toBe(find(x) === find(y));
      }),
    ));

  it('the way to earth is the shortest there is', () =>
    fc.assert(
      fc.property(anyEnds, (ends) => {
        const bonds = ends.map((one, k) => ({ ...one, cost: 1 + ((k * 7) % 5) }));
        const paths = pathsToEarth(['n0'], bonds, ({ cost }) => cost);
        // Bellman and Ford, every conductor again and again.
        const least = new Map([['n0', 0]]);
        for (const _ of ids)
          for (const { from, to, cost } of bonds)
            for (const [a, b] of [
              [from, to],
              [to, from],
            ])
              if ((least.get(a) ?? Infinity) + cost < (least.get(b) ?? Infinity))
                least.set(b, (least.get(a) ?? Infinity) + cost);
        for (const id of ids)
          expect(paths.get(id)?.reduce((sum, { cost }) => sum + cost, 0)).toBe(least.get(id));
      }),
    ));
});

describe('profiles', () => {
  it('each asks something of every conductor, of steel more than of copper', () => {
    for (const profile of codeProfiles) {
      expect(profile.source).not.toBe('');
      for (const role of bondRoles)
        expect(smallestMm2(profile, role, 'zinc')).toBeGreaterThan(smallestMm2(profile, role, 'copper'));
    }
  });

  // Common practice, no source: copper on zinc or aluminium; tinned copper on either.
  it('metals that must not touch', () => {
    expect(metalsClash('copper', 'zinc')).toBe(true);
    expect(metalsClash('aluminium', 'copper')).toBe(true);
    for (const metal of metals) {
      expect(metalsClash(metal, metal)).toBe(false);
      expect(metalsClash(metal, 'tinned copper')).toBe(false);
    }
  });
});

describe('the ground of a site', () => {
  it('nothing is against a sound one, and it is not done before joints and readings are logged', () => {
    const { snags, ground } = groundOf();
    // But that nobody knows what the building’s electrode has.
    expect(snags.filter(({ part }) => part === 'ground').map(({ rule }) => rule)).toEqual(['earth-unknown']);
    expect(ground).toMatchObject({ state: 'in work', islands: [], tubes: [{ tubeV: 150, count: 1 }] });
    expect(ground.nodes.every(({ tied, joined }) => tied && joined === false)).toBe(false);
    const made = { by: 'Wenna', on: '2026-11-20' };
    const logged = aGround({ bonds: aGround().bonds.map((one) => ({ ...one, made })) });
    expect(groundOf(groundedSite(logged)).ground.next).toContain('Measure the resistance to earth');
    const reading = { by: 'Wenna', on: '2026-11-20', ohm: 0.05, method: 'four-wire' as const };
    const measured = {
      ...logged,
      readings: [
        ...logged.bonds.map(({ id }) => ({ ...reading, id: `r-${id}`, kind: 'bond' as const, about: id })),
        {
          ...reading,
          id: 'earth',
          kind: 'earth' as const,
          about: 'bar',
          ohm: 8,
          method: 'clamp-on' as const,
        },
      ],
    };
    const done = groundOf(groundedSite(measured));
    expect(done.ground).toMatchObject({ state: 'done', next: '' });
    expect(done.groundHeadline).toContain('measured');
    expect(done.ground.earth.resistance?.value).toBe(8);
  });

  // Two rods of 33 ohm, one length apart and more: 33·1.16/2 = 19.2 ohm. IEEE Std 142.
  it('two rods share the soil; a measured building electrode lies beside them', () => {
    expect(groundOf().ground.earth.resistance?.value).toBeCloseTo(19.2, 0);
    const site = groundedSite(
      aGround({
        readings: [
          {
            id: 'r',
            kind: 'earth',
            about: 'building',
            ohm: 19.2,
            method: 'clamp-on',
            by: 'Wenna',
            on: '2026-11-20',
          },
        ],
      }),
    );
    expect(groundOf(site).ground.earth.resistance?.value).toBeCloseTo(9.6, 0);
    const dry = groundedSite(aGround({ season: 2 }));
    expect(groundOf(dry).ground.earth.resistance?.value).toBeCloseTo(38.3, 0);
  });

  it('volts of an arrester are those along its way; a metre more costs what it says', () => {
    const { ground } = groundOf();
    const arrester = ground.nodes.find(({ kind }) => kind === 'arrester');
    expect(arrester?.path).toEqual(['mounted', 'bar-rod']);
    const [bar] = ground.bonds.filter(({ bond: { id } }) => id === 'bar-rod');
    expect(arrester?.volts?.value).toBeCloseTo(bar.first?.value ?? NaN, 6);
    // There is one arrester only: it stands highest.
    expect(ground.highest).toEqual(arrester?.volts);
    const longer = groundOf(
      groundedSite(
        aGround({
          bonds: aGround().bonds.map((one) => (one.id === 'bar-rod' ? { ...one, lengthM: 2 } : one)),
        }),
      ),
    ).ground.bonds.find(({ bond: { id } }) => id === 'bar-rod');
    expect(longer?.first?.value).toBeCloseTo((bar.first?.value ?? NaN) + bar.perMetre.value, 6);
  });

  it('a length nobody knows is no length of nothing: its volts are not known', () => {
    const without = (id: string) =>
      groundOf(
        groundedSite(
          aGround({
            nodes: aGround().nodes.map(({ point: _, ...one }) => one),
            bonds: aGround().bonds.map(({ lengthM, ...one }) =>
              one.id === id ? one : { ...one, ...(lengthM === undefined ? {} : { lengthM }) },
            ),
          }),
        ),
      ).ground;
    const ground = without('bar-rod');
    const arrester = ground.nodes.find(({ kind }) => kind === 'arrester');
    // To the building’s electrode every length is known: that way is said, not the unknown one.
    expect(arrester?.path).toEqual(['mounted', 'bar-building']);
    expect(ground.bonds.find(({ bond }) => bond.id === 'bar-rod')).toMatchObject({
      length: undefined,
      inductance: undefined,
      first: undefined,
      subsequent: undefined,
    });
    const only = groundOf(
      groundedSite(
        aGround({
          nodes: [{ id: 'bar', name: 'bar', kind: 'entry bar', metal: 'copper' }, aGround().nodes[2]],
          bonds: [aGround().bonds[6], { ...bond('bar', 'building'), lengthM: undefined }],
        }),
      ),
    ).ground;
    expect(only.highest).toBeUndefined();
    expect(only.voltsUnknown.map(({ kind }) => kind)).toEqual(['arrester']);
    expect(only.nodes.find(({ kind }) => kind === 'arrester')).toMatchObject({
      volts: undefined,
      unmeasured: ['bar-building'],
    });
  });

  it('a bare conductor in the soil is an electrode beside the rods', () => {
    const bare = (bareDepthM?: number) =>
      groundOf(
        groundedSite(
          aGround({
            bonds: aGround().bonds.map((one) =>
              one.id === 'rod-mast-rod' && bareDepthM !== undefined ? { ...one, bareDepthM } : one,
            ),
          }),
        ),
      ).ground.earth.resistance?.value ?? NaN;
    // BS 7430, from memory: 10 m of 16 mm² (4.51 mm) at 0.5 m in 100 ohm m: 100/(2π·10)·ln(100/(1.85·0.5·0.00451)) = 16.1 ohm.
    expect(1 / bare(0.5)).toBeCloseTo(1 / bare() + 1 / 16.07, 3);
  });

  it('survives losing any part, and what leads to it goes with it', () => {
    const site = groundedSite();
    for (const { id } of site.ground.nodes) {
      const less = applySiteChange(site, { op: 'remove node', id });
      expect(checkSite(less)).toEqual([]);
      expect(groundOf(less).ground.nodes.some((one) => one.id === id)).toBe(false);
    }
    const gone = applySiteChange(site, { op: 'remove point', id: 'foot' });
    expect(gone.ground.nodes.find(({ id }) => id === 'mast')?.point).toBeUndefined();
    expect(checkSite(gone)).toEqual([]);
  });

  it('names what it has not with its place', () => {
    const spoilt = groundedSite(
      aGround({
        nodes: [...aGround().nodes, node('bar', 'rack'), node('lost', 'rack', { point: 'moon' })],
        bonds: [...aGround().bonds, bond('bar', 'moon'), bond('bar', 'bar', { id: 'loop' })],
        readings: [
          {
            id: 'r',
            kind: 'earth',
            about: 'moon',
            ohm: 1,
            method: 'clamp-on',
            by: 'Wenna',
            on: '2026-11-20',
          },
        ],
      }),
    );
    expect(checkSite(spoilt).map(({ where }) => where)).toEqual([
      'ground.nodes[7].id',
      'ground.nodes[8].point',
      'ground.bonds[7].to',
      'ground.bonds[8].to',
      'ground.readings[0].about',
    ]);
  });
});
