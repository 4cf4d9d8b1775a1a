import {
  adapterChains,
  easyNeeds,
  faceInFull,
  faceName,
  faceOf,
  faces,
  formatFigure,
  formatFrequency,
  mate,
  matingEffect,
  seriesOf,
  variantOf,
  type Face,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { FaceDrawing, JointDrawing } from '../../drawing/faces/FaceDrawing.js';
import { FaceFront } from '../../drawing/faces/FaceFront.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useShop } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { Rows } from '../../ui/Rows.js';
import { faceOptions } from '../../ui/faceOptions.js';

/** A face with its limits, and what happens when it meets another. */
export function FaceDetails({ face, code }: { face: Face; code: string }): ReactNode {
  const series = seriesOf(face);
  const { pinMm, maxFrequencyHz } = variantOf(face);
  return (
    <section aria-label={faceInFull(face)}>
      <h2 className="text-lg font-bold">{faceInFull(face)}</h2>
      <div className="mt-2 flex flex-wrap items-center justify-center gap-8 rounded border border-rule bg-paper p-3">
        <FaceFront face={face} size={170} />
        <FaceDrawing face={face} width={300} height={150} most={12} />
      </div>
      <div className="mt-2 max-w-2xl">
        <Rows
          rows={[
            ['Coupling', `${series.thread}${series.coupling === 'thread' ? `, ${series.threadMm} mm` : ''}`],
            ['Contact', `${face.contact}, ${pinMm} mm`],
            [
              'Impedance',
              face.impedanceOhm === null
                ? `not defined${series.lineImpedanceOhm === null ? '' : `, about ${series.lineImpedanceOhm} ohm`}`
                : `${face.impedanceOhm} ohm`,
            ],
            ['Good to', formatFrequency(maxFrequencyHz)],
            ['Peak voltage', `${series.peakVoltage} V`],
            ['Tighten', series.torque],
            ['Couplings', series.matings],
            [
              'Weather',
              series.weather === 'gasket'
                ? 'has a gasket'
                : series.weather === 'splash'
                  ? 'splash at best'
                  : 'no seal of its own',
            ],
            ['Standard', series.standard],
            ['Source', `${series.source} (${series.confidence} confidence)`],
          ]}
        />
      </div>
      <Meeting face={face} code={code} />
    </section>
  );
}

const ASKED_HZ = 450e6;

function Meeting({ face, code }: { face: Face; code: string }): ReactNode {
  const { units } = usePreferences();
  const { catalog } = useShop();
  const partner = [...faces].find(([, other]) => mate(face, other).verdict === 'mates')?.[0] ?? code;
  const [with_, setWith] = useState(partner);
  const other = faceOf(with_);
  const { verdict, reason, todo, passes } = mate(face, other);
  const effect = matingEffect(face, other, ASKED_HZ);
  const chains =
    verdict === 'mates' ? [] : adapterChains(face, other, catalog.adapters, { ...easyNeeds, most: 3 }, 3);
  return (
    <section aria-label="What happens when it meets" className="mt-6">
      <h3 className="border-b-2 border-ink font-bold">When it meets…</h3>
      <div className="mt-2 grid gap-4 sm:grid-cols-2">
        <div>
          <Choice label="Another connector" value={with_} options={faceOptions} onChange={setWith} />
          <p className={`mt-3 text-lg font-bold ${passes ? '' : 'text-stop'}`}>{verdict}</p>
          <p>{reason}</p>
          <p className="text-muted">{todo}</p>
          <p className="mt-1 text-sm text-muted">
            {effect.what} at {formatFrequency(ASKED_HZ)}: {formatFigure(effect.figure, units)}
          </p>
        </div>
        <div className="rounded border border-rule bg-paper p-1">
          <JointDrawing left={face} right={other} width={300} height={110} />
          <p className="flex justify-between gap-3 px-1 text-sm">
            <span>{faceName(face)}</span>
            <span>{faceName(other)}</span>
          </p>
        </div>
      </div>
      {chains.length > 0 && (
        <ul className="mt-2">
          {chains.map(({ adapters, why }) => (
            <li key={adapters.map(({ adapter }) => adapter.id).join()} className="border-b border-rule py-1">
              <span className="font-semibold">
                {adapters.map(({ adapter }) => adapter.name).join(', then ')}.
              </span>{' '}
              <span className="text-muted">{why}</span>
            </li>
          ))}
        </ul>
      )}
      {chains.length === 0 && verdict !== 'mates' && (
        <p className="mt-2 text-muted">No chain of up to three adapters joins them.</p>
      )}
    </section>
  );
}
