import { describe, expect, it } from 'vitest';
import { tapes } from '../catalog/index.js';
import { passOver, passesFor, thicker, wrapJoint } from './index.js';

/** A UHF plug on 5 mm cable in a jack: ferrule, nut, jack body. */
const smallPlug = [
  { name: 'ferrule', lengthM: 0.017, diameterM: 0.0064 },
  { name: 'nut', lengthM: 0.021, diameterM: 0.0182 },
  { name: 'jack', lengthM: 0.016, diameterM: 0.0159 },
];
const jackets = { lowerM: 0.005, upperM: 0.0159 };

describe('tape over a joint', () => {
  // Common practice, no source: 8 to 12 in of unstretched 38 mm rubber on one small plug, per pass.
  it.each(['a little', 'hard'] as const)('one pass, stretched %s, takes 200 to 300 mm', (school) => {
    const { rubber } = wrapJoint(smallPlug, jackets, 'sheltered', { stretch: school, lap: 'half' });
    expect(rubber.value).toBeGreaterThan(0.19);
    expect(rubber.value).toBeLessThan(0.305);
  });

  // Common practice, no source: two passes, three in ice.
  it('more weather, more passes', () => {
    expect(passesFor).toMatchObject({ sheltered: 1, outdoor: 2, ice: 3, salt: 3 });
    expect(
      wrapJoint(smallPlug, jackets, 'ice', { stretch: 'a little', lap: 'half' }).passes.filter(
        ({ tape }) => tape.kind === 'rubber',
      ),
    ).toHaveLength(3);
  });

  it('a helix on a plain cylinder has the length of geometry', () => {
    const { turns, tapeM } = passOver(
      [{ name: 'pipe', lengthM: 0.1, diameterM: 0.02 }],
      tapes.rubber38,
      1,
      1 / 2,
    );
    expect(turns).toBeCloseTo(0.1 / 0.019, 9);
    expect(tapeM).toBeCloseTo(turns * Math.sqrt((Math.PI * 0.02) ** 2 + 0.019 ** 2), 12);
  });

  // Geometry: edge to edge one layer, half lap two, two thirds three.
  it.each([0, 1 / 2, 2 / 3])(
    'keeps the tape’s volume at lap %d: what goes on thick comes off the roll',
    (lap) => {
      const pipe = [{ name: 'pipe', lengthM: 0.5, diameterM: 0.03 }];
      const stretch = 1.8;
      const { tapeM } = passOver(pipe, tapes.rubber38, stretch, lap);
      const volume = tapeM * (tapes.rubber38.widthMm / 1000) * (tapes.rubber38.thicknessMm / 1000);
      const after = thicker(pipe, tapes.rubber38, stretch, lap)[0].diameterM;
      const shell = (Math.PI / 4) * (after ** 2 - 0.03 ** 2) * 0.5;
      expect(Math.abs(volume / shell - 1)).toBeLessThan(0.12);
    },
  );

  it('two thirds of a lap are three layers: half as much rubber again', () => {
    const rubberM = (lap: 'half' | 'two thirds'): number =>
      wrapJoint(smallPlug, jackets, 'sheltered', { stretch: 'a little', lap }).rubber.value;
    // A little less than half as much again: the turns lie less aslant.
    const ratio = rubberM('two thirds') / rubberM('half');
    expect(ratio).toBeGreaterThan(1.35);
    expect(ratio).toBeLessThan(1.5);
  });

  it('the sun layer covers the rubber and runs past it', () => {
    const wrap = wrapJoint(smallPlug, jackets, 'outdoor', { stretch: 'hard', lap: 'half' });
    expect(wrap.passes.at(-1)?.tape.kind).toBe('vinyl');
    expect(wrap.finishedDiameter.value).toBeGreaterThan(0.0182);
    expect(wrap.stopM - wrap.startM).toBeCloseTo(wrap.length.value, 12);
  });
});
