/** So often somebody mistypes before Kobran begins to wait. */
export const FREE_TRIES = 5;
const LONGEST_S = 1800;
/** Who has failed is as new after this, s. */
export const FORGIVEN_S = 24 * 3600;

/**
 * How long nobody may try again after so many failures in a row: nothing after the first few, then twice as long each time, half an hour at
 * most. So fewer than 100 guesses a day can be made (NIST SP 800-63B-4, 3.2.2, wants no more than 100 in a row), and who knows the phrase
 * is never shut out for longer than that.
 *
 * @param failures one after the other, without a success between
 * @param free so many cost nothing
 * @returns seconds
 * @example waitAfter(4) // 0
 * @example waitAfter(7) // 4
 */
export const waitAfter = (failures: number, free = FREE_TRIES): number =>
  failures < free ? 0 : Math.min(LONGEST_S, 2 ** (failures - free));
