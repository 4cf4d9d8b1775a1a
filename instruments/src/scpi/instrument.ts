import { ScpiError } from './errors.js';
import { follows, unitsOf, type ScpiUnit } from './message.js';

/** What an instrument does on one header; `set` without `?`, `ask` with it. */
export interface ScpiCommand {
  /** `SENSe:FREQuency:STARt`: capitals are the short form, brackets may be left out. */
  header: string;
  set?: (args: string[]) => void;
  ask?: (args: string[]) => string | Buffer | Promise<string | Buffer>;
}

/** An instrument behind the common commands of IEEE 488.2. */
export interface InstrumentModel {
  /** Maker, model, serial number, version. */
  identity: [string, string, string, string];
  commands: ScpiCommand[];
  /** Back to the state after switching on. */
  reset: () => void;
  /** Resolves when what was begun is done: `*OPC?` waits for it. */
  settled: () => Promise<void>;
}

/** Longest error queue; the last place then says that more were lost. */
const MAX_ERRORS = 20;
const OPERATION_COMPLETE = 1;
const POWER_ON = 1 << 7;

/**
 * Makes an instrument answer program messages.
 *
 * @returns a function from one message, without its line end, to the answer; nothing when the message asks for nothing
 */
export function interpreter(model: InstrumentModel): (message: string) => Promise<Buffer | undefined> {
  const errors: ScpiError[] = [];
  let events = POWER_ON;
  let enabled = 0;
  const note = (error: ScpiError): void => {
    events |= error.eventBit;
    if (errors.length < MAX_ERRORS) errors.push(error);
    else errors[MAX_ERRORS - 1] = new ScpiError(-350);
  };
  const common: ScpiCommand[] = [
    { header: '*IDN', ask: () => model.identity.join(',') },
    { header: '*RST', set: () => model.reset() },
    {
      header: '*CLS',
      set: () => {
        errors.length = 0;
        events = 0;
      },
    },
    {
      header: '*OPC',
      set: () => {
        void model.settled().then(() => (events |= OPERATION_COMPLETE));
      },
      ask: () => model.settled().then(() => '1'),
    },
    { header: '*WAI', set: () => undefined },
    {
      header: '*ESE',
      set: ([value]) => {
        enabled = Number(value) & 0xff;
      },
      ask: () => String(enabled),
    },
    {
      header: '*ESR',
      ask: () => {
        const was = events;
        events = 0;
        return String(was);
      },
    },
    {
      header: '*STB',
      ask: () => String((errors.length > 0 ? 1 << 2 : 0) | ((events & enabled) !== 0 ? 1 << 5 : 0)),
    },
    { header: '*TST', ask: () => '0' },
    { header: 'SYSTem:ERRor[:NEXT]', ask: () => errors.shift()?.message ?? '0,"No error"' },
    { header: 'SYSTem:VERSion', ask: () => '1999.0' },
  ];
  const commands = [...common, ...model.commands];
  const find = ({ header }: ScpiUnit): ScpiCommand => {
    const found = commands.find((one) => follows(header, one.header));
    if (!found) throw new ScpiError(-113, header);
    return found;
  };
  async function perform(unit: ScpiUnit): Promise<string | Buffer | undefined> {
    const command = find(unit);
    if (unit.isQuery) {
      if (!command.ask) throw new ScpiError(-113, `${unit.header}?`);
      return command.ask(unit.args);
    }
    if (!command.set) throw new ScpiError(-113, unit.header);
    if (unit.header === '*WAI') await model.settled();
    command.set(unit.args);
    return undefined;
  }
  return async (message) => {
    const answers: Buffer[] = [];
    try {
      for (const unit of unitsOf(message)) {
        const answer = await perform(unit);
        if (answer !== undefined) answers.push(Buffer.from(answer));
      }
    } catch (error) {
      // What a message asks for that cannot be done is the instrument's daily bread; anything else is a bug of ours.
      if (!(error instanceof ScpiError)) throw error;
      note(error);
    }
    if (answers.length === 0) return undefined;
    return Buffer.concat(answers.flatMap((one, k) => (k === 0 ? [one] : [Buffer.from(';'), one])));
  };
}
