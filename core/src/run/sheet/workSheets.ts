import { entry, type Catalog } from '../../catalog/index.js';
import { cutSheet } from '../../cut/index.js';
import { stripGauge } from '../../make/index.js';
import { expectations, judge } from '../../prove/index.js';
import { isExposed, zoneAt, type ZoneSpan } from '../../route/index.js';
import type { Assembly } from '../design/design.js';
import { endId, endSides, otherSide } from '../design/ids.js';
import { factAbout, factsOf, isCut, isEndMade, latestReading } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';
import { readingValue } from '../facts/reading.js';
import { jointProfile, jointWrap } from './jointWrap.js';
import type { Layout } from '../wave/layout.js';
import type { Practice } from '../../practice/index.js';
import type { EndSheet, ProofSheet, SheetBody, WrapSheet } from './sheet.js';

/** What the stages of the work show: ends, cuts, proofs and wraps, each with what is done. */

export function endSheets(
  layout: Layout,
  catalog: Catalog,
  facts: Facts,
  spans: readonly ZoneSpan[],
): EndSheet[] {
  return layout.pieces.flatMap(({ piece, fromM, toM }) => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
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
        exposed: isExposed(zoneAt(spans, atM)),
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
  facts: Facts,
  lowHz: number,
  topHz: number,
): ProofSheet[] {
  const frequenciesHz = [...new Set([lowHz, topHz])];
  return assemblies.map((piece) => ({
    pieceId: piece.id,
    name: piece.label,
    expectations: expectations(entry(catalog.cables, piece.cable), piece.lengthM, frequenciesHz).map(
      (expectation) => {
        const reading = latestReading(facts, piece.id, expectation.id);
        return reading
          ? { ...expectation, reading, judgement: judge(expectation, readingValue(reading)) }
          : expectation;
      },
    ),
  }));
}

export function wrapSheets(layout: Layout, catalog: Catalog, facts: Facts, practice: Practice): WrapSheet[] {
  return layout.joints.flatMap((joint) => {
    const wrap = jointWrap(joint, catalog, practice);
    if (!wrap) return [];
    const between: [string, string] = [joint.leftPiece?.name ?? 'radio', joint.rightPiece?.name ?? 'antenna'];
    return [
      {
        jointId: joint.id,
        number: joint.number,
        between,
        zone: joint.zone,
        profile: jointProfile(joint, catalog),
        wrap,
        sealed: factAbout(facts, 'sealed', joint.id) !== undefined,
      },
    ];
  });
}
