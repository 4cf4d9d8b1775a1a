import { entry, faceOf, seriesOf, type Cable, type Catalog } from '../../catalog/index.js';
import { freshId } from '../design/change.js';
import type { AnyPiece, Assembly, Design } from '../design/design.js';
import { partFor } from '../edit/betterCables.js';
import { adapterPiece, partsToMeet } from '../edit/waysToJoin.js';

/** Flexible leads which a proposal puts between a port and cable that would strain it. */

/** Thicker cable than this may be stiff, mm of jacket; stiff is what is not stranded, or bends no tighter than this when it flexes. Common practice, no source. */
const STIFF_MM = 12;
const STIFF_BEND_MM = 100;

/** Is it bent to a port? */
export const isStiff = ({ jacketMm, centreKind, bendRepeatedMm }: Cable): boolean =>
  jacketMm > STIFF_MM && centreKind !== 'stranded' && bendRepeatedMm > STIFF_BEND_MM;

/** Jumpers at the radio and at the antenna, m. Common practice, no source. */
const JUMPER_M = { radio: 1.5, antenna: 1 };
/** What a jumper is made of, first what is there; under duplex nothing with foil under its braid. */
const jumperCables = ['c400f', 'rg214', 'rg213'];
const quietJumperCables = ['rg214', 'rg213'];
/** What a lead at a small port is made of: 5 mm and flexible. */
const leadCables = ['rg400', 'rg58', 'rg223', 'rg316'];
/** As long as it is from a small port to what carries the thick cable, m. Common practice, no source. */
const LEAD_M = 0.5;
/** Thicker cable levers a small port off, mm of jacket: that of a set carried in the hand, and of one that is screwed down. Handbook of the trade, 11. */
const PORT_BEARS_MM = { handheld: 5.5, fixed: 6.5 };
/** Where a lead meets the thick cable: plug on the lead, jack on the cable, first what is there. */
const meetings = ['n', 'tnc', 'bnc', 'sma'];

const assembly = (pieces: readonly AnyPiece[], over: Omit<Assembly, 'kind'>): Assembly => ({
  ...over,
  kind: 'assembly',
  id: freshId(pieces, over.id),
});

const firstOf = (ids: readonly string[], ohm: number, catalog: Catalog): Cable | undefined =>
  ids.map((id) => catalog.cables.get(id)).find((one) => one?.impedanceOhm === ohm);

/** Shorter than this a run is no place for stiff line, m. */
export const LEAST_STIFF_M = 2 * (JUMPER_M.radio + JUMPER_M.antenna);

/** A flexible jumper on each side of a stiff run, joined to it jack to plug; the run as it was where parts for that are missing, or it is short. */
export function withJumpers(pieces: AnyPiece[], catalog: Catalog, duplex: boolean): AnyPiece[] {
  const main = pieces.findIndex((piece) => piece.kind === 'assembly');
  const stiff = pieces[main];
  if (stiff?.kind !== 'assembly') return pieces;
  const cable = entry(catalog.cables, stiff.cable);
  if (!isStiff(cable) || stiff.lengthM < LEAST_STIFF_M) return pieces;
  const flexible = firstOf(duplex ? quietJumperCables : jumperCables, cable.impedanceOhm, catalog);
  const jack = partFor('n-jack', cable, catalog);
  if (!flexible || !jack) return pieces;
  const plug = partFor('n-plug', flexible, catalog);
  const outer = (end: 'a' | 'b'): string | undefined =>
    partFor(entry(catalog.parts, stiff[end].part).face, flexible, catalog);
  const [near, far] = [outer('a'), outer('b')];
  if (!plug || !near || !far) return pieces;
  const jumper = (id: string, label: string, lengthM: number, a: string, b: string): Assembly =>
    assembly(pieces, { id, label, cable: flexible.id, lengthM, a: { part: a }, b: { part: b } });
  return pieces.toSpliced(
    main,
    1,
    jumper('jumper', 'Radio jumper', JUMPER_M.radio, near, plug),
    {
      ...stiff,
      lengthM: stiff.lengthM - JUMPER_M.radio - JUMPER_M.antenna,
      a: { part: jack },
      b: { part: jack },
    },
    jumper('tail', 'Antenna jumper', JUMPER_M.antenna, plug, far),
  );
}

/** Series whose ports break off under a lever. Common practice, no source. */
const small = new Set(['sma', 'rp-sma', 'mmcx', 'mcx', 'smb', 'smc']);

/** Is it a port which bears a thin, flexible lead only? */
export const isSmallPort = (face: string): boolean => small.has(seriesOf(faceOf(face)).id);

/** The adapter that takes the wear of a port, with its own series on both sides. */
function saverOf(face: string, catalog: Catalog): AnyPiece | undefined {
  const { series, body } = faceOf(face);
  const mating = body === 'jack' ? 'plug' : 'jack';
  for (const adapter of catalog.adapters.values()) {
    if (adapter.form !== 'saver') continue;
    const [one, other] = adapter.faces.map(faceOf);
    if (one.series !== series || other.series !== series) continue;
    return adapterPiece('saver', { adapter, reversed: one.body !== mating });
  }
  return undefined;
}

/** How a lead and a thick cable meet: plug to jack, else two plugs over an adapter, which hangs on no port there. */
function meet(
  lead: Cable,
  cable: Cable,
  catalog: Catalog,
): { near: string; between: AnyPiece[]; far: string } | undefined {
  for (const series of meetings) {
    const [near, far] = [partFor(`${series}-plug`, lead, catalog), partFor(`${series}-jack`, cable, catalog)];
    if (near && far) return { near, between: [], far };
  }
  const far = partFor('n-plug', cable, catalog);
  for (const series of meetings) {
    const near = partFor(`${series}-plug`, lead, catalog);
    const faces = [`${series}-jack`, 'n-jack'];
    const adapter = [...catalog.adapters.values()].find(
      ({ form, faces: own }) => form === 'straight' && faces.every((face) => own.includes(face)),
    );
    if (near && far && adapter)
      return {
        near,
        between: [adapterPiece('to-thick', { adapter, reversed: adapter.faces[0] === 'n-jack' })],
        far,
      };
  }
  return undefined;
}

/**
 * A run from a small port begins with a thin lead, and the thick cable after it; a handheld’s port has its saver too. Handbook of the trade, 11.
 *
 * @param pieces from the radio on
 * @returns the same where the port bears what hangs on it, or no parts make such a lead
 */
export function withLead(pieces: AnyPiece[], { radio }: Pick<Design, 'radio'>, catalog: Catalog): AnyPiece[] {
  if (!isSmallPort(radio.face)) return pieces;
  const saver = radio.handheld ? saverOf(radio.face, catalog) : undefined;
  const saved = saver ? [saver] : [];
  const main = pieces.findIndex((piece) => piece.kind === 'assembly');
  const thick = pieces[main];
  if (thick?.kind !== 'assembly') return pieces;
  const cable = entry(catalog.cables, thick.cable);
  // A thin cable with its own end on the port, or one so short that it is the lead.
  if (main === 0 && cable.jacketMm <= PORT_BEARS_MM[radio.handheld ? 'handheld' : 'fixed'])
    return [...saved, ...pieces];
  if (thick.lengthM < 2 * LEAD_M) return pieces;
  const lead = leadTo(thick, cable, radio.face, catalog);
  return lead ? [...saved, ...lead, ...pieces.slice(main + 1)] : pieces;
}

/** A thin lead with the port’s own end, what lies between it and the thick cable, and that cable shortened by it. */
function leadTo(thick: Assembly, cable: Cable, port: string, catalog: Catalog): AnyPiece[] | undefined {
  for (const id of leadCables) {
    const lead = catalog.cables.get(id);
    if (lead?.impedanceOhm !== cable.impedanceOhm) continue;
    const near = partsToMeet(faceOf(port), id, catalog).at(0)?.id;
    const met = meet(lead, cable, catalog);
    if (!near || !met) continue;
    const ends = { a: { part: near }, b: { part: met.near } };
    return [
      { kind: 'assembly', id: 'lead', label: 'Radio lead', cable: id, lengthM: LEAD_M, ...ends },
      ...met.between,
      { ...thick, lengthM: thick.lengthM - LEAD_M, a: { part: met.far } },
    ];
  }
  return undefined;
}
