import {
  catalog,
  entry,
  faceName,
  faceOf,
  fitCable,
  formatLength,
  gasTubeVolts,
  parseLength,
  type AdapterPiece,
  type AnyPiece,
  type ArresterPiece,
  type Assembly,
  type Cable,
  type PieceSheet,
} from '@kobran/core';
import { ArrowLeftRight, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { usePreferences } from '../../preferences/Preferences.js';
import { useOpenRun } from '../../runs/RunContext.js';
import { Choice } from '../../shell/Choice.js';
import { FigureText } from '../../shell/FigureText.js';
import { QuantityField } from '../../shell/QuantityField.js';
import { TextField } from '../../shell/TextField.js';

/** What a piece is, and everything of it that can be changed. */
export function PieceInspector({
  placed,
  piece,
  onGone,
}: {
  placed: PieceSheet;
  piece: AnyPiece;
  onGone: () => void;
}): ReactNode {
  const { editor } = useOpenRun();
  const { pieces } = editor.design;
  const index = pieces.findIndex(({ id }) => id === piece.id);
  const set = (changed: AnyPiece): void => editor.change([{ op: 'set piece', piece: changed }]);
  const swapWith = (other: number): void => {
    const at = Math.min(index, other);
    editor.change([{ op: 'splice pieces', at, remove: 2, insert: [pieces[at + 1], pieces[at]] }]);
  };
  const turn = (): void =>
    set(
      piece.kind === 'assembly'
        ? { ...piece, a: piece.b, b: piece.a }
        : { ...piece, reversed: !piece.reversed },
    );
  return (
    <section className="mt-3 space-y-3">
      <p className="flex justify-between border-b border-rule pb-1">
        <span className="text-muted">Loss of this piece</span>
        <FigureText figure={placed.loss} />
      </p>
      {piece.kind === 'assembly' && <AssemblyFields piece={piece} set={set} />}
      {piece.kind === 'adapter' && <AdapterFields piece={piece} set={set} />}
      {piece.kind === 'arrester' && <ArresterFields piece={piece} set={set} />}
      <div className="flex flex-wrap gap-2">
        <button className="button" onClick={turn}>
          <ArrowLeftRight size={16} aria-hidden /> Turn round
        </button>
        <button className="button" disabled={index === 0} onClick={() => swapWith(index - 1)}>
          Move to the radio
        </button>
        <button className="button" disabled={index === pieces.length - 1} onClick={() => swapWith(index + 1)}>
          Move to the antenna
        </button>
        <button
          className="button"
          onClick={() => {
            editor.change([{ op: 'splice pieces', at: index, remove: 1, insert: [] }]);
            onGone();
          }}
        >
          <Trash2 size={16} aria-hidden /> Take out
        </button>
      </div>
    </section>
  );
}

const cableOptions = [...catalog.cables.values()].map((cable) => ({
  value: cable.id,
  label: `${cable.name}, ${cable.jacketMm} mm`,
}));

/** Parts which fit the cable first; the fitted one always stands in the list. */
function partOptions(cable: Cable, fitted: string): { value: string; label: string }[] {
  const fits = [...catalog.parts.values()].filter(
    (part) => part.id === fitted || fitCable(part, cable).verdict === 'fits',
  );
  return fits.map((part) => ({
    value: part.id,
    label: fitCable(part, cable).verdict === 'fits' ? part.name : `${part.name} (does not fit)`,
  }));
}

function AssemblyFields({ piece, set }: { piece: Assembly; set: (piece: AnyPiece) => void }): ReactNode {
  const { units } = usePreferences();
  const cable = entry(catalog.cables, piece.cable);
  return (
    <>
      <TextField
        label="Label"
        value={piece.label}
        maxLength={60}
        onChange={(label) => set({ ...piece, label })}
      />
      <Choice
        label="Cable"
        value={piece.cable}
        options={cableOptions}
        onChange={(id) => set({ ...piece, cable: id })}
        hint={`${cable.impedanceOhm} ohm, VF ${cable.velocityFactor}, ${cable.jacket} jacket`}
      />
      <QuantityField
        label="Finished length"
        value={piece.lengthM}
        format={(metres) => formatLength(metres, { system: units })}
        parse={(text) => parseLength(text, { unit: units === 'metric' ? 'm' : 'ft' })}
        onChange={(lengthM) => set({ ...piece, lengthM })}
      />
      <Choice
        label="Radio end"
        value={piece.a.part}
        options={partOptions(cable, piece.a.part)}
        onChange={(part) => set({ ...piece, a: { part } })}
      />
      <Choice
        label="Antenna end"
        value={piece.b.part}
        options={partOptions(cable, piece.b.part)}
        onChange={(part) => set({ ...piece, b: { part } })}
      />
    </>
  );
}

function AdapterFields({ piece, set }: { piece: AdapterPiece; set: (piece: AnyPiece) => void }): ReactNode {
  const { faces, lengthMm, source } = entry(catalog.adapters, piece.adapter);
  const names = faces.map((code) => faceName(faceOf(code)));
  const [near, far] = piece.reversed ? names.toReversed() : names;
  return (
    <>
      <Choice
        label="Adapter"
        value={piece.adapter}
        options={[...catalog.adapters.values()].map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(adapter) => set({ ...piece, adapter })}
      />
      <p className="text-sm text-muted">
        {near} to the radio, {far} to the antenna; {lengthMm} mm long ({source}).
      </p>
    </>
  );
}

function ArresterFields({ piece, set }: { piece: ArresterPiece; set: (piece: AnyPiece) => void }): ReactNode {
  const { symmetrical, passesDc } = entry(catalog.arresters, piece.arrester);
  const volts = gasTubeVolts.includes(piece.tubeV) ? gasTubeVolts : [...gasTubeVolts, piece.tubeV];
  return (
    <>
      <Choice
        label="Arrester"
        value={piece.arrester}
        options={[...catalog.arresters.values()].map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(arrester) => set({ ...piece, arrester })}
      />
      <Choice
        label="Gas tube"
        value={String(piece.tubeV)}
        options={volts.map((v) => ({ value: String(v), label: `${v} V` }))}
        onChange={(v) => set({ ...piece, tubeV: Number(v) })}
      />
      <p className="text-sm text-muted">
        {passesDc ? 'Passes direct current. ' : 'Blocks direct current. '}
        {symmetrical
          ? 'The same both ways round.'
          : piece.reversed
            ? 'Surge side to the antenna.'
            : 'Surge side to the radio.'}
      </p>
    </>
  );
}
