import {
  faceInFull,
  faces,
  formatLength,
  identify,
  mate,
  parseLength,
  seriesOf,
  UNSURE,
  variantOf,
  type Candidate,
  type Feature,
  type GivenAnswer,
  type Identification,
} from '@kobran/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { FaceDrawing } from '../../drawing/faces/FaceDrawing.js';
import { FaceFront } from '../../drawing/faces/FaceFront.js';
import { frontSizeMm } from '../../drawing/faces/front.js';
import { usePreferences } from '../../ui/Preferences.js';
import { features } from '@kobran/core';
import { QuantityField } from '../../ui/QuantityField.js';
import { Rows } from '../../ui/Rows.js';
import { Tick } from '../../ui/Tick.js';
import { TopBar } from '../../frame/TopBar.js';

const ways: { by: Feature['by']; label: string }[] = [
  { by: 'look', label: 'I can look' },
  { by: 'touch', label: 'I can feel' },
  { by: 'ruler', label: 'I have a ruler' },
];

/** Below this share a candidate is no longer drawn. */
const SHOWN_SHARE = 0.01;

/** What am I holding? One question at a time, the one that tells most first. */
export function IdentifyScreen(): ReactNode {
  const [given, setGiven] = useState<readonly GivenAnswer[]>([]);
  const [by, setBy] = useState<readonly Feature['by'][]>(['look', 'touch', 'ruler']);
  const found = useMemo(() => identify(given, { by }), [given, by]);
  useEffect(() => {
    document.title = 'Identify – Kobran';
  }, []);
  const answer = (feature: Feature, id: string): void =>
    setGiven((now) => [...now, { feature: feature.id, answer: id }]);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Identify' }]} />
      <main className="mx-auto grid max-w-6xl gap-x-8 gap-y-4 px-4 py-4 lg:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]">
        <div>
          <h1 className="text-xl font-bold">What am I holding?</h1>
          <div className="mt-2 flex flex-wrap gap-x-5">
            {ways.map((way) => (
              <Tick
                key={way.by}
                label={way.label}
                checked={by.includes(way.by)}
                onChange={(on) =>
                  setBy((now) => (on ? [...now, way.by] : now.filter((one) => one !== way.by)))
                }
              />
            ))}
          </div>
          <div aria-live="polite">
            {found.next ? (
              <Question feature={found.next} count={given.length + 1} onAnswer={answer} />
            ) : (
              <Outcome found={found} />
            )}
          </div>
          <Answers given={given} onBack={(k) => setGiven((now) => now.slice(0, k))} />
        </div>
        <CandidateGrid candidates={found.candidates} />
      </main>
    </div>
  );
}

function Question({
  feature,
  count,
  onAnswer,
}: {
  feature: Feature;
  count: number;
  onAnswer: (feature: Feature, answer: string) => void;
}): ReactNode {
  const { units } = usePreferences();
  const { fromMm } = feature;
  return (
    <section className="mt-4 border-t-2 border-ink pt-3" aria-label={`Question ${count}`}>
      <h2 className="text-lg font-bold">{feature.question}</h2>
      <p className="text-muted">{feature.how}</p>
      {fromMm && (
        <div className="mt-3 max-w-60">
          <QuantityField<number>
            key={feature.id}
            label="Type what the ruler shows"
            value={undefined}
            placeholder={units === 'metric' ? '15.9 mm' : '5/8 in'}
            format={(metres) => formatLength(metres, { system: units, small: true, digits: 1, fraction: 32 })}
            parse={(text) => parseLength(text, { unit: units === 'metric' ? 'mm' : 'in' })}
            onChange={(metres) => onAnswer(feature, fromMm(metres * 1000))}
          />
        </div>
      )}
      <ul className={`mt-3 grid gap-2 ${feature.answers.length > 7 ? 'grid-cols-2' : ''}`}>
        {[...feature.answers, { id: UNSURE, text: 'Not sure' }].map(({ id, text }) => (
          <li key={id}>
            <button
              className={`button min-h-11 w-full justify-start text-left ${id === UNSURE ? 'border-dashed text-muted' : ''}`}
              onClick={() => onAnswer(feature, id)}
            >
              {text}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What it is, what it mates with, and what it would ruin. */
function Outcome({ found: { candidates, settled } }: { found: Identification }): ReactNode {
  const [{ face, probability }, ...others] = candidates;
  const left = others.filter((one) => one.probability > 0.08);
  const partners = [...faces.values()].map((other) => ({ other, mating: mate(face, other) }));
  const listed = (verdicts: string[]): string =>
    partners
      .filter(({ mating }) => verdicts.includes(mating.verdict))
      .map(({ other }) => faceInFull(other))
      .join('; ') || 'nothing';
  const series = seriesOf(face);
  return (
    <section className="mt-4 border-t-2 border-ink pt-3" aria-label="Answer">
      <h2 className="text-lg font-bold">{settled ? faceInFull(face) : `Most likely: ${faceInFull(face)}`}</h2>
      <p className="text-muted">
        {Math.round(probability * 100)} % sure by your answers
        {left.length > 0 && `; it could also be ${left.map((one) => faceInFull(one.face)).join(' or ')}`}.
      </p>
      <Rows
        rows={[
          ['Coupling', `${series.thread}, ${series.threadMm} mm`],
          ['Contact', `${face.contact}, ${variantOf(face).pinMm} mm`],
          ['Mates with', listed(['mates'])],
          ['With a caution', listed(['mates with a caution'])],
          ['Fits, no contact', listed(['no contact'])],
          ['Would be ruined with', listed(['damages'])],
          ['Source', series.source],
        ]}
      />
      <p className="mt-3">
        <Link className="button" to={`/catalog/face/${candidates[0].code}`}>
          Open in the catalogue
        </Link>
      </p>
    </section>
  );
}

function Answers({
  given,
  onBack,
}: {
  given: readonly GivenAnswer[];
  onBack: (k: number) => void;
}): ReactNode {
  if (given.length === 0) return null;
  return (
    <section className="mt-5">
      <h2 className="flex items-baseline justify-between font-bold">
        So far
        <button className="text-sm font-normal underline underline-offset-4" onClick={() => onBack(0)}>
          Start again
        </button>
      </h2>
      <ol>
        {given.map(({ feature: id, answer }, k) => {
          const feature = features.find((one) => one.id === id);
          return (
            <li key={id} className="flex items-baseline justify-between gap-3 border-b border-rule py-1">
              <span>
                <span className="text-muted">{feature?.question} </span>
                {feature?.answers.find((one) => one.id === answer)?.text ?? 'Not sure'}
              </span>
              <button
                className="shrink-0 text-sm underline underline-offset-4"
                onClick={() => onBack(k)}
                aria-label={`Go back to: ${feature?.question}`}
              >
                back to here
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

const DRAWN_PX = 124;

/** The faces it can still be, drawn to one scale, most likely first. */
function CandidateGrid({ candidates }: { candidates: readonly Candidate[] }): ReactNode {
  const shown = candidates.filter(({ probability }) => probability >= SHOWN_SHARE);
  const pxPerMm = (DRAWN_PX - 6) / Math.max(...shown.map(({ face }) => frontSizeMm(face)));
  return (
    <section aria-label="What it can be">
      <h2 className="font-bold">
        It can be {shown.length === 1 ? 'this' : `one of ${shown.length}`}{' '}
        <span className="font-normal text-muted">drawn to one scale</span>
      </h2>
      <ul className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-3 xl:grid-cols-4">
        {shown.map(({ face, code, probability }) => (
          <li key={code} className="rounded border border-rule bg-paper p-2">
            <div className="flex h-32 items-center justify-center">
              <FaceFront face={face} size={DRAWN_PX} pxPerMm={pxPerMm} label="" />
            </div>
            {shown.length <= 6 && <FaceDrawing face={face} width={160} height={70} />}
            <p className="text-sm font-semibold">{faceInFull(face)}</p>
            <p className="flex items-center gap-2 text-sm text-muted">
              <span aria-hidden="true" className="h-1.5 flex-1 bg-panel">
                <span className="block h-1.5 bg-ink" style={{ width: `${probability * 100}%` }} />
              </span>
              {probability >= 0.995 ? '>99' : Math.round(probability * 100)} %
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
