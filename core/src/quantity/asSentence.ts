/**
 * Ends a sentence where nothing ends it yet: a question keeps its mark.
 *
 * @example asSentence('It leaks') // 'It leaks.'
 */
export const asSentence = (text: string): string => (/[.?!…]$/.test(text) ? text : `${text}.`);
