import { routes } from '@kobran/contract';
import {
  correctedLossDb,
  factsOf,
  factText,
  firstStepW,
  formatDecibels,
  formatPower,
  judgePowerSteps,
  lossIntoLoad,
  type PowerStep,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { call } from '../../store/client.js';
import { useDoing, useInstruments } from '../../store/useInstruments.js';
import { useOpenRun } from '../../store/RunContext.js';
import { Tick } from '../../ui/Tick.js';
import { Caution } from '../../ui/StagePage.js';
import { useCatalog } from '../../store/Shop.js';
import { sayMoment } from '../../ui/dates.js';
import { Withdraw } from './Withdraw.js';
import { MeterField } from '../../ui/unitFields.js';

const tone = { pass: 'text-lake', marginal: 'text-caution', fail: 'text-stop' };

/** Low power, then full: what must not change while the power rises. */
export function PowerSteps(): ReactNode {
  const { facts, editor } = useOpenRun();
  const catalog = useCatalog();
  const { service } = editor.design;
  if (service.powerW === 0) return null;
  const steps = factsOf(facts, 'power step');
  const all = steps.map(({ power }) => power);
  const judged =
    steps.length === 0
      ? undefined
      : judgePowerSteps(all, service.powerW, lossIntoLoad(editor.design, catalog));
  return (
    <section className="mt-8" aria-labelledby="power-steps">
      <h2 id="power-steps" className="text-lg font-bold">
        Low power, then full
      </h2>
      <div className="my-2 text-sm">
        <Caution>
          Into a dummy load, or an antenna which nobody is near. Stop transmitting before anything is touched.
          Follow the exposure limits and licence conditions of your place. A load has watts and a time: a
          small dry one takes full power for half a minute, then wants minutes of rest; its sheet wins.
        </Caution>
      </div>
      {judged && (
        <p className="text-lg">
          <strong className={`capitalize ${tone[judged.verdict]}`}>{judged.verdict}.</strong> {judged.why}
        </p>
      )}
      {steps.length > 0 && (
        <ul className="mt-2 divide-y divide-rule border-y border-rule">
          {steps.map((step) => (
            <li key={step.id} className="figures flex flex-wrap justify-between gap-x-4 py-1.5">
              <span>
                {factText(step, catalog)}
                {sayLoss(correctedLossDb(step.power, all))}
              </span>
              <span className="text-sm text-muted">
                {step.by ? `${step.by}, ` : ''}
                {sayMoment(step.at)}
              </span>
              <Withdraw fact={step} name={`${formatPower(step.power.forwardW)} forward`} />
            </li>
          ))}
        </ul>
      )}
      <Entry key={steps.length} />
    </section>
  );
}

/** What the run loses by it, where both ends were read. */
const sayLoss = (db: number | undefined): string =>
  db === undefined ? '' : `, ${formatDecibels(db)} in the run`;

/** One step, typed from the meters or read from them. */
function Entry(): ReactNode {
  const { writer, editor } = useOpenRun();
  const { service } = editor.design;
  const instruments = useInstruments();
  const meters = instruments.first('power-meters');
  const { busy, run } = useDoing();
  const [forwardW, setForward] = useState<number>();
  const [reflectedW, setReflected] = useState<number>();
  const [loadW, setLoad] = useState<number>();
  const [inSeries, setInSeries] = useState(false);
  const [first] = service.bands;
  const frequencyHz = (first.lowHz + first.highHz) / 2;
  const keep = (power: PowerStep): void => writer.add({ kind: 'power step', power });
  const field = (label: string, value: number | undefined, set: (to: number) => void): ReactNode => (
    <div className="w-28">
      <MeterField
        label={label}
        value={value}
        placeholder={formatPower(firstStepW(service.powerW))}
        onChange={set}
      />
    </div>
  );
  const impossible = forwardW !== undefined && reflectedW !== undefined && reflectedW >= forwardW;
  return (
    <>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        {field('Forward', forwardW, setForward)}
        {field('Reflected', reflectedW, setReflected)}
        {field('In the load', loadW, setLoad)}
        <button
          className="button min-h-9"
          disabled={forwardW === undefined || reflectedW === undefined || impossible}
          onClick={() =>
            forwardW !== undefined &&
            reflectedW !== undefined &&
            keep({
              frequencyHz,
              forwardW,
              reflectedW,
              ...(loadW === undefined ? {} : { loadW }),
              ...(inSeries ? { inSeries } : {}),
            })
          }
        >
          Save this step
        </button>
        {meters &&
          [firstStepW(service.powerW), service.powerW].map((powerW) => (
            <button
              key={powerW}
              className="button min-h-9"
              disabled={busy !== undefined}
              onClick={() =>
                run('keying', async () => {
                  const read = await call(routes.readPower, {
                    id: meters.id,
                    body: { frequencyHz, powerW },
                  });
                  keep({ frequencyHz, ...read });
                })
              }
            >
              Transmit {formatPower(powerW)} and read
            </button>
          ))}
      </div>
      <Tick
        label="Both meters in series, without the run: keep their difference"
        checked={inSeries}
        onChange={setInSeries}
      />
      <p className="text-sm text-muted">
        Choose the range so that the needle stands in its upper half; a peak reading meter is for speech, an
        average one for carriers.
      </p>
      {impossible && (
        <p role="alert" className="mt-1 text-sm text-stop">
          More comes back than goes forward: the two readings are swapped, or the meter is the wrong way
          round.
        </p>
      )}
    </>
  );
}
