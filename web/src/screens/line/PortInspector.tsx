import { faceOf } from '@kobran/core';
import type { ReactNode } from 'react';
import { FaceDrawing } from '../../faces/FaceDrawing.js';
import { useOpenRun } from '../../runs/RunContext.js';
import { Choice } from '../../shell/Choice.js';
import { TextField } from '../../shell/TextField.js';
import { Tick } from '../../shell/Tick.js';
import { faceOptions } from '../../shell/faceOptions.js';
import { SwrField } from '../../shell/SwrField.js';

export function RadioInspector(): ReactNode {
  const { editor } = useOpenRun();
  const { radio } = editor.design;
  const set = (change: Partial<typeof radio>): void => editor.change([{ op: 'set radio', radio: change }]);
  return (
    <section className="mt-3 space-y-3">
      <div className="rounded border border-rule bg-paper">
        <FaceDrawing face={faceOf(radio.face)} width={280} height={100} />
      </div>
      <TextField label="Name" value={radio.name} maxLength={80} onChange={(name) => set({ name })} />
      <Choice label="Connector" value={radio.face} options={faceOptions} onChange={(face) => set({ face })} />
      <Tick
        label="A handheld: small port, easily strained"
        checked={radio.handheld}
        onChange={(handheld) => set({ handheld })}
      />
    </section>
  );
}

export function AntennaInspector(): ReactNode {
  const { editor } = useOpenRun();
  const { antenna } = editor.design;
  const set = (change: Partial<typeof antenna>): void =>
    editor.change([{ op: 'set antenna', antenna: change }]);
  return (
    <section className="mt-3 space-y-3">
      <div className="rounded border border-rule bg-paper">
        <FaceDrawing face={faceOf(antenna.face)} turned width={280} height={100} />
      </div>
      <TextField label="Name" value={antenna.name} maxLength={80} onChange={(name) => set({ name })} />
      <Choice
        label="Connector"
        value={antenna.face}
        options={faceOptions}
        onChange={(face) => set({ face })}
      />
      <SwrField value={antenna.swr} onChange={(swr) => set({ swr })} />
      <Tick
        label="Joins pin and shell for direct current"
        checked={antenna.dcShort}
        onChange={(dcShort) => set({ dcShort })}
      />
    </section>
  );
}
