import { entry, nutAcrossMm, seriesById, styleById, type Catalog, type Face } from '../../catalog/index.js';
import { isExposed } from '../../route/index.js';
import {
  buriedInstructions,
  closure,
  sealNotes,
  sealSystem,
  type ClosureId,
  type ProfileStep,
  type SealMethod,
} from '../../seal/index.js';
import type { Housing, JointSeal } from '../design/design.js';
import type { JointHang } from './lowerSide.js';
import type { WrapSheet } from './work.js';
import type { PlacedJoint, PlacedPiece } from '../wave/layout.js';
import { inspectionMonths, sealMethod, type Practice } from '../../practice/index.js';

/** Diameter of what carries on behind a face: the cable's jacket, or the body of a rigid piece or port, m. */
function behindM(face: Face, piece: PlacedPiece | undefined, catalog: Catalog): number {
  if (piece?.piece.kind === 'assembly') return entry(catalog.cables, piece.piece.cable).jacketMm / 1000;
  return (seriesById[face.series].jackBodyMm * 1.1) / 1000;
}

/** Steps of one side, from the cable inwards: ferrule or gland nut, then the body's own diameter. */
function sideSteps(
  face: Face,
  end: 'a' | 'b',
  piece: PlacedPiece | undefined,
  catalog: Catalog,
): ProfileStep[] {
  const series = seriesById[face.series];
  const body: ProfileStep =
    face.body === 'plug'
      ? {
          name: `${series.name} coupling nut`,
          lengthM: (series.plugLengthMm * 0.55) / 1000,
          diameterM: nutAcrossMm(series) / 1000,
        }
      : {
          name: `${series.name} jack body`,
          lengthM: (series.jackLengthMm * 0.6) / 1000,
          diameterM: series.jackBodyMm / 1000,
        };
  if (piece?.piece.kind !== 'assembly') return [body];
  const part = entry(catalog.parts, piece.piece[end].part);
  return [
    {
      name: styleById[part.style].grip ?? 'split',
      lengthM: Math.max(part.gripMm, 1) / 1000,
      diameterM: ((part.gripBoreMm ?? entry(catalog.cables, piece.piece.cable).jacketMm) + 1.2) / 1000,
    },
    body,
  ];
}

/** The body of what stands between two joints under one wrap. */
const bodyStep = ({ faces, fromM, toM, name }: PlacedPiece): ProfileStep => ({
  name,
  lengthM: (toM - fromM) * BODY_SHARE,
  diameterM: Math.max(...faces.map(({ series }) => seriesById[series].jackBodyMm)) / 1000,
});
/** Of a rigid piece the rest lies under the nuts of its neighbours. Common practice, no source. */
const BODY_SHARE = 0.3;

/** The stepped profile of joints under one wrap, from the radio on. */
const jointProfile = (group: readonly PlacedJoint[], catalog: Catalog): ProfileStep[] =>
  group.flatMap(({ left, right, leftPiece, rightPiece }, k) => [
    ...sideSteps(left, 'b', k === 0 ? leftPiece : undefined, catalog),
    ...sideSteps(right, 'a', k === group.length - 1 ? rightPiece : undefined, catalog).reverse(),
    ...(k < group.length - 1 && rightPiece ? [bodyStep(rightPiece)] : []),
  ]);

/** The same from its lower side up. */
export const profileUpwards = (
  group: readonly PlacedJoint[],
  catalog: Catalog,
  { lower }: Pick<JointHang, 'lower'>,
): ProfileStep[] => {
  const steps = jointProfile(group, catalog);
  return lower === 'radio' ? steps : steps.toReversed();
};

/** Two joints nearer to each other than this are one object under the tape, m. Common practice, no source. */
const ONE_WRAP_M = 0.15;

/**
 * The exposed joints, those under one wrap together: a barrel with both its joints is one object. An arrester is not, when its tube must stay
 * reachable, nor is what lies in the ground or in different zones.
 */
export function wrapGroups(joints: readonly PlacedJoint[], catalog: Catalog): PlacedJoint[][] {
  const groups: PlacedJoint[][] = [];
  for (const joint of joints.filter(({ zone }) => isExposed(zone))) {
    const group = groups.at(-1);
    const before = group?.at(-1);
    if (group && before && isOneWrap(before, joint, catalog)) group.push(joint);
    else groups.push([joint]);
  }
  return groups;
}

function isOneWrap(before: PlacedJoint, joint: PlacedJoint, catalog: Catalog): boolean {
  const between = joint.leftPiece?.piece;
  if (!between || between.id !== before.rightPiece?.piece.id || between.kind === 'assembly') return false;
  const opens = between.kind === 'arrester' && entry(catalog.arresters, between.arrester).tubeChangeable;
  return (
    !opens && joint.zone === before.zone && joint.zone !== 'buried' && joint.atM - before.atM < ONE_WRAP_M
  );
}

const isBarePair = ({ left, right }: PlacedJoint): boolean =>
  left.series === 'pair' || right.series === 'pair';

/** What decides how joints under one wrap are closed. */
export interface SealSetting {
  catalog: Catalog;
  practice: Practice;
  housing: Housing['kind'] | undefined;
  /** The system of this joint, where it is not the shop’s. */
  own: JointSeal | undefined;
  hang: JointHang;
}

/** How joints under one wrap are closed: with the layers of a system, or as none can. */
export function jointSeal(
  group: readonly [PlacedJoint, ...PlacedJoint[]],
  { catalog, practice, housing, own, hang }: SealSetting,
): Pick<
  WrapSheet,
  'system' | 'reason' | 'wrap' | 'closure' | 'closedBy' | 'instructions' | 'staysOpen' | 'inspectionMonths'
> {
  const [first] = group;
  const last = group[group.length - 1];
  const { zone } = first;
  const without = { system: undefined, reason: undefined, wrap: undefined, staysOpen: false };
  const joint = profileUpwards(group, catalog, hang);
  const closed = (id: ClosureId): Pick<WrapSheet, 'closure' | 'closedBy' | 'instructions'> => {
    const plan = closure(id).plan(joint);
    return {
      closure: plan,
      closedBy: id,
      instructions: plan
        ? plan.steps.map(({ title, text }) => `${title}. ${text}`)
        : [`No ${closure(id).name} is as large as this joint: put it otherwise.`],
    };
  };
  if (zone === 'buried')
    return {
      ...without,
      ...(housing
        ? closed(housing)
        : { closure: undefined, closedBy: undefined, instructions: [...buriedInstructions] }),
      inspectionMonths: undefined,
    };
  if (!isExposed(zone) || isBarePair(first))
    return {
      ...without,
      ...closed('potted pair'),
      inspectionMonths: isExposed(zone) ? inspectionMonths(practice, zone) : undefined,
    };
  const system = sealSystem(own?.system ?? practice.sealSystem ?? 'rubber and vinyl');
  const toRadioM = behindM(first.left, first.leftPiece, catalog);
  const toAntennaM = behindM(last.right, last.rightPiece, catalog);
  const object = {
    joint,
    jackets:
      hang.lower === 'radio'
        ? { lowerM: toRadioM, upperM: toAntennaM }
        : { lowerM: toAntennaM, upperM: toRadioM },
    ...(hang.flange ? { flange: hang.flange === hang.lower ? ('lower' as const) : ('upper' as const) } : {}),
    exposure: zone,
  };
  const method = methodHere(practice, own);
  const staysOpen = group.some(({ leftPiece, rightPiece }) =>
    [leftPiece, rightPiece].some((placed) => placed?.piece.kind === 'arrester'),
  );
  return {
    system: system.id,
    reason: own?.reason,
    wrap: system.plan(object, method),
    closure: undefined,
    closedBy: undefined,
    instructions: sealNotes(system, zone, { passes: method.passes, staysOpen }),
    staysOpen,
    inspectionMonths: inspectionMonths(practice, zone),
  };
}

/** As the shop seals, save where this joint differs. */
function methodHere(practice: Practice, own: JointSeal | undefined): SealMethod {
  const method = sealMethod(practice);
  if (!own) return method;
  const {
    passes = method.passes,
    stretch = method.stretch,
    lap = method.lap,
    courtesy = method.courtesy,
  } = own;
  return { ...method, passes, stretch, lap, courtesy };
}
