import proj4 from 'proj4';
import { fail, isObject, ok, type Result } from '../../quantity/index.js';
import { freshId } from '../../run/index.js';
import {
  pointKinds,
  type Origin,
  type Place3,
  type PointKind,
  type Site,
  type SitePoint,
  type Way,
} from '../document/site.js';
import { pathOf } from '../way/path.js';

/** Points and ways as GeoJSON (RFC 7946): longitude, latitude and height about the site’s origin; without one, local metres, which a member of the file says. */

type Position = number[];

interface Feature {
  type: 'Feature';
  geometry: { type: 'Point'; coordinates: Position } | { type: 'LineString'; coordinates: Position[] };
  properties: Record<string, unknown>;
}

export interface SiteGeoJson {
  type: 'FeatureCollection';
  /** A foreign member, as RFC 7946 allows; only where coordinates are no longitudes and latitudes. */
  coordinates?: 'local metres';
  features: Feature[];
}

/** Metres east and north of an origin: an azimuthal equidistant projection on the ellipsoid of WGS 84. */
const projection = ({ latDeg, lonDeg }: Origin): proj4.Converter =>
  proj4('WGS84', `+proj=aeqd +lat_0=${latDeg} +lon_0=${lonDeg} +datum=WGS84 +units=m`);

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));

/** The site for a map or a drawing program. Longitudes are written to 8 digits, 1 mm; lengths to the millimetre. */
export function siteGeoJson(site: Site): SiteGeoJson {
  const { origin } = site;
  const convert = origin && projection(origin);
  const position = ({ xM, yM, zM }: Place3): Position => {
    if (!convert) return [xM, yM, zM].map((value) => rounded(value, 3));
    const [lon, lat] = convert.inverse([xM, yM]);
    return [rounded(lon, 8), rounded(lat, 8), rounded(zM, 3)];
  };
  return {
    type: 'FeatureCollection',
    ...(convert ? {} : { coordinates: 'local metres' }),
    features: [
      ...site.points.map(({ id, name, kind, ...place }): Feature => ({
        type: 'Feature',
        geometry: { type: 'Point', coordinates: position(place) },
        properties: { id, name, kind },
      })),
      ...site.ways.map(({ via: _, ...way }): Feature => ({
        type: 'Feature',
        geometry: { type: 'LineString', coordinates: pathOf(site, { ...way, via: _ }).map(position) },
        properties: { ...way },
      })),
    ],
  };
}

/** What a file adds to a site. */
export interface ReadGeoJson {
  points: SitePoint[];
  ways: Way[];
  /** Of the file’s longitudes and latitudes, where the site had none. */
  origin: Origin | undefined;
  /** Features which are neither points nor lines. */
  skipped: number;
}

/** An end of a line belongs to a point within this distance, m. */
const SAME_M = 0.25;

const problem = (code: string, message: string, where: string, remedy: string): Result<never> =>
  fail(`geojson.${code}`, message, where, remedy);

/**
 * Reads points and lines of a GeoJSON file as points and ways to be added to a site. Names and kinds are taken where it has them; ends of
 * lines which are at no point get one.
 *
 * @param value as parsed from JSON
 */
export function readSiteGeoJson(value: unknown, site: Site): Result<ReadGeoJson> {
  const read = shapesOf(value);
  if (!read.ok) return read;
  const { shapes, skipped, isLocal } = read.value;
  const [first] = shapes[0].at;
  const origin = isLocal ? undefined : (site.origin ?? { lonDeg: first[0], latDeg: first[1] });
  const convert = origin && projection(origin);
  const place = ([x, y, z = 0]: Position): Place3 => {
    const [xM, yM] = convert ? convert.forward([x, y]) : [x, y];
    return { xM: rounded(xM, 3), yM: rounded(yM, 3), zM: rounded(z, 3) };
  };
  const far = shapes.flatMap(({ at }) => at.map(place)).find(({ xM, yM }) => Math.hypot(xM, yM) > MAX_FAR_M);
  if (far)
    return problem(
      'far',
      `A place lies ${Math.round(Math.hypot(far.xM, far.yM) / 1000)} km from the site’s origin.`,
      'features',
      'Import what belongs to this site, or set its origin first.',
    );
  return ok({ ...added(shapes, place, site), origin: site.origin ? undefined : origin, skipped });
}

/** The points and lines of a file, and whether it is in metres of its own. */
function shapesOf(value: unknown): Result<{ shapes: Shape[]; skipped: number; isLocal: boolean }> {
  const features = isObject(value) && value.type === 'FeatureCollection' ? value.features : undefined;
  if (!isObject(value) || !Array.isArray(features))
    return problem(
      'no-collection',
      'This is no GeoJSON feature collection.',
      'type',
      'Export one from your map.',
    );
  const shapes: Shape[] = [];
  let skipped = 0;
  for (const [k, feature] of (features as unknown[]).entries()) {
    const shape = shapeOf(feature, `features[${k}]`);
    if (!shape.ok) return shape;
    if (shape.value) shapes.push(shape.value);
    else skipped++;
  }
  if (shapes.length > 0)
    return ok({ shapes, skipped, isLocal: value.coordinates === 'local metres' || !shapes.every(isOnEarth) });
  return problem(
    'nothing',
    skipped > 0
      ? `${skipped === 1 ? 'Its one feature is an area or another shape' : `Its ${skipped} features are areas or other shapes`}: a site is made of points and lines.`
      : 'It has no features.',
    'features',
    'Export points and lines.',
  );
}

/** A site is no wider, m. */
const MAX_FAR_M = 20_000;

interface Shape {
  isPoint: boolean;
  at: Position[];
  properties: Record<string, unknown>;
}

const isOnEarth = ({ at }: Shape): boolean =>
  at.every(([lon, lat]) => Math.abs(lon) <= 180 && Math.abs(lat) <= 90);

/** A point or a line; nothing for other shapes. */
function shapeOf(feature: unknown, where: string): Result<Shape | undefined> {
  const geometry = isObject(feature) ? feature.geometry : undefined;
  if (!isObject(feature) || !isObject(geometry)) return ok(undefined);
  const isPoint = geometry.type === 'Point';
  if (!isPoint && geometry.type !== 'LineString') return ok(undefined);
  const at: unknown = isPoint ? [geometry.coordinates] : geometry.coordinates;
  const isPosition = (one: unknown): one is Position =>
    Array.isArray(one) && one.length >= 2 && one.slice(0, 3).every((part) => Number.isFinite(part));
  if (!Array.isArray(at) || at.length < (isPoint ? 1 : 2) || !at.every(isPosition))
    return problem(
      'coordinates',
      'Its coordinates are no numbers.',
      `${where}.geometry.coordinates`,
      'A point has two or three numbers, a line a list of points.',
    );
  return ok({ isPoint, at, properties: isObject(feature.properties) ? feature.properties : {} });
}

const textOf = (value: unknown, otherwise: string): string =>
  typeof value === 'string' && value.trim() !== '' ? value.trim().slice(0, 80) : otherwise;

function added(
  shapes: readonly Shape[],
  place: (position: Position) => Place3,
  site: Site,
): { points: SitePoint[]; ways: Way[] } {
  const points: SitePoint[] = [];
  const all = (): SitePoint[] => [...site.points, ...points];
  const put = (at: Place3, name: unknown, kind: unknown): SitePoint => {
    const point: SitePoint = {
      id: freshId(all(), 'point'),
      name: textOf(name, `point ${all().length + 1}`),
      kind: pointKinds.includes(kind as PointKind) ? (kind as PointKind) : 'free',
      ...at,
    };
    points.push(point);
    return point;
  };
  for (const { isPoint, at, properties } of shapes)
    if (isPoint) put(place(at[0]), properties.name, properties.kind);
  const ways: Way[] = [];
  for (const { isPoint, at, properties } of shapes) {
    if (isPoint) continue;
    const path = at.map(place);
    const end = (one: Place3): SitePoint =>
      all().find(({ xM, yM, zM }) => Math.hypot(xM - one.xM, yM - one.yM, zM - one.zM) <= SAME_M) ??
      put(one, undefined, undefined);
    const [from, to] = [end(path[0]), end(path[path.length - 1])];
    if (from.id === to.id) continue;
    ways.push({
      id: freshId([...site.ways, ...ways], 'way'),
      name: textOf(properties.name, `way ${site.ways.length + ways.length + 1}`),
      kind: 'surface clipped',
      from: from.id,
      to: to.id,
      via: path.slice(1, -1),
      conditions: ['outside'],
      bends: [],
      beside: [],
    });
  }
  return { points, ways };
}
