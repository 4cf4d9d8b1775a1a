/** English as the shop speaks it: `US` ground, aluminum, gray; `UK` earth, aluminium, grey. */
export type Language = 'US' | 'UK';

/**
 * Every word that differs, as it stands in a sentence: the one table. Soil is "ground" in both, so that only phrases about a
 * conductor are in it. The first that fits is taken: longer phrases stand before shorter ones.
 */
const pairs: readonly (readonly [us: string, uk: string])[] = [
  ['ground rod', 'earth rod'],
  ['ground conductors', 'earth conductors'],
  ['building’s ground', 'building’s earth'],
  ['its ground too', 'its earth too'],
  ['way to the ground', 'way to the earth'],
  ['ground of the site', 'earth of the site'],
  ['Ground of the site', 'Earth of the site'],
  ['a ground of its own', 'an earth of its own'],
  ['ground kit', 'earth kit'],
  ['Ground the arrester', 'Earth the arrester'],
  ['grounds the centre', 'earths the centre'],
  ['arrester grounded', 'arrester earthed'],
  ['Mark as grounded', 'Mark as earthed'],
  ['aluminum', 'aluminium'],
  ['gray', 'grey'],
];
/** Names which are the whole text, as on a rail. */
const names: readonly (readonly [us: string, uk: string])[] = [['Ground', 'Earth']];

/**
 * A sentence of Kobran’s own in the language of the shop; never for what people have typed.
 *
 * @example inLanguage('Ground the arrester to the entry ground rod', 'UK') // 'Earth the arrester to the entry earth rod'
 */
export function inLanguage(text: string, language: Language): string {
  const [from, to] = language === 'US' ? [1, 0] : [0, 1];
  const name = names.find((pair) => pair[from] === text);
  if (name) return name[to];
  return pairs.reduce((so, pair) => so.replaceAll(pair[from], pair[to]), text);
}

/**
 * The language which a browser or a machine asks for.
 *
 * @param locale as `en-GB`; UK where English is written the British way, US elsewhere
 */
export const languageOf = (locale: string): Language =>
  /^en-(GB|IE|AU|NZ|ZA|IN)\b/.test(locale) ? 'UK' : 'US';
