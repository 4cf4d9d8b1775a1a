import { resistanceToneHz, resonanceToneHz, TARGET_TONE_HZ } from '@kobran/core';

let context: AudioContext | undefined;

const TONE_S = 0.25;

/**
 * A short tone, so that nobody has to look. Silent where the browser has no sound.
 *
 * @param afterS when it begins, s from now
 */
export function beep(frequencyHz: number, seconds: number, afterS = 0): void {
  if (!('AudioContext' in window)) return;
  context ??= new AudioContext();
  const from = context.currentTime + afterS;
  const tone = context.createOscillator();
  const volume = context.createGain();
  tone.frequency.value = frequencyHz;
  volume.gain.setValueAtTime(0.25, from);
  volume.gain.exponentialRampToValueAtTime(0.001, from + seconds);
  tone.connect(volume).connect(context.destination);
  tone.start(from);
  tone.stop(from + seconds);
}

/** A resistance as a tone: the higher, the nearer to a short; an open circuit is silent. */
export function soundResistance(ohm: number): void {
  const toneHz = resistanceToneHz(ohm);
  if (toneHz !== undefined) beep(toneHz, TONE_S);
}

/** The pitch of the target, and then that of the reading: at the target they are one. */
export function soundResonance(frequencyHz: number, targetHz: number): void {
  beep(TARGET_TONE_HZ, TONE_S);
  beep(resonanceToneHz(frequencyHz, targetHz), TONE_S, TONE_S * 1.2);
}
