import Papa from 'papaparse';

export type Cell = string | number;

/** What a spreadsheet takes for a formula. */
export const FORMULA = /^[=+\-@\t\r]/;

/** A table as CSV; a cell which a spreadsheet would take for a formula is marked as text. */
export const csvOf = (fields: readonly string[], rows: readonly (readonly Cell[])[]): string =>
  Papa.unparse(
    { fields: [...fields], data: rows.map((row) => [...row]) },
    { newline: '\n', escapeFormulae: FORMULA },
  );
