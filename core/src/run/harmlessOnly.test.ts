import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { partsFor } from '../fit/index.js';
import { legKinds, zones } from '../route/index.js';
import { defaultPractice } from '../practice/index.js';
import { arrester, aRun, sheetOf } from './aRun.fixture.js';
import { applyChange } from './design/change.js';
import { noFacts } from './facts/facts.js';
import { seenOf } from './seen.js';
import { snagsOf } from './snags/index.js';
import type { AnyPiece, Design } from './design/design.js';

/** By every rule, those which never stop included. */
const stops = (design: Design): Record<string, number> => {
  const found: Record<string, number> = {};
  const state = { facts: noFacts, practice: defaultPractice };
  for (const { level, rule } of snagsOf(seenOf(design, catalog, state).context))
    if (level === 'stop') found[rule] = (found[rule] ?? 0) + 1;
  return found;
};

const cableIds = [...catalog.cables.keys()];
/** A piece of some cable with some parts which fit it. */
const anyCable = (id: string): fc.Arbitrary<AnyPiece> =>
  fc.constantFrom(...cableIds).chain((cable) => {
    const parts = partsFor(entry(catalog.cables, cable), catalog.parts.values()).map((part) => part.id);
    return fc.record({
      kind: fc.constant('assembly' as const),
      id: fc.constant(id),
      label: fc.constant(id),
      cable: fc.constant(cable),
      lengthM: fc.double({ min: 0.5, max: 40, noNaN: true }),
      a: fc.record({ part: fc.constantFrom(...parts) }),
      b: fc.record({ part: fc.constantFrom(...parts) }),
    });
  });
const anyLeg = (id: string) =>
  fc.record({
    id: fc.constant(id),
    name: fc.constant(id),
    kind: fc.constantFrom(...legKinds),
    zone: fc.constantFrom(...zones),
    lengthM: fc.double({ min: 0.5, max: 20, noNaN: true }),
    slackM: fc.double({ min: 0, max: 1, noNaN: true }),
  });
const anyRun = fc
  .record({
    inner: anyCable('in'),
    main: anyCable('main'),
    protected: fc.boolean(),
    legs: fc.tuple(anyLeg('one'), anyLeg('two'), anyLeg('three')),
    powerW: fc.constantFrom(0, 0.5, 25, 400, 1500),
    mhz: fc.constantFrom(3.6, 145, 440, 868),
    swr: fc.constantFrom(1.2, 3, 12),
    radio: fc.constantFrom('n-jack', 'uhf-jack', 'sma-jack', 'bnc-jack', 'f-jack'),
    dcFeed: fc.boolean(),
  })
  .map(({ inner, main, legs, powerW, mhz, swr, radio, dcFeed, protected: guarded }) =>
    aRun({
      service: { bands: [{ name: 'band', lowHz: mhz * 1e6, highHz: mhz * 1.01e6 }], powerW, duty: 1, dcFeed },
      radio: { name: 'Set', face: radio, handheld: false },
      antenna: { name: 'Aerial', face: 'n-jack', swr, dcShort: false },
      pieces: guarded ? [inner, arrester(), main] : [inner, main],
      legs,
    }),
  );

describe('a remedy never makes something worse', () => {
  // A law, also where a run has everything against it: no rule has more stops after a remedy than before.
  it('on any run', () => {
    fc.assert(
      fc.property(anyRun, (design) => {
        const before = stops(design);
        for (const { remedies, rule } of sheetOf(design).snags) {
          for (const { changes, title } of remedies) {
            const after = stops(changes.reduce(applyChange, design));
            for (const [broken, count] of Object.entries(after))
              expect(count, `${rule}: ${title} breaks ${broken}`).toBeLessThanOrEqual(before[broken] ?? 0);
          }
        }
      }),
      { numRuns: 20 },
    );
  });

  // RG-59 has no jacket for earth: cheaper it may be.
  it('no cable which may not lie in earth is offered for a buried run', () => {
    const buried = aRun({
      service: { powerW: 0, bands: [{ name: 'band', lowHz: 144e6, highHz: 146e6 }], lossBudgetDb: 9 },
      pieces: [
        {
          kind: 'assembly',
          id: 'main',
          label: 'Main',
          cable: 'h12',
          lengthM: 12.5,
          a: { part: 'n-plug-corrugated-half-inch' },
          b: { part: 'n-plug-corrugated-half-inch' },
        },
      ],
      legs: [
        { id: 'lawn', name: 'the lawn', kind: 'direct burial', zone: 'buried', lengthM: 12, slackM: 0.3 },
      ],
    });
    const offered = sheetOf(buried).snags.flatMap(({ remedies }) =>
      remedies.flatMap(({ changes }) =>
        changes.flatMap((change) =>
          change.op === 'set piece' && change.piece.kind === 'assembly' ? [change.piece.cable] : [],
        ),
      ),
    );
    for (const id of offered) expect(entry(catalog.cables, id).directBurial, id).not.toBe('no');
  });
});
