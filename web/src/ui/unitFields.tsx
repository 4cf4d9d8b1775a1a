import {
  formatFrequency,
  formatPower,
  formatResistance,
  parseFrequency,
  parsePower,
  parseResistance,
  type Result,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { QuantityField } from './QuantityField.js';

interface Props {
  label: string;
  value: number | undefined;
  onChange: (value: number) => void;
  hint?: string;
  hideLabel?: boolean;
  placeholder?: string;
}

/** A field of one quantity with its unit. */
const fieldOf =
  (format: (value: number) => string, parse: (text: string) => Result<number>) =>
  (props: Props): ReactNode => <QuantityField {...props} format={format} parse={parse} />;

export const FrequencyField = fieldOf(formatFrequency, (text) => parseFrequency(text));
export const PowerField = fieldOf(formatPower, (text) => parsePower(text));
/** What a meter shows: nothing may come back. */
export const MeterField = fieldOf(formatPower, (text) => parsePower(text, { allowZero: true }));
export const OhmField = fieldOf(formatResistance, (text) => parseResistance(text));
