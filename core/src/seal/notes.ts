import type { TapedExposure } from './plan.js';
import { passesFor, type SealSystem } from './systems/index.js';

/** The last pass of every layer runs upwards, so that laps shed water. Common practice, no source. */
export function passWords(passes: number): string {
  if (passes === 1) return 'One pass, from the lower jacket up.';
  const count = ['Two', 'Three', 'Four', 'Five', 'Six'][passes - 2] ?? String(passes);
  return passes % 2 === 0
    ? `${count} passes: begin at the top, go down, and come back up, so that the last one sheds water.`
    : `${count} passes: up, down${passes > 3 ? ' by turns,' : ''} and up again, so that the last one sheds water.`;
}

/** What has to be known of a seal before anybody climbs with its materials. */
export const sealNotes = (
  system: SealSystem,
  exposure: TapedExposure,
  { passes = passesFor[exposure], staysOpen }: { passes: number | undefined; staysOpen: boolean },
): string[] => [
  'Joint proved, tight, clean and dry; a thin film of silicone grease on the threads only. Never seal a wet or frozen joint.',
  ...(system.slidOnBefore
    ? ['The sleeve is pushed onto the cable before the connector is coupled.']
    : system.id === 'rubber and vinyl'
      ? [passWords(passes)]
      : []),
  'A drip loop below the joint.',
  ...(exposure === 'salt'
    ? [
        'In salt: rinse with fresh water and dry before the first layer; gold or silver parts and tinned braid only; look again in six months.',
      ]
    : []),
  ...(exposure === 'ice'
    ? ['In ice: dress the run so that ice slides past the joint and does not hang on it.']
    : []),
  ...(staysOpen
    ? ['Keep off the cap of the arrester’s tube and off its drain hole: they must stay reachable and open.']
    : []),
];
