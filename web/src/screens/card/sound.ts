let context: AudioContext | undefined;

/** A short tone, so that nobody has to look at the seconds. Silent where the browser has no sound. */
export function beep(frequencyHz: number, seconds: number): void {
  if (!('AudioContext' in window)) return;
  context ??= new AudioContext();
  const tone = context.createOscillator();
  const volume = context.createGain();
  tone.frequency.value = frequencyHz;
  volume.gain.setValueAtTime(0.25, context.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + seconds);
  tone.connect(volume).connect(context.destination);
  tone.start();
  tone.stop(context.currentTime + seconds);
}
