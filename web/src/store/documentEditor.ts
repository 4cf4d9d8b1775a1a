import type { ApiProblem } from '@kobran/contract';
import type { Clash, Merged } from '@kobran/core';
import { edited, historyOf, redone, undone, type History } from './history.js';

/** A document, a design or a site, as the server has it. */
export interface Versioned<D> {
  version: number;
  document: D;
}

/** Edits which the server has not got, as they are kept on this device. */
export interface Draft<D> extends Versioned<D> {
  /** What they were made on: the document of that version. Drafts of older programs do not say it. */
  base?: D;
}

export type SaveState<D = unknown> =
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'offline'; why?: string }
  | { kind: 'refused'; problem: ApiProblem }
  | { kind: 'conflict'; theirs: Versioned<D>; clashes: readonly Clash[] };

/** What became of a write: saved, changed elsewhere meanwhile, refused, or the server could not be asked. */
export type Saving<D> =
  | { kind: 'saved'; saved: Versioned<D> }
  | { kind: 'conflict'; theirs: Versioned<D> }
  | { kind: 'refused'; problem: ApiProblem }
  | { kind: 'away'; why?: string };

export interface EditorPorts<D, C> {
  /** The document with a change applied; the given one is not touched. */
  apply: (document: D, change: C) => D;
  save: (wish: Versioned<D>) => Promise<Saving<D>>;
  /** Puts together what two made of one document; nothing where what comes out is no whole document. */
  merge: (base: D, mine: D, theirs: D) => Merged<D> | undefined;
  /** What somebody else changed meanwhile is in, and nothing clashed. */
  tellMerged: () => void;
  /** Keeps edits on this device until the server has them; `undefined` when it has. */
  keepDraft: (draft: Draft<D> | undefined) => void;
  /** Does something later. @returns how not to */
  later: (ms: number, act: () => void) => () => void;
}

export interface EditorState<D> {
  document: D;
  save: SaveState<D>;
  canUndo: boolean;
  canRedo: boolean;
}

const PAUSE_MS = 400;
const RETRY_MS = 2_500;

const same = (x: unknown, y: unknown): boolean => x === y || JSON.stringify(x) === JSON.stringify(y);

/**
 * A document under edit, the design of a run or a site: undo and redo, autosave with versions, kept on this device until the server has it.
 *
 * One write is under way at a time; what is changed meanwhile is written next. What others changed meanwhile is put together with what was
 * changed here; only where both changed the same a person is asked. A write that is refused waits for the next change.
 */
export class DocumentEditor<D, C> {
  private history: History<D>;
  /** What the server has, as far as is known; the version edits are made on. */
  private base: Versioned<D>;
  /** Is the document of the base that of its version? A draft of an older program does not say what it was made on. */
  private isBaseKnown: boolean;
  private save: SaveState<D> = { kind: 'saved' };
  private sending = false;
  /** What was sent without an answer: the server may have any of it, or none. */
  private unanswered: readonly D[] = [];
  private cancel: () => void = () => undefined;
  private readonly listeners = new Set<() => void>();
  private state: EditorState<D>;

  /**
   * @param known the document as it was read
   * @param draft edits of before, which the server may not have
   */
  constructor(
    known: Versioned<D>,
    draft: Draft<D> | undefined,
    private readonly ports: EditorPorts<D, C>,
  ) {
    this.history = draft ? edited(historyOf(known.document), draft.document) : historyOf(known.document);
    this.base = { version: draft?.version ?? known.version, document: draft?.base ?? known.document };
    this.isBaseKnown = draft?.base !== undefined || this.base.version === known.version;
    this.state = this.look();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): EditorState<D> => this.state;

  /** Begins to write what is unsaved, or goes on after a stop. */
  start(): void {
    this.schedule();
  }

  /** Writes nothing any more; what is unsaved stays as the draft. */
  stop(): void {
    this.cancel();
  }

  change(changes: readonly C[]): void {
    const { apply } = this.ports;
    this.move(edited(this.history, changes.reduce(apply, this.history.present)));
  }

  undo(): void {
    this.move(undone(this.history));
  }

  redo(): void {
    this.move(redone(this.history));
  }

  /** The server has this now: it is shown when nothing of ours is unsaved, one undo away from what was here. */
  serverHas(known: Versioned<D>): void {
    if (this.isDirty() || known.version <= this.base.version) return;
    this.goOn(known, known.document);
    this.show();
  }

  /** Of a conflict: ours stands where both changed the same; what only they changed is in. */
  keepMine(): void {
    this.decide('mine');
  }

  /** Of a conflict: theirs stands where both changed the same; what only we changed stays. Undo brings ours back. */
  takeTheirs(): void {
    this.decide('theirs');
  }

  private decide(side: 'mine' | 'theirs'): void {
    if (this.save.kind !== 'conflict') return;
    const { theirs } = this.save;
    const present = this.history.present;
    const whole = side === 'mine' ? present : theirs.document;
    this.goOn(theirs, this.merged(theirs.document)?.[side] ?? whole);
    this.schedule();
  }

  /** From now on edits are made on what the server has. */
  private goOn(theirs: Versioned<D>, document: D): void {
    this.base = theirs;
    this.isBaseKnown = true;
    this.save = { kind: 'saved' };
    this.history = edited(this.history, document);
  }

  private merged(theirs: D): Merged<D> | undefined {
    return this.isBaseKnown ? this.ports.merge(this.base.document, this.history.present, theirs) : undefined;
  }

  private isDirty(): boolean {
    return this.unanswered.length > 0 || !same(this.history.present, this.base.document);
  }

  private move(history: History<D>): void {
    if (history === this.history) return;
    this.history = history;
    if (this.save.kind === 'refused') this.save = { kind: 'saved' };
    this.schedule();
  }

  /** Keeps the draft, and writes after a pause unless a person has to decide first. */
  private schedule(): void {
    this.cancel();
    const dirty = this.isDirty();
    this.ports.keepDraft(dirty ? this.draft() : undefined);
    const stands = this.save.kind === 'conflict' || this.save.kind === 'refused';
    if (dirty && !stands && !this.sending)
      this.cancel = this.ports.later(
        this.save.kind === 'offline' ? RETRY_MS : PAUSE_MS,
        () => void this.send(),
      );
    this.show();
  }

  private draft(): Draft<D> {
    const { version, document: base } = this.base;
    return { version, document: this.history.present, ...(this.isBaseKnown ? { base } : {}) };
  }

  private async send(): Promise<void> {
    const wish = { version: this.base.version, document: this.history.present };
    this.sending = true;
    if (this.save.kind !== 'offline') this.save = { kind: 'saving' };
    this.show();
    const answer = await this.ports.save(wish);
    this.sending = false;
    this.heard(answer, wish.document);
    this.schedule();
  }

  private heard(answer: Saving<D>, sent: D): void {
    const before = this.unanswered;
    this.unanswered = answer.kind === 'away' ? (before.at(-1) === sent ? before : [...before, sent]) : [];
    if (answer.kind === 'saved') {
      this.base = { version: answer.saved.version, document: sent };
      this.isBaseKnown = true;
      this.save = { kind: 'saved' };
    } else if (answer.kind === 'away')
      this.save = { kind: 'offline', ...(answer.why === undefined ? {} : { why: answer.why }) };
    else if (answer.kind === 'conflict' && before.some((own) => same(own, answer.theirs.document))) {
      // Nobody else’s: a write of our own, whose answer was lost on the way.
      this.base = answer.theirs;
      this.isBaseKnown = true;
      this.save = { kind: 'saved' };
    } else if (answer.kind === 'conflict') this.meet(answer.theirs);
    else this.save = answer;
  }

  /** Somebody else changed it meanwhile: what is apart goes together by itself, the rest is for a person. */
  private meet(theirs: Versioned<D>): void {
    const merged = this.merged(theirs.document);
    if (merged?.clashes.length === 0) {
      this.goOn(theirs, merged.mine);
      this.ports.tellMerged();
    } else this.save = { kind: 'conflict', theirs, clashes: merged?.clashes ?? [] };
  }

  private look(): EditorState<D> {
    const { present, past, future } = this.history;
    return {
      document: present,
      save: this.isDirty() && this.save.kind === 'saved' ? { kind: 'saving' } : this.save,
      canUndo: past.length > 0,
      canRedo: future.length > 0,
    };
  }

  private show(): void {
    this.state = this.look();
    for (const listener of this.listeners) listener();
  }
}
