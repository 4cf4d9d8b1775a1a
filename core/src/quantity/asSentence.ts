/** Ends a sentence where nothing ends it yet. @example asSentence('It leaks') // 'It leaks.' */
export const asSentence = (text: string): string => (/[.?!…]$/.test(text) ? text : `${text}.`);
