/** One step of the work on a gas tube. */
export interface TubeStep {
  title: string;
  text: string;
  /** What can hurt at this step. */
  caution?: string;
}

/**
 * The steps of taking a gas tube out, looking at it and putting one back. Handbook of the trade, from memory.
 *
 * @param fed direct current comes up the cable: to a preamplifier, relay or tuner
 * @param aloft the arrester hangs on the mast
 */
export const tubeSteps = ({ fed, aloft }: { fed: boolean; aloft: boolean }): TubeStep[] => [
  {
    title: 'No storm about, nobody on the air',
    text: 'Look at the sky and listen. Switch the transmitter off and say so to everybody.',
    caution: 'When thunder is heard, nobody touches an arrester, its ground conductor or the antenna.',
  },
  ...(fed
    ? [
        {
          title: 'Feed off',
          text: 'Switch off the supply that goes up the cable, and see that it stays off.',
        },
      ]
    : []),
  ...(aloft
    ? [
        {
          title: 'Up to the arrester',
          text: 'Two people. Fall arrest on, tools on lanyards, nobody below.',
          caution: 'Look for power lines first. Not in wind, not in storm. Local rules decide who may climb.',
        },
      ]
    : []),
  { title: 'Disconnect', text: 'Take the cable off its protected side. The ground conductor stays on.' },
  { title: 'Tube out', text: 'Unscrew the cap by hand, and take out the tube and the old gasket.' },
  {
    title: 'Look at it',
    text: 'Sound: clear or evenly grey, both caps bright, whole. Damaged: black, cracked, caps burnt or melted together. When SWR was poor, try the run without it: if all is well again, it was the tube.',
  },
  {
    title: 'Tube in',
    text: 'A sound tube goes back with its gasket. A damaged one is replaced, with a new gasket. Finger tight, no tool.',
  },
  {
    title: 'Connect and measure',
    text: 'Cable on, with its torque. Centre to shell must read as before: a short means the tube or a stray strand.',
  },
];
