/** A torque spanner and a hand together, as a share. Common practice, no source. */
const SPANNER_SHARE = 0.15;
/** So far off another unit was meant, or another tool held. Common practice, no source. */
const FAR_OFF = 3;

export interface TorqueVerdict {
  verdict: 'pass' | 'caution' | 'fail';
  why: string;
}

/**
 * What a torque says that was read at a coupling.
 *
 * @param range what the series asks for, N·m
 * @param readNm what the spanner read, N·m
 * @example judgeTorque([0.7, 1.1], 12).verdict // 'fail'
 */
export function judgeTorque([least, most]: readonly [number, number], readNm: number): TorqueVerdict {
  const wanted = least === most ? `${most} N·m` : `${least} to ${most} N·m`;
  if (readNm >= least * (1 - SPANNER_SHARE) && readNm <= most * (1 + SPANNER_SHARE))
    return { verdict: 'pass', why: `${wanted} is asked.` };
  if (readNm > most)
    return {
      verdict: readNm >= most * FAR_OFF ? 'fail' : 'caution',
      why:
        readNm >= most * FAR_OFF
          ? `${readNm} N·m where ${wanted} is asked: threads and insulator give way. Was another unit read? If not, take it apart and look.`
          : `More than ${wanted}: loosen it, look at the thread, and tighten again.`,
    };
  return {
    verdict: readNm * FAR_OFF <= least ? 'fail' : 'caution',
    why: `Less than ${wanted}: it works loose and lets water in. Tighten it again.`,
  };
}
