import { describe, expect, it } from 'vitest';
import { faceOf } from '../catalog/index.js';
import { drillQuestion, mate, nextDrill, scored, verdicts, type DrillScore } from './index.js';

const seeds = Array.from({ length: 200 }, (_, k) => k + 1);

describe('the trainer', () => {
  it('offers the right name once among four, with a reason', () => {
    for (const seed of seeds) {
      const { options, right, reason } = nextDrill('face', {}, seed);
      expect(new Set(options.map(({ id }) => id)).size).toBe(4);
      expect(options.filter(({ id }) => id === right)).toHaveLength(1);
      expect(reason).toMatch(/\d mm/);
    }
  });

  it('its verdicts are those of the catalogue, and every verdict is asked', () => {
    const seen = new Set(
      seeds.map((seed) => {
        const { faces, right } = nextDrill('verdict', {}, seed);
        expect(right).toBe(mate(faceOf(faces[0]), faceOf(faces[1])).verdict);
        return right;
      }),
    );
    expect(seen).toEqual(new Set(verdicts));
  });

  it('brings back what was missed', () => {
    const question = drillQuestion('face:n75-plug', 1);
    const score = scored({}, question, 'something else');
    expect(score[question.id]).toEqual({ asked: 1, missed: 1, last: 'missed' });
    const often = (of: DrillScore): number =>
      seeds.filter((seed) => nextDrill('face', of, seed).id === question.id).length;
    expect(often(score)).toBeGreaterThan(3 * Math.max(1, often({})));
    const learnt = scored(score, question, question.right);
    expect(learnt[question.id]).toEqual({ asked: 2, missed: 1, last: 'right' });
  });

  it('the same seed asks the same', () =>
    expect(nextDrill('verdict', {}, 42)).toEqual(nextDrill('verdict', {}, 42)));
});
