import prand from 'pure-rand';
import { braidMm, entry } from '../catalog/index.js';
import { shuffled } from '../chance/index.js';
import { formatCaliper, stripGauge, stripText, stripToolSettings, type Blade } from '../make/index.js';
import { drawn, type DrillScore, type Question } from './question.js';
import type { DrillSetting } from './setting.js';
import type { Subject } from './subjects.js';

/** What lies under each layer a blade cuts. */
const under = {
  dielectric: 'conductor',
  braid: 'dielectric',
  jacket: 'braid',
} as const satisfies Record<Blade['cutsInto'], string>;

/** Questions by their id: `blade:part|cable|dielectric`, the last being the layer that is cut. */
const pool = (ends: readonly Subject[]): string[] =>
  ends.flatMap(({ part, cable }) =>
    [...new Set(stripToolSettings(stripGauge(part, cable), cable).map(({ cutsInto }) => cutsInto))].map(
      (layer) => `blade:${part.id}|${cable.id}|${layer}`,
    ),
  );

/** Have these ends a blade to ask about? */
export const asksBlade = (ends: readonly Subject[]): boolean => pool(ends).length > 0;

/**
 * How deep a blade of the strip tool goes: which diameter it must leave whole.
 *
 * @param seed any whole number; the same seed, setting and score give the same question
 */
export function nextBlade(
  { catalog, system, subjects }: DrillSetting,
  score: DrillScore,
  seed: number,
): Question {
  const rng = prand.xoroshiro128plus(seed);
  const id = drawn(pool(subjects.ends), score, rng);
  const [partId, cableId, layer] = id.slice('blade:'.length).split('|');
  const cable = entry(catalog.cables, cableId);
  const gauge = stripGauge(entry(catalog.parts, partId), cable);
  const blade = stripToolSettings(gauge, cable).find(({ cutsInto }) => cutsInto === layer);
  if (!blade) throw new Error(`no blade cuts the ${layer} for ${partId} on ${cableId}`);
  const core = under[blade.cutsInto];
  const outer = { dielectric: cable.dielectricMm, braid: braidMm(cable), jacket: cable.jacketMm }[
    blade.cutsInto
  ];
  const inner = { conductor: cable.centreMm, dielectric: cable.dielectricMm, braid: braidMm(cable) }[core];
  const causes = new Map<string, string>();
  const wrong: [mm: number, cause: string][] = [
    [inner * 0.85, `The blade cuts into the ${core}: nicked strands break at the first bend.`],
    [inner, `The blade runs on the ${core} and scores it all round; leave a little, it tears off.`],
    [
      inner + (outer - inner) * 0.8,
      `Too shallow: the ${blade.cutsInto} is hardly cut, and pulling it off drags the ${core} along.`,
    ],
  ];
  const right = formatCaliper(blade.leavesMm, system);
  for (const [mm, cause] of wrong) {
    const text = formatCaliper(mm, system);
    if (text !== right && !causes.has(text)) causes.set(text, cause);
  }
  return {
    id,
    question: `${cable.name}: the blade which cuts the ${blade.cutsInto}, ${stripText(blade.atMm, system)} from the end. Which diameter does it leave?`,
    options: shuffled([right, ...causes.keys()], rng).map((text) => ({ id: text, text })),
    right,
    reason: (answer) =>
      `${causes.get(answer) ?? ''} The ${core} is ${formatCaliper(inner, system)} across; the last skin is torn, not cut.`.trim(),
  };
}
