/**
 * The code behind the # of an address. It has letters, digits and dashes only: what a mail program or a thumb has put beside them, written
 * with % in an address, is left out.
 */
export const codeInAddress = (hash: string): string => hash.slice(1).replaceAll(/%[0-9a-f]{0,2}/gi, '');
