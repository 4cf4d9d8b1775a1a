import { faceOf, type AntennaPort, type Port, type RadioPort } from '@kobran/core';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { FaceDrawing } from '../../drawing/faces/FaceDrawing.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useShop } from '../../store/Shop.js';
import { KnownPorts } from '../../frame/KnownPorts.js';
import { slugOf } from '../../store/slugOf.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
import { AntennaImpedance } from './AntennaImpedance.js';
import { faceOptions } from '../../ui/faceOptions.js';

export function RadioInspector(): ReactNode {
  const { editor } = useOpenRun();
  const { radio } = editor.design;
  const set = (change: Partial<RadioPort>): void => editor.change([{ op: 'set radio', radio: change }]);
  return (
    <section className="mt-3 space-y-3">
      <div className="rounded border border-rule bg-paper">
        <FaceDrawing face={faceOf(radio.face)} width={280} height={100} />
      </div>
      <KnownPorts
        side="radio"
        onTake={({ name, face, handheld, insulatorDepthMm }) =>
          set({ name, face, handheld, ...(insulatorDepthMm === undefined ? {} : { insulatorDepthMm }) })
        }
      />
      <TextField label="Name" value={radio.name} maxLength={80} onChange={(name) => set({ name })} />
      <Choice label="Connector" value={radio.face} options={faceOptions} onChange={(face) => set({ face })} />
      <Tick
        label="A handheld: small port, easily strained"
        checked={radio.handheld}
        onChange={(handheld) => set({ handheld })}
      />
      {radio.handheld && faceOf(radio.face).series === 'sma' && (
        <LengthField
          label="Its own antenna: front of the nut or shell to the insulator"
          valueM={radio.insulatorDepthMm === undefined ? undefined : radio.insulatorDepthMm / 1000}
          onChange={(metres) => set({ insulatorDepthMm: Number((metres * 1000).toFixed(2)) })}
          onClear={() => {
            const { insulatorDepthMm: _, ...rest } = radio;
            editor.change([{ op: 'set design', design: { ...editor.design, radio: rest } }]);
          }}
        />
      )}
      <KeepPort port={{ ...radio, side: 'radio', swr: 1, dcShort: false }} />
    </section>
  );
}

const withoutDrain = ({ drainMm: _, ...antenna }: AntennaPort): AntennaPort => antenna;

export function AntennaInspector(): ReactNode {
  const { editor } = useOpenRun();
  const { antenna } = editor.design;
  const set = (change: Partial<AntennaPort>): void => editor.change([{ op: 'set antenna', antenna: change }]);
  const put = (to: AntennaPort): void =>
    editor.change([{ op: 'set design', design: { ...editor.design, antenna: to } }]);
  return (
    <section className="mt-3 space-y-3">
      <div className="rounded border border-rule bg-paper">
        <FaceDrawing face={faceOf(antenna.face)} turned width={280} height={100} />
      </div>
      <KnownPorts
        side="antenna"
        onTake={({ name, face, swr, dcShort }) => set({ name, face, swr, dcShort })}
      />
      <TextField label="Name" value={antenna.name} maxLength={80} onChange={(name) => set({ name })} />
      <Choice
        label="Connector"
        value={antenna.face}
        options={faceOptions}
        onChange={(face) => set({ face })}
      />
      <AntennaImpedance antenna={antenna} onChange={put} />
      <Tick
        label="Joins pin and shell for direct current"
        checked={antenna.dcShort}
        onChange={(dcShort) => set({ dcShort })}
      />
      <LengthField
        label="Drain hole or vent, behind the connector"
        valueM={antenna.drainMm === undefined ? undefined : antenna.drainMm / 1000}
        range={[0, 2]}
        onChange={(metres) => set({ drainMm: metres * 1000 })}
        onClear={() => put(withoutDrain(antenna))}
      />
      <KeepPort port={{ ...antenna, side: 'antenna', handheld: false }} />
    </section>
  );
}

/** Keeps this port in the shop’s catalogue, for the next run and for the kit. */
function KeepPort({
  port,
}: {
  port: Pick<Port, 'name' | 'side' | 'face' | 'handheld' | 'insulatorDepthMm' | 'swr' | 'dcShort'>;
}): ReactNode {
  const { editor } = useOpenRun();
  const { catalog, put } = useShop();
  const { name, side, face, handheld, insulatorDepthMm, swr, dcShort } = port;
  const id = slugOf(name);
  const known = catalog.ports.get(id);
  if (known?.face === face && known.side === side)
    return <p className="text-sm text-muted">This port is in the shop’s catalogue.</p>;
  const { bands, powerW } = editor.design.service;
  const keep = async (): Promise<void> => {
    const kept = await put({
      kind: 'port',
      data: {
        id,
        name,
        side,
        face,
        handheld,
        ...(insulatorDepthMm === undefined ? {} : { insulatorDepthMm }),
        swr,
        dcShort,
        lowHz: Math.min(...bands.map(({ lowHz }) => lowHz)),
        highHz: Math.max(...bands.map(({ highHz }) => highHz)),
        powerW,
        matings: known?.matings ?? 0,
      },
    });
    if (kept) toast(`${name} is in the shop’s catalogue`);
  };
  return (
    <button className="button" onClick={() => void keep()}>
      Add to the shop’s ports
    </button>
  );
}
