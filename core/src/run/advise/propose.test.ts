import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultPractice } from '../../practice/index.js';
import { catalog, entry, faceOf } from '../../catalog/index.js';
import { anOutdoorRun, sheetOf } from '../aRun.fixture.js';
import { assembliesOf, checkReferences, insteadOfCable, proposeRun, proposeRuns } from '../index.js';

const wish = anOutdoorRun();

describe('a run from two ports', () => {
  // Ports which exist on sets and antennas of the trade.
  const ports = fc.constantFrom('uhf-jack', 'n-jack', 'bnc-jack', 'sma-jack', 'sma-plug', 'rp-sma-jack');

  it('mates everywhere, reaches, and has its arrester', () => {
    fc.assert(
      fc.property(
        ports,
        ports,
        fc.constantFrom(7e6, 151.6e6, 452e6),
        fc.double({ min: 2, max: 40, noNaN: true }),
        (radio, antenna, hz, lengthM) => {
          const design = proposeRun(
            {
              ...wish,
              service: { ...wish.service, bands: [{ name: 'band', lowHz: hz, highHz: hz }] },
              radio: { name: 'Set', face: radio, handheld: false },
              antenna: { name: 'Aerial', face: antenna, swr: 1.5, dcShort: true },
              legs: wish.legs.map((leg, k) => (k === 1 ? { ...leg, lengthM } : leg)),
            },
            catalog,
            defaultPractice,
          );
          const sheet = sheetOf(design);
          expect(checkReferences(design, catalog)).toEqual([]);
          expect(sheet.passes).toBe(true);
          expect(sheet.snags.filter(({ level }) => level === 'stop')).toEqual([]);
          expect(design.pieces.some(({ kind }) => kind === 'arrester')).toBe(true);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('takes the thinnest cable which is good enough: short and low, thin; long and high, thick', () => {
    const cableOf = (hz: number, lengthM: number): number => {
      const design = proposeRun(
        {
          ...wish,
          service: { ...wish.service, bands: [{ name: 'b', lowHz: hz, highHz: hz }] },
          legs: [{ ...wish.legs[0], lengthM }],
        },
        catalog,
        defaultPractice,
      );
      const [main] = design.pieces;
      return main.kind === 'assembly' ? (catalog.cables.get(main.cable)?.jacketMm ?? 0) : 0;
    };
    expect(cableOf(7e6, 5)).toBeLessThan(cableOf(450e6, 30));
  });

  it('joins rare ports too, by the best adapters', () => {
    for (const [radio, antenna] of [
      ['fme-jack', 'n-jack'],
      ['mini-uhf-jack', '7-16-jack'],
      ['rp-tnc-jack', '43-10-jack'],
      ['tnc-jack', 'bnc-plug'],
    ]) {
      const design = proposeRun(
        {
          ...wish,
          service: { ...wish.service, bands: [{ name: 'b', lowHz: 450e6, highHz: 460e6 }] },
          radio: { name: 'Set', face: radio, handheld: false },
          antenna: { name: 'Aerial', face: antenna, swr: 1.3, dcShort: true },
        },
        catalog,
        defaultPractice,
      );
      expect(sheetOf(design).passes, `${radio} to ${antenna}`).toBe(true);
    }
  });

  // Handbook practice: 75 ohm for receiving; direct current to a preamplifier asks for an arrester that passes it.
  it('a receiver on F ports with a fed preamplifier gets 75 ohm cable and an arrester which passes the feed', () => {
    const design = proposeRun(
      {
        ...wish,
        service: {
          ...wish.service,
          powerW: 0,
          dcFeed: true,
          bands: [{ name: 'w', lowHz: 137e6, highHz: 138e6 }],
        },
        radio: { name: 'Receiver', face: 'f-jack', handheld: false },
        antenna: { name: 'Preamplifier', face: 'f-jack', swr: 1.3, dcShort: false },
      },
      catalog,
      defaultPractice,
    );
    const cables = design.pieces.filter((piece) => piece.kind === 'assembly');
    expect(cables.every(({ cable }) => catalog.cables.get(cable)?.impedanceOhm === 75)).toBe(true);
    const arrester = design.pieces.find((piece) => piece.kind === 'arrester');
    expect(arrester && catalog.arresters.get(arrester.arrester)?.passesDc).toBe(true);
    expect(sheetOf(design).snags.filter(({ level }) => level === 'stop')).toEqual([]);
  });

  const leg = (over: Partial<(typeof wish.legs)[number]>) => ({ ...wish.legs[1], slackM: 0, ...over });
  const cablesOf = (design: ReturnType<typeof proposeRun>) =>
    assembliesOf(design).map(({ cable }) => entry(catalog.cables, cable));
  const stylesOf = (design: ReturnType<typeof proposeRun>): string[] =>
    assembliesOf(design).flatMap(({ a, b }) => [a, b].map(({ part }) => entry(catalog.parts, part).style));

  // A repeater on the air all the time, 36 m up a mast: stiff line with jumpers at both ends (handbook of the trade).
  const repeater = {
    ...wish,
    service: {
      ...wish.service,
      bands: [{ name: 'r', lowHz: 155e6, highHz: 155e6 }],
      powerW: 50,
      duty: 1,
      lossBudgetDb: 1.6,
    },
    radio: { name: 'Duplexer', face: 'n-jack', handheld: false },
    antenna: { name: 'Collinear', face: 'n-jack', swr: 1.5, dcShort: true },
    legs: [
      leg({ id: 'rack', zone: 'dry', kind: 'indoor tray', lengthM: 4 }),
      leg({ id: 'roof', zone: 'outdoor', lengthM: 6 }),
      leg({ id: 'mast', zone: 'ice', kind: 'tower leg', lengthM: 30 }),
    ],
  };

  it('three stand side by side: thinnest (no prices are known), best value, lowest loss, each with what it gives up', () => {
    const all = proposeRuns(repeater, catalog, defaultPractice);
    expect(all.flatMap(({ kinds }) => kinds)).toEqual(['thinnest', 'best value', 'lowest loss']);
    const [cheap, quiet] = [all[0], all[all.length - 1]];
    expect(quiet.lineDb).toBeLessThanOrEqual(cheap.lineDb);
    if (all.length > 1) expect(cheap.givesUp).toMatch(/dB more loss/);
    for (const { design } of all)
      expect(sheetOf(design).snags.filter(({ level }) => level === 'stop')).toEqual([]);
  });

  it('stiff line has a flexible jumper at both ends', () => {
    const quiet = proposeRuns(repeater, catalog, defaultPractice).find(({ kinds }) =>
      kinds.includes('lowest loss'),
    );
    const cables = cablesOf(quiet?.design ?? proposeRun(repeater, catalog, defaultPractice));
    expect(Math.max(...cables.map(({ jacketMm }) => jacketMm))).toBeGreaterThan(12);
    for (const end of [cables[0], cables[cables.length - 1]]) {
      expect(end.jacketMm).toBeLessThan(12);
      expect(end.centreKind).toBe('stranded');
    }
  });

  // Boat: 14 m to the masthead, PL-259 wished at both ends; salt asks for tinned cable (handbook of the trade).
  it('in salt the cable is tinned throughout, and UHF stays UHF', () => {
    const boat = {
      ...wish,
      service: { ...wish.service, bands: [{ name: 'v', lowHz: 156.8e6, highHz: 156.8e6 }] },
      radio: { name: 'Set', face: 'uhf-jack', handheld: false },
      antenna: { name: 'Whip', face: 'uhf-jack', swr: 1.5, dcShort: true },
      legs: [
        leg({ id: 'hull', zone: 'dry', lengthM: 2 }),
        leg({ id: 'mast', zone: 'salt', kind: 'tower leg', lengthM: 12 }),
      ],
    };
    const design = proposeRun(boat, catalog, defaultPractice);
    for (const cable of cablesOf(design)) expect(cable.salt, cable.name).toBe('tinned throughout');
    const arrester = design.pieces.find((piece) => piece.kind === 'arrester');
    expect(arrester && faceOf(entry(catalog.arresters, arrester.arrester).faces[0]).series).toBe('uhf');
    for (const { a, b } of assembliesOf(design))
      for (const { part } of [a, b]) expect(faceOf(entry(catalog.parts, part).face).series).toBe('uhf');
  });

  // A dipole at SWR 3 on 7.2 MHz: 30 m of 10 mm cable lose 0.32 dB matched; the mismatch is not the cable's (handbook of the trade).
  it('mismatch does not buy thicker cable', () => {
    const dipole = {
      ...wish,
      service: {
        ...wish.service,
        bands: [{ name: '40', lowHz: 7e6, highHz: 7.2e6 }],
        powerW: 100,
        duty: 0.3,
        lossBudgetDb: 1,
      },
      radio: { name: 'Set', face: 'uhf-jack', handheld: false },
      antenna: { name: 'Dipole', face: 'uhf-jack', swr: 3, dcShort: false },
      legs: [
        leg({ id: 'shack', zone: 'dry', lengthM: 5 }),
        leg({ id: 'yard', zone: 'outdoor', lengthM: 25 }),
      ],
    };
    for (const { design } of proposeRuns(dipole, catalog, defaultPractice).slice(0, 2))
      expect(Math.max(...cablesOf(design).map(({ jacketMm }) => jacketMm))).toBeLessThan(11);
    const tight = sheetOf({
      ...proposeRun(dipole, catalog, defaultPractice),
      service: { ...dipole.service, lossBudgetDb: 0.1 },
    });
    expect(tight.snags.find(({ rule }) => rule === 'loss-budget')?.why).toContain('which no cable mends');
  });

  it('nobody gets a right angle or a piercing part unasked', () => {
    for (const face of ['n-jack', 'bnc-jack', 'sma-jack', 'tnc-jack', 'rp-sma-jack'])
      for (const { design } of proposeRuns(
        { ...wish, radio: { name: 'S', face, handheld: false } },
        catalog,
        defaultPractice,
      )) {
        expect(stylesOf(design).filter((style) => style === 'right angle' || style === 'piercing')).toEqual(
          [],
        );
        for (const piece of design.pieces)
          if (piece.kind === 'adapter')
            expect(entry(catalog.adapters, piece.adapter).form).not.toBe('right angle');
      }
  });

  const proposed = (over: Partial<typeof wish>) =>
    proposeRuns({ ...wish, ...over }, catalog, defaultPractice);
  const at = (hz: number, powerW = 25) => ({
    ...wish.service,
    bands: [{ name: 'b', lowHz: hz, highHz: hz }],
    powerW,
    lossBudgetDb: 3,
  });
  const radio = (face: string, handheld = false) => ({ name: 'Set', face, handheld });
  const antenna = (face: string) => ({ name: 'Aerial', face, swr: 1.5, dcShort: true });
  const inside = (lengthM: number) => [leg({ id: 'in', zone: 'dry', kind: 'indoor tray', lengthM })];

  it('cost is said only where every price is known', () => {
    const priced = {
      ...catalog,
      cables: new Map([...catalog.cables].map(([id, one]) => [id, { ...one, costPerM: 100 / one.jacketMm }])),
    };
    const [dear] = proposeRuns({ ...wish, service: at(145e6) }, priced, defaultPractice);
    expect(dear.kinds).toContain('lowest cost');
    // Where thin cable is the dearest, the thick one is the cheapest.
    const [thin] = proposed({ service: at(145e6) });
    expect(cablesOf(dear.design)[0].jacketMm).toBeGreaterThan(cablesOf(thin.design)[0].jacketMm);
  });

  it('where no cable keeps the budget, it says so and offers the least lossy alone, with what else helps', () => {
    const all = proposed({ service: at(2.45e9, 1), legs: [...inside(3), leg({ id: 'out', lengthM: 60 })] });
    expect(all).toMatchObject([{ kinds: ['lowest loss'], keepsBudget: false }]);
    expect(all[0].lineDb).toBeLessThan(6);
    const instead = insteadOfCable(all[0]).join('. ');
    expect(instead).toMatch(/amplifier at the antenna/i);
    // As much way as the budget is of the loss: 63 m · 3 dB over what it loses.
    const keptM = Number(/about ([\d.]+) m keep/.exec(instead)?.[1]);
    expect(keptM).toBeCloseTo((63 * 3) / all[0].lineDb, 1);
  });

  // Handbook of the trade, 2: 15 mm foam or 1/2 in corrugated with a flexible jumper at both ends, nothing with foil under its braid in duplex.
  it('a repeater is offered half inch, with quiet jumpers', () => {
    const ids = proposeRuns(repeater, catalog, defaultPractice).map(({ design }) =>
      assembliesOf(design).map(({ cable }) => cable),
    );
    expect(ids.some((own) => own.includes('h12'))).toBe(true);
    expect(ids.flat().some((id) => entry(catalog.cables, id).shieldKind === 'foil and braid')).toBe(false);
  });

  // Handbook of the trade, 11: a handheld's port takes 5 mm or less, the thick cable after it; a saver where it is coupled weekly.
  it.each([
    ['sma-jack', true],
    ['rp-sma-jack', false],
    ['mmcx-jack', false],
  ])('a small port (%s) bears thin cable only, whatever comes after it', (face, handheld) => {
    for (const { design } of proposed({
      service: at(869e6, 0.5),
      radio: radio(face, handheld),
      antenna: antenna('n-jack'),
    })) {
      const [first, second] = design.pieces;
      const onPort = handheld ? second : first;
      if (handheld)
        expect(first).toMatchObject({ kind: 'adapter', adapter: expect.stringContaining('saver') as string });
      if (onPort.kind !== 'assembly') throw new Error(`${onPort.kind} on the port`);
      expect(entry(catalog.cables, onPort.cable).jacketMm).toBeLessThanOrEqual(handheld ? 5.5 : 6.5);
    }
  });

  // Handbook of the trade, 11: receive-only with F is 75 ohm end to end, the mismatch is 0.2 dB.
  it('receive-only with F at one end takes 75 ohm cable and F plugs', () => {
    const all = proposed({ service: at(137e6, 0), radio: radio('f-jack'), antenna: antenna('n-jack') });
    expect(all.length).toBeGreaterThan(0);
    for (const { design } of all)
      expect(cablesOf(design).every(({ impedanceOhm }) => impedanceOhm === 75)).toBe(true);
  });

  it.each(['fme-jack', 'rca-jack', 'pair-jack'])(
    'an antenna with %s gets its own connector outdoors',
    (face) => {
      const all = proposed({ service: at(14e6, face === 'rca-jack' ? 0 : 100), antenna: antenna(face) });
      expect(all.length).toBeGreaterThan(0);
      for (const { design } of all) expect(design.pieces[design.pieces.length - 1].kind).toBe('assembly');
    },
  );

  it('4.3 m inside is one jumper', () => {
    for (const { design } of proposed({ service: at(145e6), legs: inside(4.3) }))
      expect(assembliesOf(design)).toHaveLength(1);
  });

  it('nothing is offered that its place spoils: thin outdoors, untinned in salt', () => {
    for (const { design } of proposed({ service: at(145e6, 100) }))
      expect(Math.min(...cablesOf(design).map(({ jacketMm }) => jacketMm))).toBeGreaterThanOrEqual(4.5);
    for (const { design } of proposed({
      service: at(156e6),
      legs: [leg({ id: 'sea', zone: 'salt', lengthM: 14 })],
    }))
      expect(cablesOf(design).every(({ salt }) => salt === 'tinned throughout')).toBe(true);
  });
});
