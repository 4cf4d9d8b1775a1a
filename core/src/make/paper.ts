/** A sheet of paper as shapes at true size; all in mm from the upper left corner. */
export interface Paper {
  widthMm: number;
  heightMm: number;
  shapes: Shape[];
}

export type Shape =
  | {
      kind: 'box';
      x: number;
      y: number;
      width: number;
      height: number;
      fill?: Ink;
      stroke?: Ink;
      what: string;
    }
  | {
      kind: 'line';
      x: number;
      y: number;
      toX: number;
      toY: number;
      stroke: Ink;
      thick?: number;
      what: string;
    }
  | {
      kind: 'text';
      x: number;
      y: number;
      width: number;
      sizePt: number;
      text: string;
      /** One line only: its letters shrink down to this size where the width asks for it, then an ellipsis ends it. */
      leastPt?: number;
      bold?: boolean;
      ink?: Ink;
    };

export type Ink = 'ink' | 'muted' | 'copper' | 'dielectric' | 'braid' | 'stop';

/** ISO 216, A4. */
export const A4 = { widthMm: 210, heightMm: 297 };
