import { entry, type Adapter, type InlineDevice } from '../../catalog/index.js';
import { formatFrequency, formatPower } from '../../quantity/index.js';
import type { AdapterPiece } from '../design/design.js';
import type { Remedy } from '../design/remedy.js';
import type { PlacedPiece } from '../wave/layout.js';
import { lessPower } from '../edit/lessPower.js';
import type { Finding, SnagContext, SnagRule } from './snag.js';

interface Placed {
  piece: AdapterPiece;
  fromM: number;
  adapter: Adapter;
  device: InlineDevice;
}

/** Chokes, filters, tees and the like in the run: their band, their power, and the direct current they let pass. Source: their own sheet. */
export const deviceFit: SnagRule = (context) =>
  context.layout.pieces.flatMap((placed) => {
    const found = deviceAt(placed, context);
    return found ? [...band(found, context), ...power(found, context), ...directCurrent(found, context)] : [];
  });

function deviceAt({ piece, fromM }: PlacedPiece, { catalog }: SnagContext): Placed | undefined {
  if (piece.kind !== 'adapter') return undefined;
  const adapter = entry(catalog.adapters, piece.adapter);
  return adapter.device && { piece, fromM, adapter, device: adapter.device };
}

const finding = (
  { piece, fromM, adapter }: Placed,
  own: Pick<Finding, 'rule' | 'what' | 'why' | 'remedies'>,
): Finding => ({
  of: piece.id,
  level: 'stop',
  stage: 'plan',
  at: piece.id,
  distanceM: fromM,
  source: adapter.source,
  ...own,
});

const covers = ({ device, maxFrequencyHz }: Adapter, { lowHz, topHz }: SnagContext): boolean =>
  device === undefined || (device.lowHz <= lowHz && topHz <= maxFrequencyHz);

/** Devices of the same kind and faces of which something holds. */
function others(
  { piece, adapter, device }: Placed,
  context: SnagContext,
  holds: (other: InlineDevice) => boolean,
): Remedy[] {
  return [...context.catalog.adapters.values()]
    .filter((other) => other.id !== adapter.id && other.device?.kind === device.kind)
    .filter((other) => other.faces.join() === adapter.faces.join() && covers(other, context))
    .filter((other) => other.device && holds(other.device))
    .map((other) => ({
      title: `Take ${other.name}`,
      detail: 'same connectors',
      changes: [{ op: 'set piece', piece: { ...piece, adapter: other.id } }],
    }));
}

function band(placed: Placed, context: SnagContext): Finding[] {
  const { adapter, device } = placed;
  if (covers(adapter, context)) return [];
  const used = [context.lowHz, context.topHz].map(formatFrequency);
  return [
    finding(placed, {
      rule: 'device-band',
      what: `${adapter.name} is made for another band`,
      why: `It works from ${formatFrequency(device.lowHz)} to ${formatFrequency(adapter.maxFrequencyHz)}; this run is used ${used[0] === used[1] ? `at ${used[0]}` : `from ${used[0]} to ${used[1]}`}. Beyond its band its loss is not known.`,
      remedies: others(placed, context, () => true),
    }),
  ];
}

function power(placed: Placed, context: SnagContext): Finding[] {
  const { adapter, device } = placed;
  const { powerW, duty } = context.design.service;
  const averageW = powerW * duty;
  if (averageW <= device.averageW) return [];
  return [
    finding(placed, {
      rule: 'device-power',
      what: `${adapter.name} runs hot`,
      why: `${formatPower(averageW)} on average; it takes ${formatPower(device.averageW)}.`,
      remedies: [
        ...others(placed, context, (other) => other.averageW >= averageW),
        ...lessPower(powerW * (device.averageW / averageW)),
      ],
    }),
  ];
}

function directCurrent(placed: Placed, context: SnagContext): Finding[] {
  const { adapter, device } = placed;
  if (!context.design.service.dcFeed || device.dc === 'passes') return [];
  return [
    finding(placed, {
      rule: 'device-dc',
      what: `${adapter.name} stops the direct current`,
      why:
        device.dc === 'grounds'
          ? 'It joins pin and shell for direct current: the feed is shorted.'
          : 'It blocks direct current: 0 V of the feed gets past it.',
      remedies: others(placed, context, ({ dc }) => dc === 'passes'),
    }),
  ];
}
