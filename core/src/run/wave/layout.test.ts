import { describe, expect, it } from 'vitest';
import { catalog, entry, faceName, faceOf, seriesOf, stopToPlaneMm } from '../../catalog/index.js';
import { jointElements, sweep } from '../../line/index.js';
import { anOutdoorRun, aRun, cable } from '../aRun.fixture.js';
import { facesOf, layOut } from './layout.js';
import { routeLength } from '../../route/index.js';

const laidOut = (design = aRun()) => layOut(design, catalog, []);

describe('a run on its ruler', () => {
  it('shows each piece the faces of its own ends, radio side first', () => {
    const jumper = cable({ a: { part: 'uhf-plug-crimp-10mm' } });
    expect(facesOf(jumper, catalog).map(faceName)).toEqual(['UHF plug', 'N plug']);
    const turned = { kind: 'adapter' as const, id: 'x', adapter: 'uhf-plug-to-n-jack', reversed: true };
    expect(facesOf(turned, catalog).map(faceName)).toEqual(['N jack', 'UHF plug']);
  });

  it('its elements lie end to end and as long as its pieces', () => {
    const { elements, pieces, totalM } = laidOut(anOutdoorRun());
    for (let k = 1; k < elements.length; k++)
      expect(elements[k].fromM).toBeGreaterThanOrEqual(elements[k - 1].fromM);
    expect(elements.at(-1)?.toM).toBeCloseTo(totalM, 12);
    expect(totalM).toBeCloseTo(
      pieces.reduce((sum, { fromM, toM }) => sum + toM - fromM, 0),
      12,
    );
  });
});

// By addition: the cable over its velocity factor, both connectors from stop to plane, and the halves of the sockets it meets.
it.each(['n-plug-crimp-10mm', 'n-plug-gland-10mm', 'uhf-plug-crimp-10mm'])(
  'between two %s a wave takes as long as cable and connectors say',
  (part) => {
    const whole = cable({ cable: 'rg213', lengthM: 3, a: { part }, b: { part } });
    const own = entry(catalog.parts, part);
    const { elements } = laidOut(aRun({ pieces: [whole] }));
    const waveM = elements.reduce(
      (sum, { element }) => sum + (element.kind === 'line' ? element.lengthM / element.velocityFactor : 0),
      0,
    );
    const { velocityFactor } = entry(catalog.cables, 'rg213');
    const sockets = seriesOf(faceOf('n-jack')).electricalMm.jack / 1000;
    const between = (3 - (2 * stopToPlaneMm(own)) / 1000) / velocityFactor;
    expect(waveM).toBeCloseTo(between + (2 * own.electricalMm) / 1000 + 2 * sockets, 3);
  },
);

describe('a joint alone in a matched line', () => {
  const echo = (face: 'uhf' | 'n' | 'bnc', hz: number): number => {
    const design = aRun({
      radio: { name: 'Set', face: `${face}-jack`, handheld: false },
      pieces: [
        cable({ cable: 'rg58', a: { part: `${face}-plug-crimp-5mm` }, b: { part: 'n-plug-crimp-5mm' } }),
      ],
    });
    const [{ left, right }] = laidOut(design).joints;
    const elements = jointElements(left, right);
    return sweep(elements, { re: 50, im: 0 }, new Float64Array([hz])).reflection[0];
  };

  // Trade fact, no source: a UHF pair is harmless on HF and plainly seen at 432 MHz; N and BNC hide in their bands.
  it('UHF hides on HF and shows at 432 MHz', () => {
    expect(echo('uhf', 7e6)).toBeLessThan(0.01);
    expect(echo('uhf', 432e6)).toBeGreaterThan(0.08);
  });

  it.each(['n', 'bnc'] as const)('%s hides at 432 MHz', (face) =>
    expect(echo(face, 432e6)).toBeLessThan(0.005),
  );

  // A short line of Z in a line of Z0 reflects about β·l/2·|Z/Z0 − Z0/Z|: Pozar, theory of small reflections.
  it('reflects what the theory of small reflections says', () => {
    const lengthM = 0.034;
    const expected = ((2 * Math.PI * 50e6) / 299_792_458) * (lengthM / 2) * Math.abs(35 / 50 - 50 / 35);
    expect(echo('uhf', 50e6)).toBeCloseTo(expected, 3);
  });
});

// An entry plate is dry inside (handbook of the trade): of an arrester at the entry only the outer side is in the weather.
it('an arrester at the entry has a dry and a wet side', () =>
  expect(
    layOut(anOutdoorRun(), catalog, routeLength(anOutdoorRun().legs, 0).spans).joints.map(({ zone }) => zone),
  ).toEqual(['dry', 'dry', 'outdoor', 'outdoor']));
