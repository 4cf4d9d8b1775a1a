import { isObject, sealNeeds, usedParts, type FactBody, type SealStep, type WrapSheet } from '@kobran/core';

/** How far the card of a seal is, and what was answered; it outlives a reload, and goes on at another device. */
export interface SealProgress {
  /** The step’s id. */
  step: string;
  /** Why it is sealed before it is proved. */
  unproved?: string;
  torqueNm?: number;
  /** Nobody had a torque spanner there. */
  noSpanner?: boolean;
  celsius?: number;
}

export const freshSeal = (steps: readonly SealStep[]): SealProgress => ({ step: steps[0].id });

/** Reads what was kept; nothing when it is none. */
export function readSealProgress(value: unknown): SealProgress | undefined {
  if (!isObject(value) || typeof value.step !== 'string') return undefined;
  const { step, unproved, torqueNm, noSpanner, celsius } = value;
  return {
    step,
    ...(typeof unproved === 'string' ? { unproved } : {}),
    ...(typeof torqueNm === 'number' ? { torqueNm } : {}),
    ...(noSpanner === true ? { noSpanner } : {}),
    ...(typeof celsius === 'number' ? { celsius } : {}),
  };
}

/** Where the card is; at its first step when the kept one is no more. */
export const stepAt = (steps: readonly SealStep[], { step }: SealProgress): number =>
  Math.max(
    0,
    steps.findIndex(({ id }) => id === step),
  );

type Pressed =
  { kind: 'blocked'; why: string } | { kind: 'moved'; progress: SealProgress } | { kind: 'done' };

/** A reason says something: fewer letters say nothing. */
const LEAST_REASON = 4;

/** What the one key does: goes on, or says why not. */
export function press(
  steps: readonly SealStep[],
  progress: SealProgress,
  { unproved, wrap, closure }: Pick<WrapSheet, 'unproved' | 'wrap' | 'closure'>,
): Pressed {
  const k = stepAt(steps, progress);
  const why = against(steps[k], progress, unproved, (wrap ?? closure)?.lowestC ?? -Infinity);
  if (why) return { kind: 'blocked', why };
  const next = steps.at(k + 1);
  return next ? { kind: 'moved', progress: { ...progress, step: next.id } } : { kind: 'done' };
}

function against(
  { ask }: SealStep,
  progress: SealProgress,
  unproved: readonly string[],
  lowestC: number,
): string | undefined {
  switch (ask) {
    case undefined:
    case 'found':
    case 'dry':
      return undefined;
    case 'proved':
      return unproved.length === 0 || (progress.unproved ?? '').trim().length >= LEAST_REASON
        ? undefined
        : `${unproved.join(' and ')} has readings to take. Prove it first, or say why it is sealed before.`;
    case 'torque':
      return progress.torqueNm !== undefined || progress.noSpanner
        ? undefined
        : 'Enter what the torque spanner read, or tick that there is none here.';
    case 'temperature':
      if (progress.celsius === undefined) return 'Enter the temperature of the air at the joint.';
      return progress.celsius >= lowestC
        ? undefined
        : `Stop: at ${progress.celsius} °C these materials do not fuse or stick; they want ${lowestC} °C. Warm joint and rolls, or seal this joint in another way.`;
  }
}

/** One step back; at the first it stays. */
export const backOne = (steps: readonly SealStep[], progress: SealProgress): SealProgress => ({
  ...progress,
  step: steps[Math.max(0, stepAt(steps, progress) - 1)].id,
});

/** The fact which a finished card writes. */
/** @param photographed is there a photo of the joint? Not stated where no card was followed, which asks for one */
export function sealedFact(
  joint: WrapSheet,
  { torqueNm, celsius, unproved, noSpanner }: SealProgress,
  photographed?: boolean,
): FactBody {
  const { jointId, jointIds, system, wrap, closedBy } = joint;
  const used = usedParts(sealNeeds(joint));
  const passes = wrap?.layers.filter(({ tape }) => tape && tape.tape.kind !== 'vinyl').length ?? 0;
  return {
    kind: 'sealed',
    jointId,
    ...(system ? { system } : {}),
    ...(closedBy ? { closure: closedBy } : {}),
    ...(passes > 0 ? { passes } : {}),
    ...(torqueNm === undefined ? (noSpanner ? { noSpanner } : {}) : { torqueNm }),
    ...(photographed === false ? { noPhoto: true } : {}),
    ...(celsius === undefined ? {} : { celsius }),
    ...(unproved?.trim() ? { unproved: unproved.trim() } : {}),
    ...(jointIds.length > 1 ? { with: jointIds.slice(1) } : {}),
    ...(used.length > 0 ? { used } : {}),
  };
}
