import { figure, type Figure } from '../quantity/index.js';
import type { Site, SitePoint } from './document/site.js';
import { pointOf, reversedStretches, stretchesOf } from './way/path.js';
import { FRICTION, pullAlong, weightNPerM, type Pull } from './way/pull.js';
import type { PullPlan, WaySheet } from './waySheet.js';

/** One cable of a pull, and what is on its ends while it goes in. */
export interface PulledCable {
  plan: PullPlan;
  /** Its own pull, in the direction of the card. */
  pull: Pull;
  /** Does the connector at the end that goes first pass? The other one stays outside. */
  leadingPasses: boolean;
  /** The end that goes first is made already and does not pass: stop. */
  madeTooWide: boolean;
}

/** What a crew needs to know to pull the cables of one way, all at once. */
export interface PullCard {
  feedAt: SitePoint;
  pullAt: SitePoint;
  cables: PulledCable[];
  /** At the pulling end when all are in, dry and with lubricant. */
  dry: Figure;
  lubricated: Figure;
  /** The weakest cable’s limit on all of them together: where its own share of the pull reaches it. */
  limit: Figure;
  /** How it may be pulled: as it is, only with lubricant, or not all at once. */
  verdict: 'dry' | 'lubricated' | 'too much';
  /** Bends where somebody stands, from where the cable goes in, m and degrees. */
  bends: { atM: number; degrees: number }[];
  /** Past this place the pull is more than half of its end, m from where the cable goes in. */
  hardFromM: number;
  /** Pressed against the wall of the tightest bend, N/m. */
  sidewallNPerM: number | undefined;
}

/** At a sharper bend somebody guides the cable. Common practice, no source. */
const GUIDED_DEGREES = 60;

const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0);

/**
 * The card of a pull: everything that waits for a way goes in at once, from the end which asks less.
 *
 * @returns nothing where nothing waits
 */
export function pullCard(site: Site, { way, length, pulls }: WaySheet): PullCard | undefined {
  if (pulls.length === 0) return undefined;
  const total = (of: (plan: PullPlan) => Pull): number => sum(pulls.map((plan) => of(plan).end.value));
  const isForward = total(({ forward }) => forward) <= total(({ backward }) => backward);
  const there = stretchesOf(site, way);
  const stretches = isForward ? there : reversedStretches(there, length.value);
  const allAt = (friction: number): Figure =>
    figure(
      sum(pulls.map(({ cable: { cable } }) => pullAlong(stretches, weightNPerM(cable), friction).end.value)),
      'N',
      `all cables at once: μ·w·L, times e^(μ·θ) in bends, μ ${friction}`,
    );
  const now = pulls.map((plan) => (isForward ? plan.forward : plan.backward));
  const all = sum(now.map(({ end }) => end.value));
  const shares = pulls.map(({ limit }, k) => (limit.value * all) / Math.max(now[k].end.value, 1e-9));
  const [dry, lubricated] = [allAt(FRICTION.dry), allAt(FRICTION.lubricated)];
  const limitN = Math.min(...shares);
  const leading = isForward ? 1 : 0;
  const sidewalls = now.flatMap(({ sidewall }) => sidewall?.nPerM ?? []);
  return {
    feedAt: pointOf(site, isForward ? way.from : way.to),
    pullAt: pointOf(site, isForward ? way.to : way.from),
    cables: pulls.map((plan, k): PulledCable => {
      const passes = plan.passes?.[leading] ?? true;
      return {
        plan,
        pull: now[k],
        leadingPasses: passes,
        madeTooWide: !passes && plan.cable.madeEnds[leading],
      };
    }),
    dry,
    lubricated,
    verdict: dry.value <= limitN ? 'dry' : lubricated.value <= limitN ? 'lubricated' : 'too much',
    limit: figure(limitN, 'N', 'limit of the weakest cable over its share of the pull'),
    bends: stretches.flatMap((one) =>
      one.kind === 'bend' && one.degrees >= GUIDED_DEGREES ? [{ atM: one.atM, degrees: one.degrees }] : [],
    ),
    hardFromM: Math.min(...now.map(({ halfAtM }) => halfAtM)),
    sidewallNPerM: sidewalls.length > 0 ? Math.max(...sidewalls) : undefined,
  };
}
