import { entry, seriesById, type Catalog } from '../../catalog/index.js';
import { cutSheet } from '../../cut/index.js';
import { listed, stripGauge } from '../../make/index.js';
import { expectations, judge } from '../../prove/index.js';
import { isExposed, zoneAt, type ZoneSpan } from '../../route/index.js';
import { dripLoop, inspectionDue, type DripLoop } from '../../seal/index.js';
import type { Assembly, Design, Leg } from '../design/design.js';
import { endId, endSides, otherSide } from '../design/ids.js';
import {
  endsMade,
  factsOf,
  isCut,
  isEndMade,
  isSealed,
  latestReading,
  sealOf,
  timesRead,
} from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';
import { readingValue } from '../facts/reading.js';
import { profileUpwards, jointSeal, wrapGroups } from './jointWrap.js';
import { hangOf } from './lowerSide.js';
import { afterPull } from './afterPull.js';
import type { Layout, PlacedJoint } from '../wave/layout.js';
import type { Practice } from '../../practice/index.js';
import type { CutOfPiece, EndSheet, ProofSheet, WrapSheet } from './work.js';

/** What the stages of the work show: ends, cuts, proofs and wraps, each with what is done. */

export function endSheets(
  layout: Layout,
  catalog: Catalog,
  facts: Facts,
  ways: { legs: readonly Leg[]; spans: readonly ZoneSpan[] },
): EndSheet[] {
  return layout.pieces.flatMap(({ piece, fromM, toM }) => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    const last = afterPull(piece, [fromM, toM], ways, catalog, facts);
    return endSides.map((end): EndSheet => {
      const id = endId(piece.id, end);
      const part = entry(catalog.parts, piece[end].part);
      const atM = end === 'a' ? fromM : toM;
      const failed = factsOf(facts, 'end failed').filter((one) => one.endId === id);
      const damages = factsOf(facts, 'damaged').filter((one) => one.endId === id);
      return {
        id,
        pieceId: piece.id,
        end,
        name: `${piece.label}, ${end === 'a' ? 'radio' : 'antenna'} end`,
        atM,
        lengthM: piece.lengthM,
        exposed: isExposed(zoneAt(ways.spans, atM)),
        afterPull: last?.end === end ? last : undefined,
        part,
        cable,
        gauge: stripGauge(part, cable),
        made: isEndMade(facts, id),
        copies: piece.count ?? 1,
        copiesMade: endsMade(facts, id),
        farEndMade: isEndMade(facts, endId(piece.id, otherSide(end))),
        failures: failed.length,
        lostM: [...failed, ...damages].reduce((sum, one) => sum + (one.end?.lostM ?? 0), 0),
        deviations: factsOf(facts, 'deviation').filter((one) => one.endId === id),
      };
    });
  });
}

export function cutSheets(
  assemblies: Assembly[],
  catalog: Catalog,
  facts: Facts,
  practice: Practice,
  { topHz, swr }: { topHz: number; swr: number },
): CutOfPiece[] {
  return assemblies.map((piece) => {
    const cable = entry(catalog.cables, piece.cable);
    const sheet = cutSheet({
      cable,
      ends: [entry(catalog.parts, piece.a.part), entry(catalog.parts, piece.b.part)],
      lengthM: piece.lengthM,
      ...(piece.target ? { target: piece.target } : {}),
      school: practice.cutSchool,
      frequencyHz: topHz,
      swr,
    });
    return {
      ...sheet,
      pieceId: piece.id,
      name: piece.label,
      cable,
      copies: piece.count ?? 1,
      done: isCut(facts, piece.id),
    };
  });
}

export function proofSheets(
  assemblies: Assembly[],
  catalog: Catalog,
  { facts, practice }: { facts: Facts; practice: Practice },
  lowHz: number,
  topHz: number,
): ProofSheet[] {
  const frequenciesHz = [...new Set([lowHz, topHz])];
  return assemblies.map((piece) => ({
    pieceId: piece.id,
    name: piece.label,
    copies: piece.count ?? 1,
    expectations: expectations(
      entry(catalog.cables, piece.cable),
      piece.lengthM,
      frequenciesHz,
      practice.ohmMeter,
    ).map((expectation) => {
      const reading = latestReading(facts, piece.id, expectation.id);
      const copiesRead = timesRead(facts, piece.id, expectation.id);
      return reading
        ? { ...expectation, copiesRead, reading, judgement: judge(expectation, readingValue(reading)) }
        : { ...expectation, copiesRead };
    }),
  }));
}

/** What decides on the seals of a run besides its design. */
export interface WrapState {
  facts: Facts;
  practice: Practice;
  proofs: () => readonly ProofSheet[];
  spans: readonly ZoneSpan[];
}

/** Every reading is in, and none fails. */
const isProved = ({ expectations: all }: ProofSheet): boolean =>
  all.every(({ judgement }) => judgement && judgement.verdict !== 'fail');

const legAt = (spans: readonly ZoneSpan[], legs: readonly Leg[], atM: number): Leg | undefined => {
  const span = spans.find(({ toM }) => atM <= toM) ?? spans.at(-1);
  return span && legs[span.leg];
};

export function wrapSheets(
  { joints }: Layout,
  catalog: Catalog,
  design: Pick<Design, 'housings' | 'seals' | 'legs' | 'hangs'>,
  { facts, practice, proofs, spans }: WrapState,
): WrapSheet[] {
  return wrapGroups(joints, catalog).flatMap(([first, ...rest]): WrapSheet[] => {
    const { zone, id } = first;
    if (!isExposed(zone)) return [];
    const group = [first, ...rest] as const;
    const last = group[group.length - 1];
    const housing = design.housings?.find(({ joint }) => joint === id)?.kind;
    const own = design.seals?.find(({ joint }) => joint === id);
    const hang = hangOf(first, group[group.length - 1], design, spans);
    const seal = jointSeal(group, { catalog, practice, housing, own, hang });
    const at = sealOf(facts, id)?.at;
    const beside = group.flatMap(({ leftPiece, rightPiece }) => [leftPiece?.piece.id, rightPiece?.piece.id]);
    return [
      {
        jointId: id,
        jointIds: group.map((joint) => joint.id),
        name: listed(group.map(({ number }) => `J${number}`)),
        between: [first.leftPiece?.name ?? 'radio', last.rightPiece?.name ?? 'antenna'],
        zone,
        profile: profileUpwards(group, catalog, hang),
        hang,
        ...seal,
        housing,
        ...torqueOf(first),
        unproved: proofs()
          .filter((one) => beside.includes(one.pieceId) && !isProved(one))
          .map(({ name }) => name),
        dripLoop: loopBelow(first, catalog),
        aloft: legAt(spans, design.legs, first.atM)?.kind === 'tower leg',
        inspectionDue: at && seal.inspectionMonths ? inspectionDue(at, seal.inspectionMonths) : undefined,
        sealed: group.every((joint) => isSealed(facts, joint.id)),
      },
    ];
  });
}

/** What the coupling of a joint asks for, N·m. */
function torqueOf({ left, right }: PlacedJoint): Pick<WrapSheet, 'torqueNm' | 'torqueRange'> {
  const range = [left, right].map(({ series }) => seriesById[series].torqueNm).find(Boolean) ?? undefined;
  return { torqueNm: range && Math.max(...range), torqueRange: range };
}

/** Water on a cable runs to the lowest place: below a joint in the weather that is a loop. */
function loopBelow({ zone, leftPiece }: PlacedJoint, catalog: Catalog): DripLoop | undefined {
  if (zone === 'sheltered' || leftPiece?.piece.kind !== 'assembly') return undefined;
  return dripLoop(entry(catalog.cables, leftPiece.piece.cable).bendOnceMm);
}
