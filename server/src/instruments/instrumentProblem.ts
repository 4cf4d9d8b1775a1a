import { problem } from '../errors/problem.js';
import { InstrumentFault, type InstrumentFaultKind } from './scpiClient.js';

const remedies: Record<InstrumentFaultKind, string> = {
  absent: 'Look whether it is switched on, on the network and at this address; then try again.',
  slow: 'Wait until it is done, or sweep fewer points; then try again.',
  nonsense: 'Look at the address: another program may answer there. It must speak SCPI.',
  died: 'Switch it on again and repeat the measurement; nothing was kept of it.',
  refused: 'Change what the instrument names and try again.',
};
const statuses: Record<InstrumentFaultKind, number> = {
  absent: 502,
  slow: 504,
  nonsense: 502,
  died: 502,
  refused: 409,
};

/** A fault of an instrument in the one shape of the API; anything else as it is. */
export function asProblem(error: unknown, name: string): unknown {
  if (!(error instanceof InstrumentFault)) return error;
  return problem(statuses[error.kind], {
    code: `instrument.${error.kind}`,
    message: `${name}: ${error.message}`,
    where: 'instrument',
    remedy: remedies[error.kind],
  });
}
