import { describe, expect, it } from 'vitest';
import { catalog, withShop } from '../../catalog/index.js';
import { anOutdoorRun, aRun, cable, fact, mends, sheetWith, snagsOf } from '../aRun.fixture.js';
import type { AnyPiece, Design } from '../design/design.js';
import { toolIds, type ToolId } from '../../make/index.js';
import { defaultPractice } from '../../practice/index.js';
import { endIdsOf } from '../design/ids.js';
import { noFacts } from '../facts/facts.js';

const adapter = (id: string, adapterId: string, reversed = false): AnyPiece => ({
  kind: 'adapter',
  id,
  adapter: adapterId,
  reversed,
});

// Reflection of 50 against 75 ohm is 0.2: 14.0 dB (Pozar). Trade fact: a step shows as an echo.
describe('impedanceStep', () => {
  const step = aRun({
    pieces: [
      cable({ id: 'in', lengthM: 2 }),
      adapter('barrel', 'n-jack-to-n-jack'),
      cable({ cable: 'rg11', a: { part: 'n75-plug-crimp-10mm75' }, b: { part: 'n75-plug-crimp-10mm75' } }),
    ],
  });
  it('says the echo of the step', () => {
    const [snag] = snagsOf(step, 'impedance-step');
    expect(snag.level).toBe('caution');
    expect(snag.why).toContain('14.0 dB');
  });
  it('is a note when receiving, and silent where one impedance runs through', () => {
    expect(snagsOf({ ...step, service: { ...step.service, powerW: 0 } }, 'impedance-step')[0].level).toBe(
      'note',
    );
    expect(snagsOf(anOutdoorRun(), 'impedance-step')).toEqual([]);
  });
  it('is silent for a length that is meant: a transformer', () => {
    const target = { frequencyHz: 145e6, degrees: 90 };
    const [a, b, c] = step.pieces;
    expect(snagsOf({ ...step, pieces: [a, b, { ...c, target } as AnyPiece] }, 'impedance-step')).toEqual([]);
  });
});

// Common practice, no source: a stack hanging on an SMA port is a lever.
describe('adapterStack', () => {
  const stacked = aRun({
    radio: { name: 'Handheld', face: 'sma-jack', handheld: false },
    pieces: [
      adapter('one', 'sma-plug-to-bnc-jack'),
      adapter('two', 'n-jack-to-bnc-plug', true),
      cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } }),
    ],
  });
  it('cautions with the lever in mm; re-ending or a pigtail mends it', () => {
    const [snag] = snagsOf(stacked, 'adapter-stack');
    expect(snag.why).toMatch(/\d+ mm of lever on an SMA port/);
    expect(snag.remedies[0].title).toContain('End Main cable with an SMA plug');
    expect(mends(stacked, 'adapter-stack', 0)).toBe(true);
    expect(mends(stacked, 'adapter-stack', 1)).toBe(true);
  });
  it('is silent on a sturdy port', () =>
    expect(
      snagsOf({ ...stacked, radio: { name: 'Set', face: 'n-jack', handheld: false } }, 'adapter-stack'),
    ).toEqual([]));
});

// Common practice, no source.
describe('tooManyJoints', () => {
  const pair = (k: number): AnyPiece[] => [
    adapter(`a${k}`, 'n-plug-to-n-jack-saver'),
    adapter(`b${k}`, 'n-plug-to-n-jack-saver'),
  ];
  it('cautions beyond three adapters and takes the needless one out', () => {
    const run = aRun({ pieces: [...pair(1), ...pair(2), cable()] });
    const [snag] = snagsOf(run, 'too-many-joints');
    expect(snag.what).toBe('4 adapters in one run');
    expect(snag.remedies[0].title).toMatch(/^Take .* out$/);
    expect(mends(run, 'too-many-joints', 0)).toBe(true);
  });
  it('is silent with three', () =>
    expect(snagsOf(aRun({ pieces: [...pair(1), pair(2)[0], cable()] }), 'too-many-joints')).toEqual([]));
});

// Common practice, no source: stranded where it flexes.
describe('flexingCentre', () => {
  const legs: Design['legs'] = [
    { id: 'loop', name: 'the rotator loop', kind: 'rotator loop', zone: 'outdoor', lengthM: 12, slackM: 0.5 },
  ];
  it('cautions for a solid centre and offers a stranded one', () => {
    const solid = aRun({ legs, pieces: [cable({ cable: 'c400' })] });
    expect(snagsOf(solid, 'flexing-centre')[0].why).toContain('2.74 mm wire');
    expect(mends(solid, 'flexing-centre', 0)).toBe(true);
    expect(snagsOf(aRun({ legs }), 'flexing-centre')).toEqual([]);
  });
});

// Common practice, no source: foil and a body that turns over it do not go together.
describe('foilScrewOn', () => {
  it('cautions and offers a part that does not turn', () => {
    const run = aRun({
      radio: { name: 'Set', face: 'uhf-jack', handheld: false },
      pieces: [cable({ cable: 'c400', a: { part: 'uhf-plug-screw-on-10mm' } })],
    });
    const [snag] = snagsOf(run, 'foil-screw-on');
    expect(snag.at).toBe('main');
    expect(snag.remedies[0].title).toContain('crimp');
    expect(mends(run, 'foil-screw-on', 0)).toBe(true);
  });
});

// The shop’s own list of dies.
describe('toolNotOwned', () => {
  const withDies = (diesMm: number[]): ReturnType<typeof snagsOf> =>
    snagsOf(aRun(), 'tool', noFacts, { ...defaultPractice, diesMm });
  it('says the die that is missing and offers a part without one', () => {
    const [snag] = withDies([5.4, 6.5]);
    expect(snag.what).toContain('10.9 mm die');
    expect(snag.why).toContain('6.5 mm');
    expect(snag.remedies.some(({ detail }) => detail.includes('needs no die'))).toBe(true);
  });
  it('is silent when it is owned, or nothing is said of dies', () => {
    expect(withDies([10.9])).toEqual([]);
    expect(snagsOf(aRun(), 'tool')).toEqual([]);
  });
});

// Handbook practice: a card is only as good as the tools on the bench.
describe('toolNotOwned, tools', () => {
  const withTools = (tools: ToolId[], design = aRun()): ReturnType<typeof snagsOf> =>
    snagsOf(design, 'tool', noFacts, { ...defaultPractice, tools });
  it('a shop without a hex crimper is offered the gland', () => {
    const [snag] = withTools(toolIds.filter((tool) => tool !== 'crimper'));
    expect(snag.what).toContain('ratchet crimper');
    expect(snag.remedies[0].title).toContain('gland');
  });
  it('a shop with everything hears nothing, and neither does one whose ends are made', () => {
    expect(withTools([...toolIds])).toEqual([]);
    const made = endIdsOf('main').map((endId) => fact({ kind: 'end made', endId }));
    expect(snagsOf(aRun(), 'tool', made, { ...defaultPractice, tools: [] })).toEqual([]);
  });
});

// Friis’s formula with ITU-R P.372 noise: on HF thin cable is enough for receiving. Common practice says the same.
describe('cheaperCable', () => {
  const hf = aRun({ service: { powerW: 0, bands: [{ name: 'hf', lowHz: 5e6, highHz: 7e6 }] } });
  it('notes that thinner cable is enough, and takes it', () => {
    const [snag] = snagsOf(hf, 'cheaper-cable');
    expect(snag.level).toBe('note');
    expect(mends(hf, 'cheaper-cable', 0)).toBe(true);
  });
  it('is silent for a transmitter, and at UHF over a distance', () => {
    expect(snagsOf(aRun(), 'cheaper-cable')).toEqual([]);
    const uhf = { powerW: 0, bands: [{ name: 'uhf', lowHz: 1.2e9, highHz: 1.3e9 }] };
    expect(snagsOf(aRun({ service: uhf, pieces: [cable({ lengthM: 40 })] }), 'cheaper-cable')).toEqual([]);
  });
});

// SMA is rated for about 500 couplings (IEC 61169-15, from memory); the warning at 80 % is common practice.
describe('wornPort', () => {
  const handheld = aRun({
    radio: { name: 'Handheld 3', face: 'sma-jack', handheld: false },
    pieces: [cable({ cable: 'rg58', a: { part: 'sma-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
  });
  const coupled = (matings: number): ReturnType<typeof snagsOf> =>
    sheetWith(
      withShop(catalog, [
        {
          kind: 'port',
          data: {
            id: 'h3',
            name: 'Handheld 3',
            side: 'radio',
            face: 'sma-jack',
            lowHz: 144e6,
            highHz: 146e6,
            powerW: 5,
            handheld: true,
            swr: 1,
            dcShort: false,
            matings,
          },
        },
      ]),
      handheld,
    ).snags.filter(({ rule }) => rule === 'worn');
  it('warns from 80 % on and offers a saver', () => {
    expect(coupled(399)).toEqual([]);
    const [snag] = coupled(400);
    expect(snag.why).toBe('Coupled 400 times of the 500 it is rated for.');
    expect(snag.remedies[0].title).toContain('saver');
  });
});
