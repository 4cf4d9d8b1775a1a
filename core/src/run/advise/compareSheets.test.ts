import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { anOutdoorRun, aRun, cable, sheetOf } from '../aRun.fixture.js';
import { compareSheets, fitJoint } from '../index.js';

describe('what if', () => {
  const thin = sheetOf(
    aRun({
      pieces: [cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
    }),
  );
  const thick = sheetOf(aRun());

  it('thicker cable loses less and lets more arrive', () => {
    const of = (name: string) => compareSheets(thin, thick).find((line) => line.name === name);
    expect(of('Loss')?.better).toBe('after');
    expect(of('Reaches the antenna')?.better).toBe('after');
    expect(of('Joints')?.better).toBeUndefined();
    expect(compareSheets(thick, thin).find(({ name }) => name === 'Loss')?.better).toBe('before');
  });

  it('a run is as good as itself', () =>
    expect(compareSheets(thick, thick).every(({ better }) => better === undefined)).toBe(true));

  it('speaks of signal-to-noise where nothing is sent', () => {
    const receive = sheetOf(aRun({ service: { powerW: 0 } }));
    expect(compareSheets(receive, receive)[0].name).toBe('Signal-to-noise lost');
  });
});

describe('make it fit', () => {
  const wrong = anOutdoorRun({ antenna: { name: 'Aerial', face: 'uhf-jack', swr: 1.3, dcShort: true } });

  it('ranks re-ending and adapters together, what passes and has fewest joints first', () => {
    const ways = fitJoint(wrong, 'main>antenna', catalog);
    expect(ways[0]).toMatchObject({ kind: 're-end', joints: 0, passes: true });
    expect(ways.some(({ kind }) => kind === 'adapters')).toBe(true);
    const rank = ways.map(({ passes, joints }) => (passes ? 0 : 100) + joints);
    expect(rank).toEqual(rank.toSorted((a, b) => a - b));
  });

  it('a joint that is gone has no ways', () => expect(fitJoint(wrong, 'a>b', catalog)).toEqual([]));
});
