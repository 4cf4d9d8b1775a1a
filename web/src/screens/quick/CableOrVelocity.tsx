import { entry, fail, ok, parsePlainNumber, velocityToleranceOf, type Result } from '@kobran/core';
import type { ReactNode } from 'react';
import { useCatalog } from '../../store/Shop.js';
import { Choice } from '../../ui/Choice.js';
import { QuantityField } from '../../ui/QuantityField.js';

/** A velocity factor with the share it may be off, and the cable it is of. */
export interface Velocity {
  cable: string;
  velocityFactor: number;
  share: number;
}

/** A velocity factor somebody typed is good to this share until it is measured. Common practice, no source. */
const TYPED_SHARE = 0.02;

function parseVelocity(text: string): Result<number> {
  const read = parsePlainNumber(text.replace(/%\s*$/, ''), 'velocity');
  if (!read.ok) return read;
  const share = read.value > 1 ? read.value / 100 : read.value;
  return share >= 0.4 && share <= 1
    ? ok(share)
    : fail('velocity.range', `“${text}” is no velocity factor of a cable.`, 'velocity', 'Type 0.66 or 66 %.');
}

/** Choose a cable, or type the velocity factor its sheet gives. */
export function CableOrVelocity({
  value,
  onChange,
}: {
  value: Velocity;
  onChange: (value: Velocity) => void;
}): ReactNode {
  const { cables } = useCatalog();
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <Choice
        label="Cable"
        value={value.cable}
        options={[
          { value: '', label: 'by its velocity factor' },
          ...[...cables.values()].map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => {
          if (id === '') return onChange({ ...value, cable: '' });
          const cable = entry(cables, id);
          onChange({ cable: id, velocityFactor: cable.velocityFactor, share: velocityToleranceOf(cable) });
        }}
      />
      <QuantityField
        label="Velocity factor"
        value={value.velocityFactor}
        format={(factor) => String(Number(factor.toFixed(4)))}
        parse={parseVelocity}
        onChange={(velocityFactor) => onChange({ cable: '', velocityFactor, share: TYPED_SHARE })}
        hint={`± ${(value.share * 100).toFixed(1)} %${value.cable === '' ? ', until it is measured' : ', by its dielectric'}`}
      />
    </div>
  );
}
