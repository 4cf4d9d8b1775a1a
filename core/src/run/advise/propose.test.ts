import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultPractice } from '../../practice/index.js';
import { catalog } from '../../catalog/index.js';
import { anOutdoorRun, sheetOf } from '../aRun.fixture.js';
import { proposeRun, checkReferences } from '../index.js';

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
});
