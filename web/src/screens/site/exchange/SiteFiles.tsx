import { cableScheduleCsv, supportListCsv, type JobDocument } from '@kobran/contract';
import {
  MAX_POINTS,
  MAX_WAYS,
  parseCoordinate,
  readSiteGeoJson,
  siteGeoJson,
  type Origin,
  type Site,
  type SiteChange,
  type SiteSheet,
} from '@kobran/core';
import { Files } from 'lucide-react';
import { useRef, useState, type ReactNode, type RefObject } from 'react';
import { toast } from 'sonner';
import { Menu } from '../../../ui/Menu.js';
import { usePreferences } from '../../../ui/Preferences.js';
import { QuantityField } from '../../../ui/QuantityField.js';
import { saveFile } from '../../../ui/saveFile.js';
import { Window } from '../../../ui/Window.js';
import { PlanPictureWindow } from '../picture/PlanPictureWindow.js';
import { svgText } from './svgText.js';

/** A plan is no larger; what is beyond it is something else. */
const MAX_MB = 8;

/** Lists for a spreadsheet, and the site for maps and drawing programs; and back. */
export function SiteFiles({
  job,
  site,
  sheet,
  drawings,
  change,
}: {
  job: JobDocument;
  site: Site;
  sheet: SiteSheet;
  drawings: RefObject<HTMLElement | null>;
  change: (changes: readonly SiteChange[]) => void;
}): ReactNode {
  const { units } = usePreferences();
  const picker = useRef<HTMLInputElement>(null);
  const [placing, setPlacing] = useState(false);
  const [pictured, setPictured] = useState(false);
  const save = (text: string, name: string, type: string): void =>
    saveFile(text, `${job.name}, ${name}`, type);
  async function saveDxf(): Promise<void> {
    try {
      const { siteDxf } = await import('./siteDxf.js');
      save(siteDxf(site), 'site.dxf', 'image/vnd.dxf');
    } catch {
      toast.error('The part of Kobran which writes DXF cannot be loaded: is the server there?');
    }
  }
  return (
    <>
      <Menu
        align="end"
        className="button"
        trigger={
          <>
            <Files size={16} aria-hidden /> Files
          </>
        }
        items={[
          ...(sheet.ways.length === 0
            ? []
            : [
                {
                  label: 'Cable schedule',
                  hint: 'CSV: which cable lies where, what to order',
                  act: () => save(cableScheduleCsv(sheet, units), 'cable schedule.csv', 'text/csv'),
                },
                {
                  label: 'Support list',
                  hint: 'CSV: clips, hangers and grips',
                  act: () => save(supportListCsv(sheet, units), 'support list.csv', 'text/csv'),
                },
              ]),
          ...(site.points.length === 0
            ? []
            : [
                {
                  label: 'Export GeoJSON',
                  hint: site.origin
                    ? 'longitude and latitude, WGS 84'
                    : 'local metres; set the origin for a map',
                  act: () =>
                    save(
                      JSON.stringify(siteGeoJson(site), undefined, 2),
                      'site.geojson',
                      'application/geo+json',
                    ),
                },
                { label: 'Export DXF', hint: 'lines in space, metres', act: () => void saveDxf() },
                {
                  label: 'Export SVG',
                  hint: 'plan and elevation as drawn',
                  act: () =>
                    save(
                      svgText([...(drawings.current?.querySelectorAll<SVGSVGElement>('figure > svg') ?? [])]),
                      'site.svg',
                      'image/svg+xml',
                    ),
                },
              ]),
          {
            label: 'Import GeoJSON',
            hint: 'points and lines are added',
            act: () => picker.current?.click(),
          },
          {
            label: 'Picture under the plan',
            hint: 'a photograph from above or a drawing, scaled by two places',
            act: () => setPictured(true),
          },
          {
            label: 'Set the origin',
            hint: 'where east and north are 0, for maps',
            act: () => setPlacing(true),
          },
        ]}
      />
      <input
        ref={picker}
        type="file"
        accept=".geojson,.json,application/geo+json"
        aria-label="Import a GeoJSON file"
        className="sr-only"
        tabIndex={-1}
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) void importFile(file, site, change);
        }}
      />
      <PlanPictureWindow
        jobId={job.id}
        site={site}
        change={change}
        open={pictured}
        onOpenChange={setPictured}
      />
      <Window title="Origin of the site" open={placing} onOpenChange={setPlacing}>
        <OriginFields
          origin={site.origin}
          onChange={(origin) => change([{ op: 'set site', site: { ...site, origin } }])}
        />
      </Window>
    </>
  );
}

async function importFile(
  file: File,
  site: Site,
  change: (changes: readonly SiteChange[]) => void,
): Promise<void> {
  const refuse = (message: string): void => void toast.error(`${file.name}: ${message}`);
  if (file.size > MAX_MB * 1e6) return refuse(`It is larger than ${MAX_MB} MB. Export only this site.`);
  let value: unknown;
  try {
    value = JSON.parse(await file.text());
  } catch {
    return refuse('It is not valid JSON. Nothing was changed.');
  }
  const read = readSiteGeoJson(value, site);
  if (!read.ok) return refuse(`${read.problem.message} ${read.problem.remedy} Nothing was changed.`);
  const { points, ways, origin, skipped } = read.value;
  if (site.points.length + points.length > MAX_POINTS || site.ways.length + ways.length > MAX_WAYS)
    return refuse(
      `With its ${points.length} points and ${ways.length} ways the site would have more than ${MAX_POINTS}. Nothing was changed.`,
    );
  change([
    {
      op: 'set site',
      site: {
        ...site,
        ...(origin ? { origin } : {}),
        points: [...site.points, ...points],
        ways: [...site.ways, ...ways],
      },
    },
  ]);
  toast(
    `${points.length} ${points.length === 1 ? 'point' : 'points'} and ${ways.length} ${ways.length === 1 ? 'way' : 'ways'} added`,
    {
      description: `${skipped > 0 ? `${skipped} other shapes were left out. ` : ''}Ctrl Z takes them back.`,
    },
  );
}

/** Latitude and longitude, taken over once both are there. */
function OriginFields({
  origin,
  onChange,
}: {
  origin: Origin | undefined;
  onChange: (origin: Origin) => void;
}): ReactNode {
  const [latDeg, setLat] = useState(origin?.latDeg);
  const [lonDeg, setLon] = useState(origin?.lonDeg);
  const take = (lat: number | undefined, lon: number | undefined): void => {
    if (lat !== undefined && lon !== undefined) onChange({ latDeg: lat, lonDeg: lon });
  };
  return (
    <div className="mt-3 grid gap-3 sm:grid-cols-2">
      <QuantityField
        label="Latitude"
        value={latDeg}
        format={String}
        parse={(text) => parseCoordinate(text, 90)}
        placeholder="51.3 N"
        onChange={(value) => {
          setLat(value);
          take(value, lonDeg);
        }}
      />
      <QuantityField
        label="Longitude"
        value={lonDeg}
        format={String}
        parse={(text) => parseCoordinate(text, 180)}
        placeholder="4.2 W"
        onChange={(value) => {
          setLon(value);
          take(latDeg, value);
        }}
      />
    </div>
  );
}
