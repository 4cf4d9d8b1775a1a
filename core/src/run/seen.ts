import type { Catalog } from '../catalog/index.js';
import { chooseTube } from '../ground/index.js';
import {
  along,
  catalogAt,
  loadImpedance,
  sweep,
  swrFromReflection,
  type Along,
  type Response,
} from '../line/index.js';
import { REMAKE_M } from '../practice/index.js';
import { routeLength } from '../route/index.js';
import type { Design } from './design/design.js';
import { assembliesOf, isReceiveOnly, lowHzOf, topHzOf } from './design/lookups.js';
import { referenceOhmOf } from './design/reference.js';
import { withTargetLengths } from './design/targetLengths.js';
import type { RunState } from './runState.js';
import { proofSheets, wrapSheets } from './work/workSheets.js';
import type { SnagContext } from './snags/snag.js';
import { runProofs } from './work/runExpectations.js';
import { matchFigures } from './sheet/lineSheets.js';
import { antennaLoad } from './wave/antennaLoad.js';
import { layOut } from './wave/layout.js';
import { looksOf } from './wave/looks.js';
import { receptionOf } from './wave/reception.js';
import { SAMPLES } from './wave/rulerAt.js';

/** A run as rules see it, and what its sheet is drawn from besides. */
interface Seen {
  context: SnagContext;
  /** What the waves do over any frequencies, and at each that is looked at. */
  over: (frequencyHz: Float64Array) => Response;
  atLooks: () => Response;
  /** Along the ruler at each of them; with 1 W for a run which only receives. */
  edges: () => Along[];
}

/** Works something out when it is first asked for, and once: a remedy is held against few of the rules. */
function once<T>(work: () => T): () => T {
  let done: { value: T } | undefined;
  return () => (done ??= { value: work() }).value;
}

/** Lays a run out; what the waves do in it, what the bench should read and how it is sealed is worked out as far as it is looked at. */
export function seenOf(given: Design, cool: Catalog, { facts, practice, cascade }: RunState): Seen {
  const referenceOhm = referenceOhmOf(given);
  const looks = looksOf(given, referenceOhm);
  // Where the antenna’s curve is known, its SWR is the worst of it.
  const antennaSwr = Math.max(...looks.map((look) => look.swr));
  const design = withTargetLengths({ ...given, antenna: { ...given.antenna, swr: antennaSwr } }, cool);
  const { service } = design;
  // Everything is computed for the highest ambient; what the bench should read is not.
  const catalog = catalogAt(cool, service.ambientC);
  const [lowHz, topHz] = [lowHzOf(design), topHzOf(design)];
  const receiveOnly = isReceiveOnly(design);
  const assemblies = assembliesOf(design);
  const route = routeLength(design.legs, assemblies.length === 0 ? 0 : 2 * practice.remakesPerEnd * REMAKE_M);
  const layout = layOut(design, cool, route.spans);

  const load = antennaLoad(design, referenceOhm);
  const elements = layout.elements.map(({ element }) => element);
  const over = (f: Float64Array): Response =>
    sweep(elements, loadImpedance(load, f), f, referenceOhm, cascade);
  const atLooks = once(() => over(Float64Array.from(looks, ({ hz }) => hz)));
  const forwardW = receiveOnly ? 1 : service.powerW;
  const edges = once(() =>
    looks.map(({ hz }) => {
      const { re, im } = loadImpedance(load, Float64Array.of(hz));
      return along(layout.elements, { re: re[0], im: im[0] }, hz, forwardW, SAMPLES, referenceOhm);
    }),
  );
  const lossDb = once(() => -atLooks().transmissionDb[looks.length - 1]);
  const lineDb = once(
    () =>
      -sweep(elements, { re: referenceOhm, im: 0 }, Float64Array.of(topHz), referenceOhm).transmissionDb[0],
  );
  const reception = once(() => (receiveOnly ? receptionOf(service, topHz, lossDb()) : undefined));
  const swr = once(() => worstSwr(atLooks().reflection, antennaSwr));
  const tube = once(() => (receiveOnly ? undefined : chooseTube(service.powerW, referenceOhm, antennaSwr)));
  const proofs = once(() => proofSheets(assemblies, cool, { facts, practice }, lowHz, topHz));
  const ofRun = once(() =>
    runProofs(
      design,
      cool,
      // Worked out only where something was read.
      () => ({ receiveOnly, figures: matchFigures(design, referenceOhm, atLooks().reflection) }),
      facts,
    ),
  );
  const wraps = once(() =>
    wrapSheets(layout, catalog, design, { facts, practice, proofs, spans: route.spans }),
  );
  const context: SnagContext = {
    design,
    catalog,
    facts,
    layout,
    route,
    lowHz,
    topHz,
    looks,
    practice,
    referenceOhm,
    get lossDb() {
      return lossDb();
    },
    get lineDb() {
      return lineDb();
    },
    get swr() {
      return swr();
    },
    get edges() {
      return receiveOnly ? [] : edges();
    },
    get tube() {
      return tube();
    },
    get reception() {
      return reception();
    },
    get proofs() {
      return proofs();
    },
    get runProofs() {
      return ofRun();
    },
    get wraps() {
      return wraps();
    },
  };
  return { context, over, atLooks, edges };
}

/** The line near the antenna sees at least the antenna's SWR; joints can add to it at the radio. */
const worstSwr = (reflections: Float64Array, antennaSwr: number): number =>
  Math.max(antennaSwr, ...reflections.map(swrFromReflection));
