import { lowerFirst } from '../../quantity/index.js';
import type { Finding, SnagRule } from './snag.js';

/** A meter said that a cable, or the whole run, is not as it should be. What is measured comes before what is planned. */
export const readingFailed: SnagRule = ({ proofs, runProofs, layout }) => {
  const base = { rule: 'reading-failed', level: 'stop', stage: 'prove' } as const;
  const source = 'what a meter said, against what is computed for this run';
  return [
    ...proofs.flatMap(({ pieceId, name, expectations }) =>
      expectations.flatMap((one): Finding[] =>
        one.judgement?.verdict !== 'fail'
          ? []
          : [
              {
                ...base,
                of: `${pieceId}:${one.id}`,
                at: pieceId,
                distanceM: layout.pieces.find(({ piece }) => piece.id === pieceId)?.fromM ?? 0,
                what: `${name}: ${lowerFirst(one.name)} failed`,
                why: one.judgement.why,
                remedies: [],
                source,
              },
            ],
      ),
    ),
    ...runProofs.flatMap(({ id, name, judgement, text, limit }): Finding[] =>
      judgement.verdict !== 'fail'
        ? []
        : [
            {
              ...base,
              of: `run:${id}`,
              at: 'run',
              distanceM: 0,
              what: `The whole run: ${lowerFirst(name)} failed`,
              why: `${text}; ${limit}. ${judgement.why}`,
              remedies: [],
              source,
            },
          ],
    ),
  ];
};
