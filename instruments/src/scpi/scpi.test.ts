import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { block, nr3 } from './block.js';
import { interpreter, type InstrumentModel } from './instrument.js';
import { follows, numberOf, unitsOf } from './message.js';
import { ScpiError } from './errors.js';

const model = (over: Partial<InstrumentModel> = {}): InstrumentModel => {
  let level = 1;
  return {
    identity: ['Kobran', 'TEST', '0', '1'],
    reset: () => {
      level = 1;
    },
    settled: () => Promise.resolve(),
    commands: [
      {
        header: 'SOURce:LEVel[:IMMediate]',
        set: (args) => {
          level = numberOf(args, 0, 10);
        },
        ask: () => String(level),
      },
      { header: 'SOURce:SHAPe', ask: () => 'SIN' },
    ],
    ...over,
  };
};
const asking = (over: Partial<InstrumentModel> = {}): ((message: string) => Promise<string | undefined>) => {
  const answer = interpreter(model(over));
  return async (message) => (await answer(message))?.toString();
};

// SCPI-99, volume 1, chapter 6: short and long form, upper and lower case, optional nodes.
describe('headers', () => {
  it.each([
    ['SOUR:LEV', true],
    ['SOURCE:LEVEL', true],
    ['SOUR:LEVEL:IMM', true],
    ['SOURC:LEV', false],
    ['SOUR:LEV:IMME', false],
    ['LEV', false],
    ['SOUR', false],
  ])('%s: %s', (header, is) => expect(follows(header, 'SOURce:LEVel[:IMMediate]')).toBe(is));

  it('a leading node may be left out', () => {
    expect(follows('FREQ:STAR', '[SENSe:]FREQuency:STARt')).toBe(true);
    expect(follows('SENS:FREQ:STAR', '[SENSe:]FREQuency:STARt')).toBe(true);
  });

  // SCPI-99, volume 1, 6.2.4: a header after a semicolon goes on at the level where the one before stood.
  it('after a semicolon the path goes on; a colon starts again; a common command leaves it', () =>
    expect(unitsOf('sens:freq:star 1e6;*opc?;stop 2 MHZ;:init').map(({ header }) => header)).toEqual([
      'SENS:FREQ:STAR',
      '*OPC',
      'SENS:FREQ:STOP',
      'INIT',
    ]));
});

describe('numbers', () => {
  // SCPI-99, volume 1, 7.1: MHZ is megahertz although M is milli elsewhere.
  it.each([
    ['1E6', 1e6],
    ['2.5 MHZ', 2.5e6],
    ['10kHz', 1e4],
    ['.5', 0.5],
    ['MIN', 0],
    ['MAXIMUM', 1e10],
  ])('%s', (text, value) => expect(numberOf([text], 0, 1e10)).toBe(value));

  it.each([
    ['abc', -104],
    ['1 FT', -131],
    ['2E10', -222],
    ['-1', -222],
    ['NaN', -104],
  ])('%s is error %d', (text, code) => {
    let thrown: unknown;
    try {
      numberOf([text], 0, 1e10);
    } catch (error) {
      thrown = error;
    }
    expect(thrown).toBeInstanceOf(ScpiError);
    expect((thrown as ScpiError).code).toBe(code);
  });

  // SCPI-99, volume 1, 7.2.1.4: infinity is 9.9E37, not a number 9.91E37.
  it('what cannot be written as a number has its own number', () => {
    expect(nr3(Infinity)).toBe('9.9E37');
    expect(nr3(-Infinity)).toBe('-9.9E37');
    expect(nr3(NaN)).toBe('9.91E37');
  });

  it('any number survives to the last digit', () =>
    void fc.assert(
      fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (value) => {
        expect(Number(nr3(value))).toBe(value === 0 ? 0 : value);
      }),
    ));
});

// IEEE 488.2, 8.7.9: #, number of digits, number of bytes, bytes; big-endian.
it('a definite-length block', () => {
  expect(block([1], 'REAL,64')).toEqual(Buffer.from([0x23, 0x31, 0x38, 0x3f, 0xf0, 0, 0, 0, 0, 0, 0]));
  expect(block(new Float64Array(200), 'REAL,32').subarray(0, 5).toString()).toBe('#3800');
});

describe('an instrument', () => {
  it('answers several questions in one line, in order', async () => {
    const ask = asking();
    expect(await ask('*IDN?')).toBe('Kobran,TEST,0,1');
    expect(await ask('SOUR:LEV 4;LEV?;SHAP?')).toBe('4;SIN');
  });

  it('says nothing to what asks nothing', async () => expect(await asking()('SOUR:LEV 2')).toBeUndefined());

  it('puts what it cannot do into its queue, oldest first, and goes on', async () => {
    const ask = asking();
    await ask('SOUR:LEV 99');
    await ask('NONSense:THING');
    await ask('SOUR:LEV');
    expect(await ask('SYST:ERR?')).toMatch(/^-222,"Data out of range/);
    expect(await ask('SYST:ERR?')).toMatch(/^-113,"Undefined header/);
    expect(await ask('SYST:ERR:NEXT?')).toMatch(/^-109,"Missing parameter/);
    expect(await ask('SYST:ERR?')).toBe('0,"No error"');
  });

  // SCPI-99, volume 2, 21.8.1: the last place of a full queue says that it overflowed.
  it('a full queue ends with an overflow', async () => {
    const ask = asking();
    for (let k = 0; k < 30; k++) await ask('NONSENSE');
    const answers: string[] = [];
    for (let one = await ask('SYST:ERR?'); one && !one.startsWith('0,'); one = await ask('SYST:ERR?'))
      answers.push(one);
    expect(answers).toHaveLength(20);
    expect(answers.at(-1)).toMatch(/^-350/);
  });

  // IEEE 488.2, 11.5.1: bit 7 power on, bit 5 command error, bit 4 execution error; reading clears.
  it('event status', async () => {
    const ask = asking();
    expect(await ask('*ESR?')).toBe('128');
    await ask('NONSENSE');
    await ask('SOUR:LEV 99');
    expect(await ask('*ESR?')).toBe('48');
    expect(await ask('*ESR?')).toBe('0');
  });

  it('*OPC? waits until it is done; *RST is the state after switching on', async () => {
    let done = false;
    const settled = async (): Promise<void> => {
      await new Promise((resolve) => setTimeout(resolve, 20));
      done = true;
    };
    const ask = asking({ settled });
    await ask('SOUR:LEV 7');
    expect(await ask('*OPC?')).toBe('1');
    expect(done).toBe(true);
    expect(await ask('*RST;SOUR:LEV?')).toBe('1');
  });

  it('any junk is an error in the queue and never an exception', async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: 'binary', maxLength: 60 }), async (junk) => {
        const ask = asking();
        await ask(junk.replaceAll('\n', ' '));
        expect(await ask('*IDN?')).toBe('Kobran,TEST,0,1');
      }),
    );
  });
});
