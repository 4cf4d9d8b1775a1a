import { deviceOn, deviceScattering, loaded, type ReadBench } from '@kobran/core';
import { noiseFrom } from '../chance.js';
import { nr3 } from '../scpi/block.js';
import { ScpiError } from '../scpi/errors.js';
import type { InstrumentModel, ScpiCommand } from '../scpi/instrument.js';
import { numberOf, switchOf, wordOf } from '../scpi/message.js';

/** Strongest transmitter of the bench, W, *forward*. */
const MAX_W = 150;
/** What the pair is good to, and one meter of it against the other, share of the reading; what it shows by itself. Common practice, no source. */
const ACCURACY = 0.05;
const PAIRED = 0.008;
const FLUTTER = 0.004;
/** Longest silence of whoever has it transmit, ms. */
const SILENCE_MS = 2000;
/** Directivity of the coupler, as a share of the wave. */
const DIRECTIVITY = 10 ** (-30 / 20);

/**
 * A transmitter with a forward and reflected meter behind it, and a second meter in the dummy load at the far end.
 *
 * @param seed which one of many: how it errs
 */
export function powerMeters(bench: () => ReadBench, seed: number): InstrumentModel {
  const fixed = noiseFrom(seed + 2);
  // A pair is compared before it leaves its drawer: what both err by is larger than what they differ by.
  const both = 1 + ACCURACY * fixed.uniform();
  const oneOf = (): number => both * (1 + PAIRED * fixed.uniform());
  const errors = { FORW: oneOf(), REFL: oneOf(), LOAD: oneOf() };
  const angle = Math.PI * fixed.uniform();
  const noise = noiseFrom(seed + 3);
  let frequencyHz = 145e6;
  let watts = 5;
  let keyed = false;
  /** Who has it transmit has to go on asking: without a word for this long it stops by itself. */
  let lastWordAt = 0;
  const onTheAir = (): boolean => (keyed &&= Date.now() - lastWordAt < SILENCE_MS);
  const read = (which: keyof typeof errors): number => {
    if (!onTheAir()) return 0;
    lastWordAt = Date.now();
    const { forwardW, reflectedW, loadW } = passes(bench(), frequencyHz, watts, angle);
    const truly = { FORW: forwardW, REFL: reflectedW, LOAD: loadW }[which];
    return truly * errors[which] * (1 + FLUTTER * noise.normal());
  };
  const quantity = (
    header: string,
    least: number,
    most: number,
    get: () => number,
    put: (to: number) => void,
  ): ScpiCommand => ({
    header,
    set: (args) => put(numberOf(args, least, most)),
    ask: () => String(get()),
  });
  return {
    identity: ['Kobran', 'SIM-WATT-2', `W${seed}`, '1.0'],
    reset: () => {
      [frequencyHz, watts, keyed] = [145e6, 5, false];
    },
    settled: () => Promise.resolve(),
    commands: [
      quantity(
        'SOURce:FREQuency',
        1e6,
        3e9,
        () => frequencyHz,
        (to) => (frequencyHz = to),
      ),
      quantity(
        'SOURce:POWer',
        0.1,
        MAX_W,
        () => watts,
        (to) => (watts = to),
      ),
      {
        header: 'OUTPut[:STATe]',
        set: (args) => {
          const on = switchOf(args);
          if (on && !['load', 'antenna'].includes(bench().far))
            throw new ScpiError(-221, 'nothing takes the power at the far end; fit the dummy load first');
          keyed = on;
          lastWordAt = Date.now();
        },
        ask: () => (onTheAir() ? '1' : '0'),
      },
      {
        header: 'MEASure:POWer',
        ask: ([which]) => nr3(read(wordOf(which, ['FORWard', 'REFLected', 'LOAD']) as keyof typeof errors)),
      },
    ],
  };
}

/** Power at both ends of what is on the bench; above what a bad end stands, it arcs over and everything comes back. */
export function passes(
  bench: ReadBench,
  frequencyHz: number,
  forwardW: number,
  angle: number,
): { forwardW: number; reflectedW: number; loadW: number } {
  const device = deviceOn(bench);
  if (device.fault.arcsAboveW !== undefined && forwardW > device.fault.arcsAboveW)
    return { forwardW, reflectedW: forwardW * 0.9, loadW: forwardW * 0.01 };
  const f = Float64Array.of(frequencyHz);
  const [s, closed] = [deviceScattering(device, f), device.closed(f)];
  const input = loaded(s, closed);
  const [re, im] = [input.re[0] + DIRECTIVITY * Math.cos(angle), input.im[0] + DIRECTIVITY * Math.sin(angle)];
  // The wave into the load, of a two-port closed by its reflection: |S21|² (1 − |ΓL|²) / |1 − S22 ΓL|².
  const [cr, ci] = [closed.re[0], closed.im[0]];
  const size = (1 - s.s22.re[0] * cr + s.s22.im[0] * ci) ** 2 + (s.s22.re[0] * ci + s.s22.im[0] * cr) ** 2;
  return {
    forwardW,
    reflectedW: forwardW * (re * re + im * im),
    loadW: (forwardW * (s.s21.re[0] ** 2 + s.s21.im[0] ** 2) * (1 - cr * cr - ci * ci)) / size,
  };
}
