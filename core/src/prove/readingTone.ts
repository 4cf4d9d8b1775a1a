/** Readings as pitch, for those who look at their hands or cannot look at all. Pitches are our own choice. */

const SHORT_TONE_HZ = 1760;
const LEAST_TONE_HZ = 110;
/** At and below this it is a short as far as an ear is concerned, ohm. */
const SHORT_OHM = 0.1;
/** From here on it is open: silent, ohm. */
const OPEN_OHM = 10e6;

/**
 * The pitch of a resistance: 1760 Hz for a short, four octaves lower just before it is open; each decade of ohms is half an octave.
 *
 * @returns Hz; nothing for an open circuit
 * @example resistanceToneHz(0) // 1760
 */
export function resistanceToneHz(ohm: number): number | undefined {
  if (!(ohm < OPEN_OHM)) return undefined;
  const share = Math.log(Math.max(ohm, SHORT_OHM) / SHORT_OHM) / Math.log(OPEN_OHM / SHORT_OHM);
  return SHORT_TONE_HZ * (LEAST_TONE_HZ / SHORT_TONE_HZ) ** share;
}

/** The pitch of a resonance which is where it should be, Hz: concert pitch. */
export const TARGET_TONE_HZ = 440;
/** An ear tells a semitone easily: that is one per cent here. */
const SEMITONES_PER_SHARE = 100;
const MAX_SEMITONES = 24;

/**
 * The pitch of a resonance beside its target: a semitone for each per cent, two octaves at most.
 *
 * @example resonanceToneHz(145e6, 145e6) // 440
 */
export function resonanceToneHz(frequencyHz: number, targetHz: number): number {
  const semitones = (frequencyHz / targetHz - 1) * SEMITONES_PER_SHARE;
  const bounded = Math.min(MAX_SEMITONES, Math.max(-MAX_SEMITONES, semitones));
  return TARGET_TONE_HZ * 2 ** (bounded / 12);
}
