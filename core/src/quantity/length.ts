import { place, pointSettled, splitTerms } from './number.js';
import { fail, ok, type Result } from './result.js';

/** Metres per unit. The foot is exactly 0.3048 m (international yard and pound agreement, 1959). */
const metresPer: Record<string, number> = {
  km: 1000,
  m: 1,
  metre: 1,
  metres: 1,
  meter: 1,
  meters: 1,
  dm: 0.1,
  cm: 0.01,
  mm: 0.001,
  ft: 0.3048,
  foot: 0.3048,
  feet: 0.3048,
  "'": 0.3048,
  in: 0.0254,
  inch: 0.0254,
  inches: 0.0254,
  '"': 0.0254,
};

export const METRES_PER_FOOT = 0.3048;
export const METRES_PER_INCH = 0.0254;

/** Nothing an installer cuts is longer; beyond it a slip of the unit is certain. */
const LONGEST_M = 10_000;

const THOUSANDTHS = /\d+\.\d{3}\s*m\b/;

export type LengthUnit = 'm' | 'mm' | 'ft' | 'in';

/**
 * Reads a length in any of the trade's ways: `12' 6 1/2"`, `6 1/8 in`, `3.82m`, `382 cm`, `3,82 m`.
 *
 * @param text what was typed
 * @param options.unit unit of a bare number; without it a bare number is refused
 * @param options.allowZero zero is a length (default: no)
 * @returns metres, at most 10 000
 * @example parseLength('382 cm') // { ok: true, value: 3.82 }
 */
export function parseLength(
  text: string,
  options: { unit?: LengthUnit; allowZero?: boolean } = {},
): Result<number> {
  // Metres with three places behind a point are how Kobran writes them itself.
  const split = splitTerms(
    text.replace(THOUSANDTHS, (whole) => pointSettled(whole)),
    'length',
  );
  if (!split.ok) return split;
  let metres = 0;
  let previous = Infinity;
  for (const term of split.value) {
    const unit = term.unit.toLowerCase() || (split.value.length === 1 ? (options.unit ?? '') : '');
    if (unit === '') {
      return fail(
        'length.no-unit',
        'The length has a number without a unit.',
        place(term.at),
        'Add m, cm, mm, ft or in.',
      );
    }
    const scale = metresPer[unit];
    if (scale === undefined) {
      return fail(
        'length.unknown-unit',
        `“${term.unit}” is not a unit of length.`,
        place(term.at),
        'Use m, cm, mm, km, ft or in.',
      );
    }
    if (term.value < 0) {
      return fail(
        'length.negative',
        'A length cannot be negative.',
        place(term.at),
        'Leave the minus sign out.',
      );
    }
    if (scale >= previous) {
      return fail(
        'length.order',
        'The larger unit comes first, each once.',
        place(term.at),
        `Write it like 12' 6 1/2".`,
      );
    }
    previous = scale;
    metres += term.value * scale;
  }
  if (metres === 0 && !options.allowZero) {
    return fail('length.zero', 'The length is zero.', place(0), 'Type a length above zero.');
  }
  if (!(metres <= LONGEST_M)) {
    return fail(
      'length.too-long',
      `${metres.toPrecision(3)} m is longer than any run.`,
      place(0),
      'Check the unit; 10 km is the limit.',
    );
  }
  return ok(metres);
}

export type UnitSystem = 'metric' | 'imperial';

/** How lengths are written: system, and for inches the finest fraction. */
export interface LengthStyle {
  system: UnitSystem;
  /** Finest fraction of an inch, default 16. */
  fraction?: 16 | 32;
  /** Digits behind the point of metres (of millimetres with `small`); a short length keeps the same last place. */
  digits?: number;
  /** Small parts: millimetres or inches whatever the size (strip lengths, dies). */
  small?: boolean;
}

/**
 * Writes a length for people.
 *
 * @param metres length, m
 * @returns metric `24.20 m` or `31 mm`; imperial `12' 6 1/2"`
 * @example formatLength(3.82, { system: 'metric' }) // '3.82 m'
 * @example formatLength(3.8227, { system: 'imperial' }) // `12' 6 1/2"`
 */
export function formatLength(metres: number, style: LengthStyle): string {
  if (!Number.isFinite(metres)) return '–';
  return style.system === 'metric' ? metricLength(metres, style) : imperialLength(metres, style);
}

function metricLength(metres: number, { digits, small }: LengthStyle): string {
  if (metres === 0) return small ? '0 mm' : '0 m';
  if (small || Math.abs(metres) < 0.1)
    return `${(metres * 1000).toFixed(small ? (digits ?? smallDigits(metres)) : digits === undefined ? 1 : Math.max(0, digits - 3))} mm`;
  return `${metres.toFixed(digits ?? 2)} m`;
}

/** From here on a rule is read to the millimetre, below it to the tenth which a caliper gives. Common practice, no source. */
const WHOLE_MM_FROM_M = 0.02;
const smallDigits = (metres: number): number => (Math.abs(metres) >= WHOLE_MM_FROM_M ? 0 : 1);

function imperialLength(metres: number, { fraction = 16, small }: LengthStyle): string {
  const sign = metres < 0 ? '-' : '';
  const units = Math.round((Math.abs(metres) / METRES_PER_INCH) * fraction);
  const feet = small ? 0 : Math.floor(units / (12 * fraction));
  const inches = inchFraction(units - feet * 12 * fraction, fraction);
  if (feet === 0) return `${sign}${inches} in`;
  return `${sign}${feet}' ${inches}"`;
}

/** `units` counts of 1/`fraction` inch, written as a mixed fraction in lowest terms. */
function inchFraction(units: number, fraction: number): string {
  const whole = Math.floor(units / fraction);
  let num = units % fraction;
  if (num === 0) return `${whole}`;
  let den = fraction;
  while (num % 2 === 0) {
    num /= 2;
    den /= 2;
  }
  return whole === 0 ? `${num}/${den}` : `${whole} ${num}/${den}`;
}

/**
 * Reads a length which may lie on either side of a mark: `-0.5 m` is below or before it.
 *
 * @param unit of a bare number
 * @returns metres, -10 000 to 10 000
 * @example parsePosition('-50 cm', 'm') // { ok: true, value: -0.5 }
 */
export function parsePosition(text: string, unit: LengthUnit): Result<number> {
  const [, sign, rest] = /^\s*([-−]?)(.*)$/s.exec(text) ?? ['', '', text];
  const read = parseLength(rest, { unit, allowZero: true });
  return read.ok && sign !== '' ? ok(read.value === 0 ? 0 : -read.value) : read;
}
