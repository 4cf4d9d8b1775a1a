import { figure, formatMillilitres } from '../../quantity/index.js';
import { lengthOf, volumeOf, widestOf, type Closure } from './closure.js';

/** A shell which is filled: its bore and length inside, and the jackets which its rims seal, mm. */
interface Shell {
  boreMm: number;
  lengthMm: number;
  jacketsMm: readonly [number, number];
}

// Usual sizes, from memory.
const shells: readonly Shell[] = [
  { boreMm: 32, lengthMm: 160, jacketsMm: [4, 14] },
  { boreMm: 45, lengthMm: 220, jacketsMm: [7, 22] },
  { boreMm: 65, lengthMm: 320, jacketsMm: [12, 32] },
  { boreMm: 90, lengthMm: 450, jacketsMm: [20, 50] },
];

/** Resin lies at least so thick round the joint, and so long over each jacket, mm. Common practice, no source. */
const ROUND_MM = 5;
const OVER_MM = 25;
/** Resin which stays in the bag and the funnel. Common practice, no source. */
const RESIN_WASTE = 1.1;

/** A resin or gel splice which its maker rates for burial. Handbook of the trade, 6. */
export const splice: Closure = {
  id: 'splice',
  name: 'resin or gel splice',
  plan: (profile) => {
    const jackets = profile.map(({ diameterM }) => diameterM * 1000);
    const [thinnestMm, widestMm] = [Math.min(...jackets), widestOf(profile) * 1000];
    const shell = shells.find(
      ({ boreMm, lengthMm, jacketsMm }) =>
        boreMm >= widestMm + 2 * ROUND_MM &&
        lengthMm >= lengthOf(profile) * 1000 + 2 * OVER_MM &&
        thinnestMm >= jacketsMm[0] &&
        thinnestMm <= jacketsMm[1],
    );
    if (!shell) return undefined;
    const room = (Math.PI / 4) * (shell.boreMm / 1000) ** 2 * (shell.lengthMm / 1000);
    const over = shell.lengthMm / 1000 - lengthOf(profile);
    const cables = (Math.PI / 4) * (thinnestMm / 1000) ** 2 * over;
    const resin = (room - volumeOf(profile) - cables) * RESIN_WASTE;
    return {
      materials: [
        {
          id: `splice-${shell.boreMm}mm`,
          name: `splice rated for burial, ${shell.boreMm} by ${shell.lengthMm} mm, jackets ${shell.jacketsMm[0]} to ${shell.jacketsMm[1]} mm`,
          kind: 'splice kit',
          unit: 'piece',
          amount: figure(1, 'count', 'one for the joint'),
        },
      ],
      minutes: figure(35, 'minute', 'common practice, no source', 15),
      lowestC: 5,
      steps: [
        {
          title: 'Clean and roughen',
          text: 'Clean both jackets and roughen them where the rims of the splice sit. Prove the joint before: a splice does not open again.',
        },
        {
          title: 'Shell on, level',
          text: `The joint lies in the middle of the shell, touching it nowhere: ${ROUND_MM} mm of resin or gel all round, ${OVER_MM} mm over each jacket.`,
        },
        {
          title: 'Fill it',
          text: `Mix and pour ${formatMillilitres(resin)} of resin, slowly, until no bubble comes up; a gel splice is closed until its latches click.`,
          caution: 'Resin: gloves and eye protection, out in the open air; it gets hot while it sets.',
        },
        {
          title: 'Let it set, prove it again',
          text: 'Leave it still for as long as its sheet says in this cold. Prove once more before it is buried.',
        },
        {
          title: 'Mark its place',
          text: 'On the plan, and on a label at both ends of the cable.',
        },
      ],
    };
  },
};
