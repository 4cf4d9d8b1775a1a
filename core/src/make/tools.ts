/** What lies on the bench. Which of them the shop owns is part of its practice. */
export const toolNames = {
  cutter: 'sharp cutter',
  knife: 'jacket knife',
  'strip-tool': 'bladed strip tool',
  brush: 'stiff nylon brush (a toothbrush)',
  pick: 'blunt pick',
  scissors: 'fine scissors',
  ruler: 'ruler and fine pen',
  crimper: 'ratchet crimper for hex dies',
  'pin-crimper': 'pin crimper',
  'compression-tool': 'compression tool',
  pliers: 'wide pliers with a cloth',
  spanners: 'two spanners',
  'fine-iron': 'fine iron and rosin solder',
  'heavy-iron': 'iron of 100 W with a chisel tip, rosin solder',
  'hot-air': 'hot-air gun',
  meter: 'ohm-meter, leads zeroed',
  vice: 'small vice or third hand',
  'eye-protection': 'eye protection',
  deburrer: 'deburring or chamfer tool',
  saw: 'fine saw',
} as const;

export type ToolId = keyof typeof toolNames;
export const toolIds = Object.keys(toolNames) as ToolId[];

/** A tool which a card asks for; a crimper with the die it needs. */
export interface ToolNeed {
  tool: ToolId;
  /** Across flats, mm. */
  hexMm?: number;
}

/** Dies across flats closer than this are the same die, mm. */
const SAME_DIE_MM = 0.06;

export const ownsDie = (diesMm: readonly number[] | undefined, hexMm: number): boolean =>
  !diesMm || diesMm.some((die) => Math.abs(die - hexMm) <= SAME_DIE_MM);

/** Does the shop own it? What was not stated is taken as owned. */
export const owns = (
  { tools, diesMm }: { tools?: readonly ToolId[]; diesMm?: readonly number[] },
  { tool, hexMm }: ToolNeed,
): boolean =>
  // A pin crimper has its own nests; the dies a shop lists are those of its hex crimper.
  (!tools || tools.includes(tool)) && (tool !== 'crimper' || hexMm === undefined || ownsDie(diesMm, hexMm));

export const formatTool = ({ tool, hexMm }: ToolNeed): string =>
  hexMm === undefined ? toolNames[tool] : `${toolNames[tool]}: ${dieText(hexMm)} across flats`;

/** A die as it is marked, in millimetres and in thousandths of an inch. */
export const dieText = (hexMm: number): string => `${hexMm} mm (${(hexMm / 25.4).toFixed(3).slice(1)} in)`;
