import {
  faceName,
  faceOf,
  seriesOf,
  variantOf,
  type Catalog,
  type Face,
  type Part,
} from '../../catalog/index.js';
import { aloneDb, jointElements } from '../../line/index.js';
import { formatFrequency } from '../../quantity/index.js';
import type { Change } from '../design/change.js';
import type { Design } from '../design/design.js';
import type { PlacedJoint } from '../wave/layout.js';
import type { Remedy } from '../design/remedy.js';
import type { MildFinding, MildRule } from './snag.js';
import { article, partsToMeet } from '../edit/waysToJoin.js';

const topOf = (face: Face): number => variantOf(face).maxFrequencyHz;

/** A series used above the frequency its standard gives; the figure is the joint's own reflection there. */
export const seriesFrequency: MildRule = ({ design, catalog, layout, topHz }) =>
  layout.joints
    .filter((joint) => joint.mating.passes && Math.min(topOf(joint.left), topOf(joint.right)) < topHz)
    .map((joint): MildFinding => {
      const face = topOf(joint.left) < topOf(joint.right) ? joint.left : joint.right;
      return {
        rule: 'series-frequency',
        of: joint.id,
        level: 'caution',
        stage: 'plan',
        at: joint.id,
        distanceM: joint.atM,
        what: `${faceName(face)} above its band: to ${formatFrequency(topOf(face))}, used at ${formatFrequency(topHz)}`,
        why: `Alone this joint sends back an echo ${aloneDb(jointElements(joint.left, joint.right), topHz).echoDb.toFixed(1)} dB down at ${formatFrequency(topHz)}.`,
        remedies: toN(design, joint, catalog),
        source: seriesOf(face).standard,
      };
    });

/** Both sides of the joint in the N series, where cable ends allow it; a port is then ordered with an N jack. */
function toN(design: Design, { leftPiece, rightPiece }: PlacedJoint, catalog: Catalog): Remedy[] {
  const jack = faceOf('n-jack');
  const plug = faceOf('n-plug');
  const changes: Change[] = [];
  const words: string[] = [];
  const sides = [
    { piece: leftPiece?.piece, end: 'b' as const, meet: jack },
    { piece: rightPiece?.piece, end: 'a' as const, meet: leftPiece ? plug : jack },
  ];
  for (const { piece, end, meet } of sides) {
    if (!piece) continue;
    if (piece.kind !== 'assembly') return [];
    const part = partsToMeet(meet, piece.cable, catalog)[0] as Part | undefined;
    if (!part) return [];
    changes.push({ op: 'set piece', piece: { ...piece, [end]: { part: part.id } } });
    words.push(`re-end ${piece.label} with ${article(part.name)}`);
  }
  if (!rightPiece) {
    changes.push({ op: 'set antenna', antenna: { face: 'n-jack' } });
    words.unshift(`order ${design.antenna.name} with an N jack`);
  }
  if (!leftPiece) {
    changes.push({ op: 'set radio', radio: { face: 'n-jack' } });
    words.unshift(`fit ${design.radio.name} with an N jack`);
  }
  const title = words.join(' and ');
  return [
    { title: title.charAt(0).toUpperCase() + title.slice(1), detail: 'N is matched to 11 GHz', changes },
  ];
}
