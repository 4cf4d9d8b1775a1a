import { largestSingularValue, reciprocityError } from '../../line/index.js';
import { formatFrequency } from '../../quantity/index.js';
import { magnitudes, type Trace } from '../trace.js';

/** A passive thing gives back at most what went in: rounding and noise apart. */
const TOTAL = 1.01;
/** Both directions of a cable are alike: noise of a sweep apart. Common practice, no source. */
const ONE_WAY = 0.03;

/** What a trace says against itself: more comes out than goes in, or one direction passes more than the other. */
export function traceNotes({ s: { s11, s21, s12, s22 }, frequencyHz }: Trace): string[] {
  if (!s21 || !s12 || !s22) return activeNote('|S11| above 1', magnitudes(s11));
  const differs = reciprocityError({ s21, s12 });
  const worst = differs.reduce((best, value, k) => (value > differs[best] ? k : best), 0);
  return [
    ...activeNote('largest singular value above 1', largestSingularValue({ s11, s21, s12, s22 })),
    ...(differs[worst] > ONE_WAY
      ? [
          `S21 and S12 differ by up to ${differs[worst].toFixed(2)}, most at ${formatFrequency(frequencyHz[worst])}: a cable passes both ways alike. Is there an amplifier in it, or a port not calibrated?`,
        ]
      : []),
  ];
}

function activeNote(sign: string, sizes: Float64Array): string[] {
  const active = sizes.reduce((count, size) => count + (size > TOTAL ? 1 : 0), 0);
  return active === 0
    ? []
    : [
        `At ${active} ${active === 1 ? 'frequency' : 'frequencies'} more comes back than went in (${sign}): calibrate the analyser and sweep again.`,
      ];
}
