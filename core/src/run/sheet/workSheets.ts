import { entry, type Catalog } from '../../catalog/index.js';
import { cutSheet } from '../../cut/index.js';
import { stripGauge } from '../../make/index.js';
import { expectations, judge } from '../../prove/index.js';
import { isExposed, zoneAt, type ZoneSpan } from '../../route/index.js';
import type { Assembly } from '../design/design.js';
import { endMade, isCut, latestReading, logged, readingValue, type Facts } from '../facts/facts.js';
import { jointProfile, jointWrap } from './jointWrap.js';
import type { Layout } from '../wave/layout.js';
import type { Practice } from '../../practice/index.js';
import type { EndSheet, ProofSheet, Sheet, WrapSheet } from './sheet.js';

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
    return (['a', 'b'] as const).map((end): EndSheet => {
      const id = `${piece.id}.${end}`;
      const part = entry(catalog.parts, piece[end].part);
      const atM = end === 'a' ? fromM : toM;
      const about = facts.log.filter((one) => one.about === id);
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
        made: endMade(facts, id),
        farEndMade: endMade(facts, `${piece.id}.${end === 'a' ? 'b' : 'a'}`),
        failures: about.filter(({ kind }) => kind === 'end failed').length,
        lostM: about.reduce((sum, one) => sum + (one.end?.lostM ?? 0), 0),
        deviations: about.filter(({ kind }) => kind === 'deviation'),
      };
    });
  });
}

export function cutSheets(
  assemblies: Assembly[],
  catalog: Catalog,
  facts: Facts,
  practice: Practice,
  frequencyHz: number,
): Sheet['cuts'] {
  return assemblies.map((piece) => {
    const cable = entry(catalog.cables, piece.cable);
    const bothMade = (['a', 'b'] as const).every((end) => endMade(facts, `${piece.id}.${end}`));
    const sheet = cutSheet({
      cable,
      ends: [entry(catalog.parts, piece.a.part), entry(catalog.parts, piece.b.part)],
      lengthM: piece.lengthM,
      ...(piece.target ? { target: piece.target } : {}),
      school: practice.cutSchool,
      frequencyHz,
    });
    return {
      ...sheet,
      pieceId: piece.id,
      name: piece.label,
      cable,
      done: bothMade || isCut(facts, piece.id),
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
        sealed: logged(facts, 'sealed', joint.id),
      },
    ];
  });
}
