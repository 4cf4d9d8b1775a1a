import { acrossMm, faceOf, seriesOf, variantOf, type Face, type FaceQuestion } from '@kobran/core';
import type { ReactNode } from 'react';
import { FaceDrawing, JointDrawing } from '../../drawing/faces/FaceDrawing.js';
import { FaceFront } from '../../drawing/faces/FaceFront.js';
import { Options } from './Options.js';

/** Connectors as they look in the hand: name one, or say what happens when two are coupled. */
export function FaceExercise({
  question: { kind, faces, question, options, right },
  answer,
  onAnswer,
}: {
  question: FaceQuestion;
  answer: string | undefined;
  onAnswer: (id: string) => void;
}): ReactNode {
  const [first, second] = faces.map(faceOf);
  /** As much as the drawing shows, without the name. */
  const faceText = (face: Face): string =>
    `${acrossMm(face)} mm across, ${face.body === 'plug' ? 'with a ring or nut' : 'without a nut'}, coupling over ${seriesOf(face).threadMm} mm by ${seriesOf(face).coupling}; in the centre a ${face.contact} of ${variantOf(face).pinMm} mm.`;
  return (
    <section className="mt-4 grid gap-6 md:grid-cols-2">
      <div className="flex flex-col items-center justify-center gap-2 rounded border border-rule bg-paper p-3">
        {kind === 'face' ? (
          <>
            <FaceFront face={first} size={220} label={faceText(first)} />
            <FaceDrawing face={first} width={300} height={110} unnamed />
          </>
        ) : (
          <>
            <div className="flex gap-4">
              <FaceFront
                face={first}
                size={150}
                label={answer === undefined ? `Left face: ${faceText(first)}` : undefined}
              />
              <FaceFront
                face={second}
                size={150}
                label={answer === undefined ? `Right face: ${faceText(second)}` : undefined}
              />
            </div>
            <JointDrawing left={first} right={second} width={320} height={120} />
          </>
        )}
      </div>
      <div>
        <h2 className="text-lg font-bold">{question}</h2>
        <div className="mt-3">
          <Options options={options} right={right} answer={answer} onAnswer={onAnswer} />
        </div>
      </div>
    </section>
  );
}
