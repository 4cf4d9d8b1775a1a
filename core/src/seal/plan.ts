import type { Sleeve, Tape } from '../catalog/index.js';
import { figure, type Figure } from '../quantity/index.js';
import { growth, passOver, type ProfileStep, type TapeMethod } from './tape.js';

/** Where tape seals a joint; in the ground it does not. */
export type TapedExposure = 'sheltered' | 'outdoor' | 'salt' | 'ice';
export const tapedExposures = [
  'sheltered',
  'outdoor',
  'salt',
  'ice',
] as const satisfies readonly TapedExposure[];

/** What is to be closed. */
export interface SealObject {
  /** Stepped profile from the lower jacket to the upper one, without the run-out on the jackets. */
  joint: readonly ProfileStep[];
  /** What carries on below and above, m. */
  jackets: { lowerM: number; upperM: number };
  /** The side which ends at a flange: layers end there too; nothing where cable goes on at both. */
  flange?: 'lower' | 'upper';
  exposure: TapedExposure;
}

/** Tape or sleeve as it goes on, in order. Places in m from the lower edge of the joint, upwards. */
export interface SealLayer {
  name: string;
  fromM: number;
  toM: number;
  /** Over the widest step when it is on, m. */
  diameterM: number;
  /** Its surface when it is on, from below. */
  surface: SealStretch[];
  tape?: TapeLayer;
  sleeve?: Sleeve;
}

export interface TapeLayer {
  tape: Tape;
  direction: 'up' | 'down';
  turns: number;
  /** Unstretched tape used, m. */
  tapeM: number;
  /** Width as it lies, m. */
  widthM: number;
  stretch: number;
  lap: number;
  /** Its adhesive looks outwards, so that it comes off again. */
  stickyOut: boolean;
}

/** How much of a material a seal takes. */
export interface MaterialUse {
  id: string;
  name: string;
  kind: 'tape' | 'sleeve' | 'splice kit';
  unit: 'm' | 'piece';
  amount: Figure;
  /** Of a roll, m. */
  rollM?: number;
}

/** The seal of one joint, from the jacket outwards. */
export interface SealPlan {
  layers: SealLayer[];
  materials: MaterialUse[];
  /** From the lowest start to the highest stop. */
  length: Figure;
  finishedDiameter: Figure;
  fromM: number;
  toM: number;
  minutes: Figure;
  /** In the coldest air that its materials allow, °C. */
  lowestC: number;
}

/** A stretch of the object along its axis, m from the lower edge of the joint. */
export interface SealStretch {
  name: string;
  fromM: number;
  toM: number;
  diameterM: number;
}

/** Jacket beside the joint on which layers may run out, m. */
const JACKET_M = 0.5;

/** Puts layers onto a joint, one over the other. */
export class Layers {
  private readonly layers: SealLayer[] = [];
  private readonly jointM: number;
  private stretches: SealStretch[];
  private readonly flange: SealObject['flange'];

  constructor({ joint, jackets, flange }: SealObject) {
    this.flange = flange;
    let atM = 0;
    const steps = joint.map(({ name, lengthM, diameterM }): SealStretch => {
      const fromM = atM;
      atM += lengthM;
      return { name, fromM, toM: atM, diameterM };
    });
    this.jointM = atM;
    this.stretches = [
      { name: 'lower jacket', fromM: -JACKET_M, toM: 0, diameterM: jackets.lowerM },
      ...steps,
      { name: 'upper side', fromM: atM, toM: atM + JACKET_M, diameterM: jackets.upperM },
    ];
  }

  /**
   * Passes of tape, the last of them upwards: laps shed water like roof tiles. Each begins where the one before ended.
   *
   * @param beyondM how far past both edges of the joint, m
   */
  tape(
    name: string,
    tape: Tape,
    {
      passes = 1,
      beyondM,
      stickyOut = false,
      ...method
    }: TapeMethod & { passes?: number; beyondM: number; stickyOut?: boolean },
  ): this {
    const [fromM, toM] = this.reach(beyondM);
    for (let k = 1; k <= passes; k++) {
      const under = this.within(fromM, toM);
      const { turns, tapeM } = passOver(under.map(asStep), tape, method);
      const growthM = growth(tape, method);
      const surface = under.map((one) => ({ ...one, diameterM: one.diameterM + growthM }));
      this.stretches = [...this.within(-Infinity, fromM), ...surface, ...this.within(toM, Infinity)];
      this.layers.push({
        name: passes === 1 ? name : `${name}, pass ${k} of ${passes}`,
        fromM,
        toM,
        diameterM: widest(surface),
        surface,
        tape: {
          tape,
          direction: (passes - k) % 2 === 0 ? 'up' : 'down',
          turns,
          tapeM,
          widthM: tape.widthMm / 1000 / Math.sqrt(method.stretch),
          stretch: method.stretch,
          lap: method.lap,
          stickyOut,
        },
      });
    }
    return this;
  }

  sleeve(sleeve: Sleeve): this {
    const lengthM = (sleeve.lengthMm / 1000) * sleeve.keeps;
    const beyondM = (lengthM - this.jointM) / (this.flange ? 1 : 2);
    const [fromM, toM] = this.reach(beyondM);
    const surface = this.within(fromM, toM).map((one) => ({
      ...one,
      diameterM: one.diameterM + (2 * sleeve.wallMm) / 1000,
    }));
    this.layers.push({ name: sleeve.name, fromM, toM, diameterM: widest(surface), surface, sleeve });
    return this;
  }

  /** @param minutes to clean, grease, dress and tie, besides what each layer takes */
  plan(minutes: number, source: string): SealPlan {
    const fromM = Math.min(...this.layers.map((layer) => layer.fromM));
    const toM = Math.max(...this.layers.map((layer) => layer.toM));
    const takes = this.layers.reduce(
      (sum, { tape }) => sum + (tape ? MINUTES_PER_TURN * tape.turns : 0),
      minutes,
    );
    return {
      layers: this.layers,
      materials: materialsOf(this.layers, source),
      length: figure(toM - fromM, 'mm', 'profile of the joint and the run-out on both sides', 0.005),
      finishedDiameter: figure(
        Math.max(...this.layers.map(({ diameterM }) => diameterM)),
        'mm',
        `thicknesses as they lie over each other, ${source}`,
        0.002,
      ),
      fromM,
      toM,
      minutes: figure(Math.ceil(takes), 'minute', 'common practice, no source', takes * 0.4),
      lowestC: Math.max(
        ...this.layers.map(({ tape, sleeve }) => tape?.tape.lowestC ?? sleeve?.lowestC ?? -Infinity),
      ),
    };
  }

  /** From where to where a layer goes which runs out so far on each side: at a flange it ends. */
  private reach(beyondM: number): [fromM: number, toM: number] {
    return [this.flange === 'lower' ? 0 : -beyondM, this.jointM + (this.flange === 'upper' ? 0 : beyondM)];
  }

  /** The stretches between two places, cut there. */
  private within(fromM: number, toM: number): SealStretch[] {
    return this.stretches.flatMap((one) => {
      const cut = { ...one, fromM: Math.max(one.fromM, fromM), toM: Math.min(one.toM, toM) };
      return cut.toM > cut.fromM ? [cut] : [];
    });
  }
}

const asStep = ({ name, fromM, toM, diameterM }: SealStretch): ProfileStep => ({
  name,
  lengthM: toM - fromM,
  diameterM,
});

const widest = (stretches: readonly SealStretch[]): number =>
  Math.max(...stretches.map(({ diameterM }) => diameterM));

/** An experienced hand on a ladder. Common practice, no source. */
const MINUTES_PER_TURN = 0.15;

function materialsOf(layers: readonly SealLayer[], source: string): MaterialUse[] {
  const uses = new Map<string, MaterialUse>();
  for (const { tape, sleeve } of layers) {
    const material = tape?.tape ?? sleeve;
    if (!material) continue;
    const amount = (uses.get(material.id)?.amount.value ?? 0) + (tape?.tapeM ?? 1);
    uses.set(material.id, {
      id: material.id,
      name: material.name,
      kind: tape ? 'tape' : 'sleeve',
      unit: tape ? 'm' : 'piece',
      amount: tape ? figure(amount, 'm', source, amount * 0.1) : figure(amount, 'count', source),
      ...(tape ? { rollM: tape.tape.rollM } : {}),
    });
  }
  return [...uses.values()];
}
