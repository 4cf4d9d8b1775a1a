import type { Catalog } from '../../catalog/index.js';

/** Who says it, and when. */
export interface Signature {
  id: string;
  by: string;
  /** ISO 8601. */
  at: string;
  /** Whose session signed it, where the crew signs in; nothing where a name was only typed. The server writes it. */
  member?: string;
  /** How an earlier version of Kobran worded it; shown as it was. */
  wording?: string;
}

/** One kind of fact: what it is about, and how it reads in the log. Who writes a fact says only what happened. */
export interface FactKind<Body extends { kind: string }> {
  kind: Body['kind'];
  /** An end (`main.a`), a piece (`main`), a joint (`main>antenna`), or the run (empty). */
  about: (fact: Body) => string;
  /** What the log says after its kind and place; empty when these say it all. */
  text: (fact: Body, catalog: Catalog) => string;
}
