import type { DaySetup } from './day.js';
import { arresterNode } from './ground.js';
import type { Site } from './site.js';

/**
 * The site with other names for its runs: in a job file they are called by their place in it, since a run which is imported gets an id of
 * its own. A run which is not named keeps its name.
 */
export function renameRuns(site: Site, names: ReadonlyMap<string, string>): Site {
  const { ground } = site;
  const end = (id: string): string => {
    const at = id.indexOf('.');
    const name = at < 0 ? undefined : names.get(id.slice(0, at));
    return name === undefined ? id : arresterNode(name, id.slice(at + 1));
  };
  /** A task of a run begins with its id. */
  const taskOf = (task: string): string => {
    const at = task.indexOf(' ');
    const name = names.get(task.slice(0, at));
    return name === undefined ? task : `${name}${task.slice(at)}`;
  };
  const dayOf = (day: DaySetup): DaySetup => ({
    ...day,
    fixed: day.fixed.map((one) => ({ ...one, task: taskOf(one.task) })),
  });
  return {
    ...site,
    ...(site.day ? { day: dayOf(site.day) } : {}),
    ...(site.nextDays ? { nextDays: site.nextDays.map(dayOf) } : {}),
    ground: {
      ...ground,
      nodes: ground.nodes.map((node) =>
        node.kit ? { ...node, kit: { ...node.kit, run: names.get(node.kit.run) ?? node.kit.run } } : node,
      ),
      bonds: ground.bonds.map((bond) => ({ ...bond, from: end(bond.from), to: end(bond.to) })),
    },
  };
}

/** What a job file calls its runs, in its order. */
export const runInFile = (k: number): string => `run-${k + 1}`;
