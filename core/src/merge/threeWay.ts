/**
 * What two people made of one document, put together by its elements: pieces, legs, points, ways, fields.
 *
 * 1. What only one of them changed is as that one has it; what both changed alike is so.
 * 2. Members of an object are looked at one by one, and elements of a list by what names them (`id`, `joint`, `way`, `name`). A list whose
 *    elements have no name of their own, or a name twice, is one value.
 * 3. An element which one took out and the other left alone is out. An element which one put in is in, behind the one it was put behind;
 *    where both put something in at one place, both are there, in an order which does not depend on who came first.
 * 4. Where only one moved elements, they lie as that one laid them.
 * 5. The rest is a clash: one value changed to two others, an element changed here and taken out there, made another kind of thing, or a
 *    list laid in two orders. A clash is for a person; both values are said.
 */

/** Where two changed the same to different things. */
export interface Clash {
  /** The way to it: members by their names in the document, elements by what a person calls them. */
  path: readonly string[];
  /** Nothing where it is not there. */
  base: unknown;
  mine: unknown;
  theirs: unknown;
}

/** Two documents as one. */
export interface Merged<D> {
  /** With mine at every clash. */
  mine: D;
  /** With theirs at every clash. */
  theirs: D;
  clashes: Clash[];
}

type Members = Record<string, unknown>;
type Side = 'mine' | 'theirs';

/** @param base the document both began from */
export function threeWay<D extends object>(base: D, mine: D, theirs: D): Merged<D> {
  const clashes: Clash[] = [];
  const kept = merged(base, mine, theirs, [], { side: 'mine', found: clashes });
  if (clashes.length === 0) return { mine: kept as D, theirs: kept as D, clashes };
  const taken = merged(base, mine, theirs, [], { side: 'theirs', found: [] });
  return { mine: kept as D, theirs: taken as D, clashes };
}

interface Decide {
  /** Which stands where they clash. */
  side: Side;
  found: Clash[];
}

function merged(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: readonly string[],
  decide: Decide,
): unknown {
  if (same(mine, theirs) || same(base, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (isMembers(base) && isMembers(mine) && isMembers(theirs) && isOneKind(base, mine, theirs))
    return mergedMembers(base, mine, theirs, path, decide);
  // A list which was not there before was an empty one.
  const before = base ?? [];
  if (Array.isArray(before) && Array.isArray(mine) && Array.isArray(theirs)) {
    const key = keyOf([before, mine, theirs]);
    if (key) return mergedList({ base: before, mine, theirs }, key, path, decide);
  }
  decide.found.push({ path, base, mine, theirs });
  return decide.side === 'mine' ? mine : theirs;
}

function mergedMembers(
  base: Members,
  mine: Members,
  theirs: Members,
  path: readonly string[],
  decide: Decide,
): Members {
  const names = new Set([...Object.keys(base), ...Object.keys(mine), ...Object.keys(theirs)]);
  return Object.fromEntries(
    [...names].flatMap((name) => {
      const value = merged(base[name], mine[name], theirs[name], [...path, name], decide);
      return value === undefined ? [] : [[name, value]];
    }),
  );
}

type Lists = Record<'base' | Side, readonly unknown[]>;

function mergedList(lists: Lists, key: string, path: readonly string[], decide: Decide): unknown[] {
  const nameOf = (element: unknown): string => String((element as Members)[key]);
  const byName = (list: readonly unknown[]) => new Map(list.map((element) => [nameOf(element), element]));
  const [base, mine, theirs] = [byName(lists.base), byName(lists.mine), byName(lists.theirs)];
  const elements = new Map<string, unknown>();
  for (const name of new Set([...base.keys(), ...mine.keys(), ...theirs.keys()])) {
    const of = [base.get(name), mine.get(name), theirs.get(name)] as const;
    const element = merged(...of, [...path, calledIn(of, name)], decide);
    if (element !== undefined) elements.set(name, element);
  }
  const orderOf = (list: ReadonlyMap<string, unknown>): string[] =>
    [...list.keys()].filter((name) => elements.has(name));
  const orders = { base: orderOf(base), mine: orderOf(mine), theirs: orderOf(theirs) };
  return inOrder(orders, path, decide).flatMap((name) => {
    const element = elements.get(name);
    return element === undefined ? [] : [element];
  });
}

/** The names of all elements in the order in which they lie. */
function inOrder(
  orders: Record<'base' | Side, readonly string[]>,
  path: readonly string[],
  decide: Decide,
): string[] {
  // One which is in both lists or in the one they began from is moved; the others are put in.
  const isOld = (name: string): boolean =>
    orders.base.includes(name) || (orders.mine.includes(name) && orders.theirs.includes(name));
  const common = (list: readonly string[]): string[] =>
    list.filter((name) => isOld(name) && orders.mine.includes(name) && orders.theirs.includes(name));
  const [base, mine, theirs] = [common(orders.base), common(orders.mine), common(orders.theirs)];
  let skeleton = mine;
  if (same(mine, base)) skeleton = theirs;
  else if (!same(theirs, base) && !same(mine, theirs)) {
    decide.found.push({ path: [...path, 'order'], base, mine, theirs });
    skeleton = decide.side === 'mine' ? mine : theirs;
  }
  const behind = new Map<string, string[][]>();
  for (const side of ['mine', 'theirs'] as const) {
    let run: string[] | undefined;
    let last = '';
    for (const name of orders[side])
      if (skeleton.includes(name)) [last, run] = [name, undefined];
      else {
        if (!run) behind.set(last, [...(behind.get(last) ?? []), (run = [])]);
        run.push(name);
      }
  }
  const put = (name: string): string[] =>
    (behind.get(name) ?? []).toSorted(([x], [y]) => (x < y ? -1 : 1)).flat();
  return [...put(''), ...skeleton.flatMap((name) => [name, ...put(name)])];
}

/** What names the elements of these lists, each once in its list. */
function keyOf(lists: readonly (readonly unknown[])[]): string | undefined {
  return ['id', 'joint', 'way', 'name'].find((key) =>
    lists.every((list) => {
      const names = list.map((element) => (isMembers(element) ? element[key] : undefined));
      return names.every((name) => typeof name === 'string') && new Set(names).size === names.length;
    }),
  );
}

/** What a person calls an element. */
function calledIn(of: readonly unknown[], name: string): string {
  const found = of.find(isMembers);
  const called = found && [found.label, found.name].find((one) => typeof one === 'string' && one !== '');
  return typeof called === 'string' ? called : name;
}

const isMembers = (value: unknown): value is Members =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Members of two kinds of things do not go together. */
const isOneKind = (...all: readonly Members[]): boolean => new Set(all.map(({ kind }) => kind)).size === 1;

/** Alike as documents: members in any order, and one which is not there is one which is nothing. */
function same(x: unknown, y: unknown): boolean {
  if (x === y) return true;
  if (Array.isArray(x) && Array.isArray(y))
    return x.length === y.length && x.every((one, k) => same(one, y[k]));
  if (!isMembers(x) || !isMembers(y)) return false;
  return [...new Set([...Object.keys(x), ...Object.keys(y)])].every((name) => same(x[name], y[name]));
}
