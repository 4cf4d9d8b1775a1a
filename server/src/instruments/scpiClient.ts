import { createConnection, type Socket } from 'node:net';

/** Why an instrument did not answer as one does. */
export type InstrumentFaultKind = 'absent' | 'slow' | 'nonsense' | 'died' | 'refused';

/** Something is wrong with an instrument or the way to it. What a program says that is no instrument is never shown: it may be meant for others. */
export class InstrumentFault extends Error {
  constructor(
    readonly kind: InstrumentFaultKind,
    message: string,
  ) {
    super(message);
  }
}

export interface InstrumentAddress {
  host: string;
  port: number;
  /** What is said first, to those who ask for it. */
  token?: string;
}

/** Time to connect and for an ordinary answer; a sweep gets its own. */
const CONNECT_MS = 1500;
const ANSWER_MS = 3000;
/** Largest answer: 10 001 points of both parts in ASCII are under 1 MB. */
const MAX_BYTES = 8 * 1024 * 1024;
/** No instrument queues more errors than this. */
const MAX_ERRORS = 40;

interface Waiting {
  settle: (answer: Buffer) => void;
  fail: (fault: InstrumentFault) => void;
}

/**
 * A client of an instrument which speaks SCPI over TCP: lines with a line feed, blocks of IEEE 488.2.
 *
 * It connects when something is asked, and again after the instrument was lost. One question is under way at a time.
 */
export class ScpiClient {
  private socket: Socket | undefined;
  private received: Buffer = Buffer.alloc(0);
  private waiting: Waiting | undefined;
  private turn: Promise<unknown> = Promise.resolve();

  constructor(private readonly address: InstrumentAddress) {}

  /** One line as an answer. */
  async ask(message: string, limitMs = ANSWER_MS): Promise<string> {
    return (await this.exchange(message, limitMs)).toString('latin1');
  }

  /** Numbers as an answer, from ASCII or from a block of 64-bit numbers. */
  async askNumbers(message: string, limitMs = ANSWER_MS): Promise<number[]> {
    const answer = await this.exchange(message, limitMs);
    const values = answer[0] === HASH ? fromBlock(answer) : fromText(answer.toString('latin1'));
    if (values.length === 0)
      throw new InstrumentFault(
        'nonsense',
        `It answered nothing to ${message}, where a number was asked for.`,
      );
    const wrong = values.findIndex((value) => !Number.isFinite(value));
    if (wrong >= 0)
      throw new InstrumentFault(
        'nonsense',
        `It answered ${message} with something that is not a list of numbers.`,
      );
    return values;
  }

  /** A command without an answer; what the instrument has to say against it is thrown. */
  async tell(message: string): Promise<void> {
    await this.inTurn(async () => {
      (await this.connected()).write(`${message}\n`);
    });
    await this.clearErrors();
  }

  /** Throws the first error of the instrument's queue and empties it. */
  async clearErrors(): Promise<void> {
    let first: string | undefined;
    for (let k = 0; k < MAX_ERRORS; k++) {
      const answer = await this.ask('SYST:ERR?');
      const [, code, text] = /^([+-]?\d+),\s*"(.*)"$/.exec(answer) ?? [];
      if (code === undefined)
        throw new InstrumentFault(
          'nonsense',
          'Asked for its errors, it answered with something that is none.',
        );
      if (Number(code) === 0) break;
      first ??= `${text} (${code})`;
    }
    if (first !== undefined) throw new InstrumentFault('refused', `The instrument says: ${first}.`);
  }

  close(): void {
    this.lose(new InstrumentFault('died', 'The connection was closed.'));
  }

  private inTurn<T>(act: () => Promise<T>): Promise<T> {
    const mine = this.turn.then(act);
    this.turn = mine.catch(() => undefined); // The next question waits for this one’s end, however it ended.
    return mine;
  }

  private exchange(message: string, limitMs: number): Promise<Buffer> {
    return this.inTurn(async () => {
      const socket = await this.connected();
      return new Promise<Buffer>((resolve, reject) => {
        const clock = setTimeout(
          () =>
            // What comes too late would be taken for the next answer: the connection is given up.
            this.lose(new InstrumentFault('slow', `No answer to ${message} within ${limitMs / 1000} s.`)),
          limitMs,
        );
        this.waiting = {
          settle: (answer) => {
            clearTimeout(clock);
            resolve(answer);
          },
          fail: (fault) => {
            clearTimeout(clock);
            reject(fault);
          },
        };
        socket.write(`${message}\n`);
      });
    });
  }

  private connected(): Promise<Socket> {
    if (this.socket && !this.socket.destroyed) return Promise.resolve(this.socket);
    const { host, port, token } = this.address;
    return new Promise((resolve, reject) => {
      const socket = createConnection({ host, port, timeout: CONNECT_MS });
      const absent = (why: string): void => {
        socket.destroy();
        reject(new InstrumentFault('absent', `Nothing answers at ${host}:${port} (${why}).`));
      };
      socket.once('timeout', () => absent(`no connection within ${CONNECT_MS / 1000} s`));
      socket.once('error', (error: NodeJS.ErrnoException) => absent(error.code ?? error.message));
      socket.once('connect', () => {
        socket.setTimeout(0);
        socket.setNoDelay(true);
        socket.removeAllListeners('error');
        const died = (): void => {
          if (this.socket === socket)
            this.lose(new InstrumentFault('died', 'The instrument ended the connection in the middle.'));
        };
        socket.on('error', died);
        socket.on('close', died);
        socket.on('data', (chunk: Buffer) => this.take(chunk));
        this.received = Buffer.alloc(0);
        this.socket = socket;
        if (token !== undefined) socket.write(`${token}\n`);
        resolve(socket);
      });
    });
  }

  private take(chunk: Buffer): void {
    this.received = this.received.length === 0 ? chunk : Buffer.concat([this.received, chunk]);
    if (this.received.length > MAX_BYTES)
      return this.lose(new InstrumentFault('nonsense', 'It sends without an end.'));
    const end = endOfAnswer(this.received);
    if (end === undefined) return;
    const answer = this.received.subarray(0, end);
    this.received = Buffer.alloc(0);
    const { waiting } = this;
    this.waiting = undefined;
    waiting?.settle(answer);
  }

  private lose(fault: InstrumentFault): void {
    const { waiting, socket } = this;
    this.waiting = undefined;
    this.socket = undefined;
    socket?.destroy();
    waiting?.fail(fault);
  }
}

const HASH = 0x23;
const LINE_FEED = 0x0a;

/** Where an answer ends, without its line end; nothing while it is not whole. */
function endOfAnswer(received: Buffer): number | undefined {
  if (received[0] !== HASH) {
    const at = received.indexOf(LINE_FEED);
    return at < 0 ? undefined : received[at - 1] === 0x0d ? at - 1 : at;
  }
  const header = blockHeader(received);
  if (!header) return undefined;
  const end = header.from + header.length;
  return received.length > end ? end : undefined;
}

function blockHeader(received: Buffer): { from: number; length: number } | undefined {
  if (received.length < 2) return undefined;
  const digits = received[1] - 0x30;
  if (received.length < 2 + digits) return undefined;
  return { from: 2 + digits, length: Number(received.subarray(2, 2 + digits).toString('latin1')) };
}

/** Numbers parted by commas. Nothing between two of them is no number, and not nought. */
const fromText = (text: string): number[] =>
  text.trim() === '' ? [] : text.split(',').map((one) => (one.trim() === '' ? NaN : Number(one)));

function fromBlock(answer: Buffer): number[] {
  const header = blockHeader(answer);
  if (!header || header.length % 8 !== 0)
    throw new InstrumentFault('nonsense', 'Its block of data is not a row of 64-bit numbers.');
  return Array.from({ length: header.length / 8 }, (_, k) => answer.readDoubleBE(header.from + 8 * k));
}
