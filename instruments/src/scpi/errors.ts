/** Errors of SCPI-99, volume 2, chapter 21: number and text. */
const texts = {
  [-102]: 'Syntax error',
  [-104]: 'Data type error',
  [-108]: 'Parameter not allowed',
  [-109]: 'Missing parameter',
  [-113]: 'Undefined header',
  [-131]: 'Invalid suffix',
  [-200]: 'Execution error',
  [-221]: 'Settings conflict',
  [-222]: 'Data out of range',
  [-224]: 'Illegal parameter value',
  [-230]: 'Data corrupt or stale',
  [-350]: 'Queue overflow',
  [-363]: 'Input buffer overrun',
} as const;

export type ScpiErrorCode = keyof typeof texts;

/** Something a program message asked for which cannot be done; it goes into the error queue. */
export class ScpiError extends Error {
  constructor(
    readonly code: ScpiErrorCode,
    readonly detail = '',
  ) {
    super(`${code},"${texts[code]}${detail === '' ? '' : `;${detail.replaceAll('"', "'")}`}"`);
  }

  /** Its bit in the standard event status register: command error 5, execution error 4, device-dependent 3 (IEEE 488.2). */
  get eventBit(): number {
    if (this.code <= -300) return 1 << 3;
    return this.code <= -200 ? 1 << 4 : 1 << 5;
  }
}
