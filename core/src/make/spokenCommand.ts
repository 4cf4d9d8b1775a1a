/** What somebody says to a card while both hands are busy. */
export type SpokenCommand =
  { kind: 'next' | 'back' | 'repeat' | 'wrong' | 'timer' } | { kind: 'value'; text: string };

const words: Record<string, SpokenCommand['kind']> = {
  next: 'next',
  done: 'next',
  'go on': 'next',
  continue: 'next',
  back: 'back',
  'go back': 'back',
  previous: 'back',
  repeat: 'repeat',
  again: 'repeat',
  'say again': 'repeat',
  wrong: 'wrong',
  'it went wrong': 'wrong',
  'start timer': 'timer',
  timer: 'timer',
  count: 'timer',
};

const digits = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];
const tens: Record<string, number> = {
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
const scales: Record<string, number> = { hundred: 100, thousand: 1000 };
const units: Record<string, string> = {
  ohm: 'ohm',
  ohms: 'ohm',
  milliohm: 'mohm',
  milliohms: 'mohm',
  kilohm: 'kohm',
  kilohms: 'kohm',
  kiloohm: 'kohm',
  megohm: 'Mohm',
  megohms: 'Mohm',
  megaohm: 'Mohm',
  megaohms: 'Mohm',
};

/**
 * Reads what a speech recogniser heard: `next`, `back`, `repeat`, `wrong`, `count`, `value 0.3`, `value zero point three ohms`, `open`.
 *
 * @returns nothing when it was no command: a bench is never quiet
 * @example spokenCommand('value two hundred megohms') // { kind: 'value', text: '200 Mohm' }
 */
export function spokenCommand(heard: string): SpokenCommand | undefined {
  const spoken = heard
    .toLowerCase()
    .replace(/[^\p{L}\p{N}.,\s-]/gu, ' ')
    .replace(/[.,](?!\d)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  if (spoken in words) {
    const kind = words[spoken];
    return kind === 'value' ? undefined : { kind };
  }
  if (/^(value )?(it (shows|is) )?(open|over range|over load|overload|o l|ol)$/.test(spoken))
    return { kind: 'value', text: 'open' };
  const value = /^(?:value|reading|it shows) (.+)$/.exec(spoken);
  return value ? valueOf(value[1]) : undefined;
}

function valueOf(spoken: string): SpokenCommand | undefined {
  const parts = spoken
    .replace(/-/g, ' ')
    .replace(/\b(milli|kilo|mega|meg) ohms?\b/g, '$1ohm')
    .split(' ');
  const last = parts.at(-1) ?? '';
  const unit = units[last];
  const number = numberOf(unit ? parts.slice(0, -1) : parts);
  return number === undefined ? undefined : { kind: 'value', text: unit ? `${number} ${unit}` : number };
}

/** Digits as they were recognised, or number words. */
function numberOf(parts: readonly string[]): string | undefined {
  const joined = parts.join(' ').replace(',', '.');
  if (/^\d+(\.\d+)?$/.test(joined)) return joined;
  const point = parts.indexOf('point');
  const whole = wholeOf(point < 0 ? parts : parts.slice(0, point));
  if (whole === undefined) return undefined;
  if (point < 0) return String(whole);
  const decimals = parts
    .slice(point + 1)
    .map((word) => (/^\d$/.test(word) ? word : String(digits.indexOf(word))));
  return decimals.length > 0 && !decimals.includes('-1') ? `${whole}.${decimals.join('')}` : undefined;
}

function wholeOf(parts: readonly string[]): number | undefined {
  if (parts.length === 0) return 0;
  let sum = 0;
  let group = 0;
  for (const word of parts.filter((one) => one !== 'and')) {
    const digit = /^\d+$/.test(word) ? Number(word) : digits.indexOf(word);
    if (digit >= 0) group += digit;
    else if (word in tens) group += tens[word];
    else if (word in scales) {
      group = Math.max(1, group) * scales[word];
      if (word === 'thousand') {
        sum += group;
        group = 0;
      }
    } else return undefined;
  }
  return sum + group;
}
