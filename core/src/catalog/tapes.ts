/** A roll of sealing tape. Width and thickness in mm, unstretched; roll length in m. */
export interface Tape {
  id: string;
  name: string;
  kind: 'rubber' | 'vinyl';
  widthMm: number;
  thicknessMm: number;
  rollM: number;
  source: string;
}

const nominal = 'nominal, common practice, no source';

export const tapes: Record<'rubber38' | 'vinyl19', Tape> = {
  rubber38: {
    id: 'rubber38',
    name: 'self-fusing rubber, 38 mm',
    kind: 'rubber',
    widthMm: 38,
    thicknessMm: 0.76,
    rollM: 9.1,
    source: nominal,
  },
  vinyl19: {
    id: 'vinyl19',
    name: 'UV-stable vinyl, 19 mm',
    kind: 'vinyl',
    widthMm: 19,
    thicknessMm: 0.18,
    rollM: 20,
    source: nominal,
  },
};
