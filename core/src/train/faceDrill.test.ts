import { describe, expect, it } from 'vitest';
import { catalog, faceOf } from '../catalog/index.js';
import { mate } from '../fit/index.js';
import { defaultPractice } from '../practice/index.js';
import { faceQuestion, nextFace, verdicts, type FaceDrill, type FaceQuestion } from './faceDrill.js';
import { allSubjects, scored, type DrillScore } from './index.js';

const setting = {
  catalog,
  practice: defaultPractice,
  system: 'metric',
  subjects: allSubjects(catalog),
} as const;
const ask = (kind: FaceDrill, score: DrillScore, seed: number): FaceQuestion =>
  nextFace(kind, setting, score, seed);

const seeds = Array.from({ length: 200 }, (_, k) => k + 1);

describe('the trainer', () => {
  it('offers the right name once among four, with a reason', () => {
    for (const seed of seeds) {
      const { options, right, reason } = ask('face', {}, seed);
      expect(new Set(options.map(({ id }) => id)).size).toBe(4);
      expect(options.filter(({ id }) => id === right)).toHaveLength(1);
      expect(reason(right)).toMatch(/\d mm/);
    }
  });

  it('its verdicts are those of the catalogue, and every verdict is asked', () => {
    const seen = new Set(
      seeds.map((seed) => {
        const { faces, right } = ask('verdict', {}, seed);
        expect(right).toBe(mate(faceOf(faces[0]), faceOf(faces[1])).verdict);
        return right;
      }),
    );
    expect(seen).toEqual(new Set(verdicts));
  });

  it('brings back what was missed', () => {
    const question = faceQuestion('face:n75-plug', 1);
    const score = scored({}, question, 'something else');
    expect(score[question.id]).toEqual({ asked: 1, missed: 1, last: 'missed' });
    const often = (of: DrillScore): number =>
      seeds.filter((seed) => ask('face', of, seed).id === question.id).length;
    expect(often(score)).toBeGreaterThan(3 * Math.max(1, often({})));
    const learnt = scored(score, question, question.right);
    expect(learnt[question.id]).toEqual({ asked: 2, missed: 1, last: 'right' });
  });

  it('the same seed asks the same', () =>
    expect(JSON.stringify(ask('verdict', {}, 42))).toBe(JSON.stringify(ask('verdict', {}, 42))));

  it('asks only about the connectors it is given', () => {
    const few = { ...setting, subjects: { ends: [], faces: new Set(['n-plug', 'bnc-jack']) } };
    for (const seed of seeds) {
      expect(few.subjects.faces).toContain(nextFace('face', few, {}, seed).faces[0]);
      expect(nextFace('verdict', few, {}, seed).faces.some((face) => few.subjects.faces.has(face))).toBe(
        true,
      );
    }
  });
});
