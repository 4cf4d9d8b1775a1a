import { describe, expect, it } from 'vitest';
import { inLanguage, languageOf } from './index.js';

// BS 7671 says earthing where NFPA 70 says grounding; aluminium is the IUPAC's spelling, aluminum that of the ACS.
describe('one English or the other', () => {
  it.each([
    ['Ground', 'Earth'],
    ['Joined to the entry ground rod', 'Joined to the entry earth rod'],
    ['solid copper-clad aluminum', 'solid copper-clad aluminium'],
    ['a gray lump on the body only', 'a grey lump on the body only'],
  ])('%s', (us, uk) => {
    expect(inLanguage(us, 'UK')).toBe(uk);
    expect(inLanguage(uk, 'US')).toBe(us);
    expect(inLanguage(us, 'US')).toBe(us);
  });

  it('soil is ground in both', () =>
    expect(inLanguage('A joint in the ground is never taped and buried', 'UK')).toContain('in the ground'));

  it('a browser says which', () =>
    expect(['en-GB', 'en-AU', 'en-US', 'de-DE', ''].map(languageOf)).toEqual(['UK', 'UK', 'US', 'US', 'US']));
});
