/** A box of a drawing, px. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Something with a name: where its mark stands, and how wide its name is, px. */
export interface Named {
  x: number;
  y: number;
  textWidth: number;
}

export interface PlacedLabel {
  /** Where the text is anchored. */
  x: number;
  y: number;
  anchor: 'start' | 'end' | 'middle';
}

type Segment = readonly [x1: number, y1: number, x2: number, y2: number];

const MARK_PX = 9;
const TEXT_HEIGHT = 14;
const GAP = 4;

/** Where a name may stand about its mark, the usual place first. */
const spots: readonly { dx: number; dy: number; anchor: PlacedLabel['anchor'] }[] = [
  { dx: MARK_PX + GAP, dy: 4, anchor: 'start' },
  { dx: -MARK_PX - GAP, dy: 4, anchor: 'end' },
  { dx: 0, dy: -MARK_PX - GAP, anchor: 'middle' },
  { dx: 0, dy: MARK_PX + TEXT_HEIGHT, anchor: 'middle' },
  { dx: MARK_PX, dy: -MARK_PX, anchor: 'start' },
  { dx: -MARK_PX, dy: -MARK_PX, anchor: 'end' },
  { dx: MARK_PX, dy: MARK_PX + TEXT_HEIGHT - 4, anchor: 'start' },
  { dx: -MARK_PX, dy: MARK_PX + TEXT_HEIGHT - 4, anchor: 'end' },
];

export const boxOf = ({ x, y, anchor }: PlacedLabel, textWidth: number): Box => ({
  x: anchor === 'start' ? x : anchor === 'end' ? x - textWidth : x - textWidth / 2,
  y: y - TEXT_HEIGHT + 3,
  width: textWidth,
  height: TEXT_HEIGHT,
});

export const overlap = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

const crosses = ({ x, y, width, height }: Box, [x1, y1, x2, y2]: Segment): boolean => {
  // Cut the segment by the box, side by side (Liang and Barsky).
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [x1 - x2, x1 - x],
    [x2 - x1, x + width - x1],
    [y1 - y2, y1 - y],
    [y2 - y1, y + height - y1],
  ]) {
    if (p === 0 && q < 0) return false;
    if (p < 0) from = Math.max(from, q / p);
    if (p > 0) to = Math.min(to, q / p);
  }
  return from <= to;
};

/**
 * Places names so that none lies on another, on a mark or beyond the drawing, and on lines only where there is no other place.
 *
 * @param named in the order in which they are served
 * @param segments lines of the drawing
 * @param size of the drawing, and what of it is taken already
 * @returns one for each; nothing where there is no room
 */
export function placeLabels(
  named: readonly Named[],
  segments: readonly Segment[],
  size: { width: number; height: number; taken?: readonly Box[] },
): (PlacedLabel | undefined)[] {
  const marks = named.map(({ x, y }): Box => ({
    x: x - MARK_PX,
    y: y - MARK_PX,
    width: 2 * MARK_PX,
    height: 2 * MARK_PX,
  }));
  const taken: Box[] = [...(size.taken ?? [])];
  return named.map(({ x, y, textWidth }, own) => {
    const free = spots
      .map(({ dx, dy, anchor }) => {
        const label = { x: x + dx, y: y + dy, anchor };
        return { label, box: boxOf(label, textWidth) };
      })
      .filter(
        ({ box }) =>
          box.x >= 0 &&
          box.y >= 0 &&
          box.x + box.width <= size.width &&
          box.y + box.height <= size.height &&
          !taken.some((other) => overlap(box, other)) &&
          !marks.some((mark, k) => k !== own && overlap(box, mark)),
      )
      .map((one) => ({ ...one, lines: segments.filter((line) => crosses(one.box, line)).length }));
    const best = free.reduce<(typeof free)[number] | undefined>(
      (least, one) => (least && least.lines <= one.lines ? least : one),
      undefined,
    );
    if (best) taken.push(best.box);
    return best?.label;
  });
}
