import {
  MAX_IN_BATCH,
  entry,
  faceName,
  faceOf,
  gasTubeVolts,
  parseCount,
  partsFor,
  turnPiece,
  type AdapterPiece,
  type AnyPiece,
  type ArresterPiece,
  type Assembly,
  type Cable,
  type Catalog,
  type PieceSheet,
} from '@kobran/core';
import { ArrowLeftRight, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { FigureText } from '../../ui/FigureText.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';
import { Spots } from './Spots.js';
import { RunLengthField } from '../../ui/LengthField.js';

/** What a piece is, and everything of it that can be changed. */
export function PieceInspector({
  placed,
  piece,
  onMove,
  onTakeOut,
}: {
  placed: PieceSheet;
  piece: AnyPiece;
  onMove: (id: string, toIndex: number) => void;
  onTakeOut: () => void;
}): ReactNode {
  const { editor, id: runId } = useOpenRun();
  const { pieces } = editor.design;
  const index = pieces.findIndex(({ id }) => id === piece.id);
  const set = (changed: AnyPiece): void => editor.change([{ op: 'set piece', piece: changed }]);
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
        <button className="button" onClick={() => editor.change(turnPiece(piece))}>
          <ArrowLeftRight size={16} aria-hidden /> Turn round
        </button>
        <button className="button" disabled={index === 0} onClick={() => onMove(piece.id, index - 1)}>
          Move to the radio
        </button>
        <button
          className="button"
          disabled={index === pieces.length - 1}
          onClick={() => onMove(piece.id, index + 1)}
        >
          Move to the antenna
        </button>
        <button className="button" onClick={onTakeOut}>
          <Trash2 size={16} aria-hidden /> Take out
        </button>
        {piece.kind === 'assembly' && (
          <Link className="button" to={`/runs/${runId}/cables?piece=${piece.id}`}>
            Compare cables
          </Link>
        )}
      </div>
    </section>
  );
}

/** Parts which fit the cable first, the usual choice on top; the fitted one always stands in the list. */
function partOptions(cable: Cable, fitted: string, catalog: Catalog): { value: string; label: string }[] {
  const fits = partsFor(cable, catalog.parts.values());
  const odd = fits.some(({ id }) => id === fitted) ? [] : [entry(catalog.parts, fitted)];
  return [
    ...odd.map(({ id, name }) => ({ value: id, label: `${name} (does not fit)` })),
    ...fits.map(({ id, name }) => ({ value: id, label: name })),
  ];
}

function AssemblyFields({ piece, set }: { piece: Assembly; set: (piece: AnyPiece) => void }): ReactNode {
  const catalog = useCatalog();
  const cable = entry(catalog.cables, piece.cable);
  const cableOptions = [...catalog.cables.values()].map(({ id, name, jacketMm }) => ({
    value: id,
    label: `${name}, ${jacketMm} mm`,
  }));
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
      <RunLengthField
        label="Finished length"
        valueM={piece.lengthM}
        onChange={(lengthM) => set({ ...piece, lengthM })}
      />
      {piece.woundM !== undefined && piece.woundM > 0 && (
        <RunLengthField
          label="Of it wound as a choke"
          valueM={piece.woundM}
          onChange={(woundM) => set({ ...piece, woundM })}
        />
      )}
      <QuantityField
        label="How many of the same are made"
        value={piece.count ?? 1}
        format={String}
        parse={(text) => parseCount(text, 1, MAX_IN_BATCH)}
        onChange={(count) => set({ ...piece, count })}
        hint={piece.count && piece.count > 1 ? 'one lies in this run' : undefined}
      />
      <Choice
        label="Radio end"
        value={piece.a.part}
        options={partOptions(cable, piece.a.part, catalog)}
        onChange={(part) => set({ ...piece, a: { part } })}
      />
      <Choice
        label="Antenna end"
        value={piece.b.part}
        options={partOptions(cable, piece.b.part, catalog)}
        onChange={(part) => set({ ...piece, b: { part } })}
      />
      <Spots piece={piece} set={set} />
    </>
  );
}

function AdapterFields({ piece, set }: { piece: AdapterPiece; set: (piece: AnyPiece) => void }): ReactNode {
  const catalog = useCatalog();
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
  const catalog = useCatalog();
  const { symmetrical, passesDc, groundsDc, tubeChangeable } = entry(catalog.arresters, piece.arrester);
  const volts = gasTubeVolts.includes(piece.tubeV) ? gasTubeVolts : [...gasTubeVolts, piece.tubeV];
  return (
    <>
      <Choice
        label="Arrester"
        value={piece.arrester}
        options={[...catalog.arresters.values()].map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(arrester) => set({ ...piece, arrester })}
      />
      {tubeChangeable && (
        <Choice
          label="Gas tube"
          value={String(piece.tubeV)}
          options={volts.map((v) => ({ value: String(v), label: `${v} V` }))}
          onChange={(v) => set({ ...piece, tubeV: Number(v) })}
        />
      )}
      <p className="text-sm text-muted">
        {passesDc
          ? 'Passes direct current. '
          : groundsDc
            ? 'Shorts direct current by design. '
            : 'Blocks direct current. '}
        {symmetrical
          ? 'The same both ways round.'
          : piece.reversed
            ? 'Surge side to the antenna.'
            : 'Surge side to the radio.'}
      </p>
    </>
  );
}
