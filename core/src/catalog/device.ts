export const deviceKinds = [
  'choke',
  'balun',
  'band filter',
  'duplexer',
  'splitter',
  'bias tee',
  'attenuator',
  'stub tee',
] as const;
export type DeviceKind = (typeof deviceKinds)[number];

/** What a rigid piece with two faces does besides carrying a wave on. Of more ports the others are taken as closed by their own load. */
export interface InlineDevice {
  kind: DeviceKind;
  /** It works from here up to the piece’s `maxFrequencyHz`, Hz. */
  lowHz: number;
  /** Loss in its band between matched lines, dB. */
  lossDb: number;
  /** Average power it takes, W. */
  averageW: number;
  dc: (typeof directCurrents)[number];
  /** Impedance at its first face over that at its second; 1 unless it transforms. */
  ratio: number;
}

export const directCurrents = ['passes', 'blocks', 'grounds'] as const;

/** What an own device begins with. */
export const usualDevice: InlineDevice = {
  kind: 'band filter',
  lowHz: 144e6,
  lossDb: 0.5,
  averageW: 50,
  dc: 'passes',
  ratio: 1,
};
