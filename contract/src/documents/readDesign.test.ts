import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog } from '@kobran/core';
import { anOutdoorRun, aRun, cable } from '../../../core/src/run/aRun.fixture.js';
import { readDesign } from './readDesign.js';

const problems = (value: unknown): { where: string; message: string; remedy: string; code: string }[] => {
  const read = readDesign(value, catalog);
  return read.ok ? [] : read.problems;
};
const plain = (value: unknown): Record<string, never> =>
  JSON.parse(JSON.stringify(value)) as Record<string, never>;

describe('reading a design', () => {
  it('takes a sound one, and gives back the same document', () => {
    const read = readDesign(plain(anOutdoorRun()), catalog);
    expect(read.ok && plain(read.design)).toEqual(plain(anOutdoorRun()));
  });

  // Designs of earlier versions named parts which cannot exist: they open with the part in their place.
  it.each([
    ['n-plug-gland-half-inch', 'n-plug-corrugated-half-inch'],
    ['uhf-plug-gland-15mm', 'n-plug-gland-15mm'],
  ])('%s of an earlier catalogue is read as %s', (old, now) => {
    const read = readDesign(plain(aRun({ pieces: [cable({ cable: 'h12', a: { part: old } })] })), catalog);
    expect(read.ok && read.design.pieces[0]).toMatchObject({
      a: { part: now },
      b: { part: 'n-plug-crimp-10mm' },
    });
  });

  it.each(['legs', 'bands', 'pieces', 'spots'])(
    'a list within %s, and its absence, are refused with the place',
    (name) => {
      const withIt = (list: unknown): unknown => {
        const { service, ...design } = plain(aRun());
        if (name === 'bands') return { ...design, service: { ...(service as object), bands: list } };
        if (name === 'spots') return { ...design, service, pieces: [{ ...cable(), spots: list }] };
        return { ...design, service, [name]: list };
      };
      for (const list of [[[]], [[[]]], [null], 'none', {}, ...(name === 'spots' ? [] : [undefined])])
        expect(
          problems(withIt(list)).map(({ where }) => where),
          JSON.stringify(list),
        ).toContainEqual(expect.stringContaining(name));
    },
  );

  it.each(['service', 'radio', 'antenna'])('a design without its %s is refused there', (name) => {
    for (const instead of [undefined, null, [], 'x'])
      expect(
        problems({ ...plain(aRun()), [name]: instead }).map(({ where }) => where),
        JSON.stringify(instead),
      ).toContainEqual(expect.stringContaining(name));
  });

  it('takes a run of no pieces: people plan in steps', () =>
    expect(problems(plain(aRun({ pieces: [] })))).toEqual([]));

  it.each([
    ['an unknown cable', aRun({ pieces: [cable({ cable: 'rg2l3' })] }), 'pieces[0].cable', 'rg213'],
    [
      'an unknown part',
      aRun({ pieces: [cable({ b: { part: 'n-plug-crimp-11mm' } })] }),
      'pieces[0].b.part',
      'n-plug-crimp-10mm',
    ],
    [
      'an unknown face',
      aRun({ radio: { name: 'Set', face: 'rp-tnd-jack', handheld: false } }),
      'radio.face',
      'Use a known id',
    ],
  ])('%s: where it is and what is near', (_, design, where, hint) => {
    const [problem] = problems(plain(design));
    expect(problem.where).toBe(where);
    expect(problem.remedy).toContain(hint);
  });

  it.each([
    ['negative length', aRun({ pieces: [cable({ lengthM: -3 })] }), 'pieces[0].lengthM'],
    ['zero length', aRun({ pieces: [cable({ lengthM: 0 })] }), 'pieces[0].lengthM'],
    ['absurd power', aRun({ service: { powerW: 1e12 } }), 'service.powerW'],
    [
      'SWR below one',
      aRun({ antenna: { name: 'A', face: 'n-jack', swr: 0.5, dcShort: false } }),
      'antenna.swr',
    ],
    [
      'a band which ends before it starts',
      aRun({ service: { bands: [{ name: 'b', lowHz: 2e6, highHz: 1e6 }] } }),
      'service.bands[0].highHz',
    ],
    ['two pieces of one name', aRun({ pieces: [cable(), cable()] }), 'pieces[1].id'],
    ['a port’s name for a piece', aRun({ pieces: [cable({ id: 'radio' })] }), 'pieces[0].id'],
  ])('%s is refused at its place', (_, design, where) =>
    expect(problems(plain(design)).map((p) => p.where)).toContain(where),
  );

  it('words where a number belongs', () => {
    const design = plain(aRun()) as unknown as { service: { powerW: unknown } };
    design.service.powerW = 'plenty';
    expect(problems(design).map(({ where }) => where)).toContain('service.powerW');
  });

  it('500 pieces: one problem, not five hundred', () => {
    const many = Array.from({ length: 500 }, (_, k) => cable({ id: `p${k}` }));
    const found = problems(plain(aRun({ pieces: many })));
    expect(found).toHaveLength(1);
    expect(found[0].message).toContain('this one has 500');
  });

  it('properties nobody knows are refused, not dropped', () => {
    expect(problems({ ...plain(aRun()), colour: 'red' }).map(({ where }) => where)).toEqual(['colour']);
    expect(
      problems(plain(aRun({ pieces: [{ ...cable(), kind: 'balun' } as never] }))).map(({ where }) => where),
    ).toContain('pieces[0].kind');
  });

  it('never throws, whatever the JSON', () => {
    fc.assert(fc.property(fc.jsonValue(), (value) => typeof readDesign(value, catalog).ok === 'boolean'));
    fc.assert(
      fc.property(
        fc.jsonValue(),
        (value) => !readDesign({ ...plain(aRun()), pieces: value }, catalog).ok || Array.isArray(value),
      ),
    );
  });
});
