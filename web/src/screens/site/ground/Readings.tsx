import { formatResistance, freshId, type GroundReading, type Site, type SiteChange } from '@kobran/core';
import { Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Choice } from '../../../ui/Choice.js';
import { sayDay, today } from '../../../ui/dates.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { TextField } from '../../../ui/TextField.js';
import { OhmField } from '../../../ui/unitFields.js';
import { RunLengthField } from '../../../ui/LengthField.js';

/** What a meter said of one part or conductor, the latest first, and a form for another. */
export function Readings({
  kind,
  about,
  methods,
  site,
  change,
}: {
  kind: GroundReading['kind'];
  about: string;
  methods: readonly GroundReading['method'][];
  site: Site;
  change: (changes: readonly SiteChange[]) => void;
}): ReactNode {
  const { readings } = site.ground;
  const mine = readings
    .filter((one) => one.kind === kind && one.about === about)
    .toSorted((x, y) => (x.on < y.on ? 1 : -1));
  const { name } = usePreferences();
  const [method, setMethod] = useState(methods[0]);
  const [ohm, setOhm] = useState<number>();
  const [spacingM, setSpacing] = useState<number>();
  const [weather, setWeather] = useState('');
  function log(): void {
    if (ohm === undefined || name === '') return;
    const reading: GroundReading = {
      id: freshId(readings, 'reading'),
      kind,
      about,
      ohm,
      method,
      ...(spacingM === undefined ? {} : { spacingM }),
      ...(weather === '' ? {} : { weather }),
      by: name,
      on: today(),
    };
    change([{ op: 'put reading', reading }]);
    setOhm(undefined);
  }
  return (
    <section aria-label="Readings" className="mt-5">
      <h3 className="font-bold">{kind === 'earth' ? 'Resistance to earth' : 'Resistance along it'}</h3>
      <ul>
        {mine.map((one) => (
          <li key={one.id} className="flex items-start justify-between gap-2 border-b border-rule py-1">
            <span>
              <span className="figures font-semibold">{formatResistance(one.ohm)}</span>, {one.method}
              <span className="block text-sm text-muted">
                {sayDay(one.on)}, {one.by}
                {one.weather ? `, ${one.weather}` : ''}
              </span>
            </span>
            <button
              className="button px-2"
              aria-label={`Delete the reading of ${sayDay(one.on)}`}
              onClick={() => change([{ op: 'remove reading', id: one.id }])}
            >
              <Trash2 size={16} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <OhmField label="The meter says" value={ohm} onChange={setOhm} />
        <Choice
          label="Method"
          value={method}
          options={methods.map((one) => ({ value: one, label: one }))}
          onChange={(one) => setMethod(one as GroundReading['method'])}
        />
        {method === 'fall of potential' && (
          <RunLengthField
            allowZero
            label="To the outer spike"
            valueM={spacingM}
            placeholder="not stated"
            onChange={setSpacing}
            onClear={() => setSpacing(undefined)}
          />
        )}
        {kind === 'earth' && (
          <TextField
            label="Soil and weather"
            value={weather}
            maxLength={200}
            allowEmpty
            onChange={setWeather}
          />
        )}
      </div>
      <button className="button mt-2" disabled={ohm === undefined || name === ''} onClick={log}>
        Log the reading
      </button>
    </section>
  );
}
