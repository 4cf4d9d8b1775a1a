const MM_PER_INCH = 25.4;

/** Major diameter in mm which the name of a thread begins with: `5/8-24 UNEF`, `M8x0.75`, `10-32 UNF` (numbered: 0.060 + 0.013·n inch, ASME B1.1). */
export function parse(thread: string): number {
  const metric = /^M([\d.]+)/.exec(thread);
  if (metric) return Number(metric[1]);
  const numbered = /^(\d+)-\d/.exec(thread);
  if (numbered) return (0.06 + 0.013 * Number(numbered[1])) * MM_PER_INCH;
  const inch = /^(\d+)\/(\d+)-/.exec(thread);
  if (!inch) throw new Error(`${thread} is no thread`);
  return (Number(inch[1]) / Number(inch[2])) * MM_PER_INCH;
}
