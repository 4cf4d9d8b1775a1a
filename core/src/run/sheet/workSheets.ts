import { entry, type Catalog } from '../../catalog/index.js';
import { cutSheet } from '../../cut/index.js';
import { listed, stripGauge } from '../../make/index.js';
import { expectations, judge } from '../../prove/index.js';
import { isExposed, zoneAt, type ZoneSpan } from '../../route/index.js';
import type { Assembly, Housing, Leg } from '../design/design.js';
import { endId, endSides, otherSide } from '../design/ids.js';
import { factsOf, isCut, isEndMade, isSealed, latestReading } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';
import { readingValue } from '../facts/reading.js';
import { jointProfile, jointSeal, wrapGroups } from './jointWrap.js';
import { afterPull } from './afterPull.js';
import type { Layout } from '../wave/layout.js';
import type { Practice } from '../../practice/index.js';
import type { EndSheet, ProofSheet, SheetBody, WrapSheet } from './sheet.js';

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
): SheetBody['cuts'] {
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
    expectations: expectations(
      entry(catalog.cables, piece.cable),
      piece.lengthM,
      frequenciesHz,
      practice.ohmMeter,
    ).map((expectation) => {
      const reading = latestReading(facts, piece.id, expectation.id);
      return reading
        ? { ...expectation, reading, judgement: judge(expectation, readingValue(reading)) }
        : expectation;
    }),
  }));
}

export function wrapSheets(
  { joints }: Layout,
  catalog: Catalog,
  { facts, practice, housings }: { facts: Facts; practice: Practice; housings: readonly Housing[] },
): WrapSheet[] {
  return wrapGroups(joints, catalog).flatMap(([first, ...rest]): WrapSheet[] => {
    const { zone, id } = first;
    if (!isExposed(zone)) return [];
    const group = [first, ...rest] as const;
    const last = group[group.length - 1];
    const housing = housings.find(({ joint }) => joint === id)?.kind;
    return [
      {
        jointId: id,
        jointIds: group.map((joint) => joint.id),
        name: listed(group.map(({ number }) => `J${number}`)),
        between: [first.leftPiece?.name ?? 'radio', last.rightPiece?.name ?? 'antenna'],
        zone,
        profile: jointProfile(group, catalog),
        ...jointSeal(group, catalog, practice, housing),
        housing,
        sealed: group.every((joint) => isSealed(facts, joint.id)),
      },
    ];
  });
}
