import type { ApiProblem } from '@kobran/contract';
import { edited, historyOf, redone, undone, type History } from './history.js';

/** A document, a design or a site, as the server has it. */
export interface Versioned<D> {
  version: number;
  document: D;
}

export type SaveState<D = unknown> =
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'offline'; why?: string }
  | { kind: 'refused'; problem: ApiProblem }
  | { kind: 'conflict'; theirs: Versioned<D> };

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
  /** Keeps edits on this device until the server has them; `undefined` when it has. */
  keepDraft: (draft: Versioned<D> | undefined) => void;
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
 * One write is under way at a time; what is changed meanwhile is written next. A write on an older version asks which of the two shall
 * stand; one that is refused waits for the next change.
 */
export class DocumentEditor<D, C> {
  private history: History<D>;
  /** What the server has, as far as is known; the version edits are made on. */
  private base: Versioned<D>;
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
    draft: Versioned<D> | undefined,
    private readonly ports: EditorPorts<D, C>,
  ) {
    this.history = draft ? edited(historyOf(known.document), draft.document) : historyOf(known.document);
    this.base = { version: draft?.version ?? known.version, document: known.document };
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
    this.base = known;
    this.history = edited(this.history, known.document);
    this.show();
  }

  /** Of a conflict: ours is written over theirs, which stays one version back. */
  keepMine(): void {
    if (this.save.kind !== 'conflict') return;
    this.base = this.save.theirs;
    this.save = { kind: 'saved' };
    this.schedule();
  }

  /** Of a conflict: theirs is shown, ours is one undo away. */
  takeTheirs(): void {
    if (this.save.kind !== 'conflict') return;
    const { theirs } = this.save;
    this.base = theirs;
    this.save = { kind: 'saved' };
    this.history = edited(this.history, theirs.document);
    this.schedule();
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
    this.ports.keepDraft(dirty ? { version: this.base.version, document: this.history.present } : undefined);
    const stands = this.save.kind === 'conflict' || this.save.kind === 'refused';
    if (dirty && !stands && !this.sending)
      this.cancel = this.ports.later(
        this.save.kind === 'offline' ? RETRY_MS : PAUSE_MS,
        () => void this.send(),
      );
    this.show();
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
      this.save = { kind: 'saved' };
    } else if (answer.kind === 'away')
      this.save = { kind: 'offline', ...(answer.why === undefined ? {} : { why: answer.why }) };
    else if (answer.kind === 'conflict' && before.some((own) => same(own, answer.theirs.document))) {
      // Nobody else’s: a write of our own, whose answer was lost on the way.
      this.base = answer.theirs;
      this.save = { kind: 'saved' };
    } else this.save = answer;
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
