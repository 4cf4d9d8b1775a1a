import { pathOf, routes } from '@kobran/contract';
import { checkPicture, type KnownPlace, type PlanPicture, type Site, type SiteChange } from '@kobran/core';
import { useRef, useState, type ComponentProps, type KeyboardEvent, type ReactNode } from 'react';
import { toast } from 'sonner';
import { call, messageOf } from '../../../store/client.js';
import { Choice } from '../../../ui/Choice.js';
import { FilePick } from '../../../ui/FilePick.js';
import { smallerPicture } from '../../../ui/smallerPicture.js';
import { useDrag } from '../../../ui/useDrag.js';
import { Window } from '../../../ui/Window.js';
import { PositionField } from '../SiteLengths.js';

/** Own picture under the plan: a photograph from above, a drawing of the building. Two known places scale it. */
export function PlanPictureWindow({
  jobId,
  site,
  change,
  open,
  onOpenChange,
}: {
  jobId: string;
  site: Site;
  change: (changes: readonly SiteChange[]) => void;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}): ReactNode {
  const { picture } = site;
  const put = (next: PlanPicture | undefined): void => change([{ op: 'set picture', picture: next }]);
  async function take(file: File): Promise<void> {
    const made = await smallerPicture(file);
    if (!made.ok) return void toast.error(made.why);
    const id = crypto.randomUUID();
    try {
      await call(routes.putPicture, { id: jobId, pictureId: id, body: made.picture });
    } catch (error) {
      return void toast.error(`The picture was not kept. ${messageOf(error)}`);
    }
    put(unscaled(id, made, site));
  }
  return (
    <Window
      wide
      title="Picture under the plan"
      description="A photograph from above or a drawing. Put both marks on places you know, and say where these are: that scales and turns it."
      open={open}
      onOpenChange={onOpenChange}
    >
      <div className="mt-3 grid gap-4">
        <FilePick
          label={picture ? 'Another picture' : 'Choose a picture'}
          accept="image/jpeg,image/png,image/webp"
          onPick={(file) => void take(file)}
        />
        {picture && (
          <>
            <Marks key={picture.id} jobId={jobId} picture={picture} site={site} onChange={put} />
            <button className="button justify-self-start" onClick={() => put(undefined)}>
              Remove the picture
            </button>
          </>
        )}
      </div>
    </Window>
  );
}

/** Until somebody scales it, it is as wide as the site, or 20 m. */
function unscaled(
  id: string,
  { widthPx, heightPx }: { widthPx: number; heightPx: number },
  site: Site,
): PlanPicture {
  const east = site.points.map(({ xM }) => xM);
  const north = site.points.map(({ yM }) => yM);
  const [from, to] = site.points.length > 1 ? [Math.min(...east), Math.max(...east)] : [0, 20];
  const middle = north.length > 0 ? (Math.min(...north) + Math.max(...north)) / 2 : 0;
  const yPx = heightPx / 2;
  return {
    id,
    widthPx,
    heightPx,
    places: [
      { xPx: widthPx * 0.1, yPx, xM: from, yM: middle },
      { xPx: widthPx * 0.9, yPx, xM: Math.max(to, from + 1), yM: middle },
    ],
  };
}

const NAMES = ['A', 'B'] as const;
const arrows: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The picture with its two marks, and where they are. A scale that is none stays here, with the reason. */
function Marks({
  jobId,
  picture,
  site,
  onChange,
}: {
  jobId: string;
  picture: PlanPicture;
  site: Site;
  onChange: (picture: PlanPicture) => void;
}): ReactNode {
  const [places, setPlaces] = useState(picture.places);
  const { widthPx, heightPx } = picture;
  const [problem] = checkPicture({ ...picture, places });
  const put = (next: PlanPicture['places']): void => {
    setPlaces(next);
    if (checkPicture({ ...picture, places: next }).length === 0) onChange({ ...picture, places: next });
  };
  const moved = (k: number, over: Partial<KnownPlace>): PlanPicture['places'] => {
    const next: PlanPicture['places'] = [places[0], places[1]];
    next[k] = { ...places[k], ...over };
    return next;
  };
  const move = (k: number, over: Partial<KnownPlace>): void => put(moved(k, over));
  const within = (x: number, y: number): Pick<KnownPlace, 'xPx' | 'yPx'> => ({
    xPx: Math.min(widthPx, Math.max(0, Math.round(x))),
    yPx: Math.min(heightPx, Math.max(0, Math.round(y))),
  });
  const sheet = useRef<HTMLDivElement>(null);
  // From where it was taken: what lies on its way is not to be undone, a drag is one change.
  const [taken, take] = useState<PlanPicture['places']>();
  function drag(k: number, dx: number, dy: number): void {
    const box = sheet.current?.getBoundingClientRect();
    if (!box) return;
    const from = taken ?? places;
    take(from);
    const { xPx, yPx } = from[k];
    setPlaces(moved(k, within(xPx + (dx / box.width) * widthPx, yPx + (dy / box.height) * heightPx)));
  }
  function drop(next: PlanPicture['places']): void {
    take(undefined);
    put(next);
  }
  function step(event: KeyboardEvent, k: number): void {
    const by = arrows[event.key];
    if (!by) return;
    event.preventDefault();
    const size = event.shiftKey ? 20 : 1;
    move(k, within(places[k].xPx + by[0] * size, places[k].yPx + by[1] * size));
  }
  return (
    <>
      <div ref={sheet} className="relative">
        <img
          className="block w-full border border-rule"
          src={pathOf(routes.readPicture, { id: jobId, pictureId: picture.id })}
          alt="The picture under the plan"
          draggable={false}
        />
        {places.map(({ xPx, yPx }, k) => (
          <Mark
            key={NAMES[k]}
            className="absolute grid size-8 -translate-1/2 cursor-grab touch-none place-items-center rounded-full border-2 border-copper bg-paper/80 font-bold"
            style={{ left: `${(xPx / widthPx) * 100}%`, top: `${(yPx / heightPx) * 100}%` }}
            aria-label={`Mark ${NAMES[k]}, ${xPx} px across, ${yPx} px down. Arrows move it.`}
            onDrag={(dx, dy) => drag(k, dx, dy)}
            onDrop={() => drop(places)}
            onCancel={() => drop(taken ?? places)}
            onKeyDown={(event) => step(event, k)}
          >
            {NAMES[k]}
          </Mark>
        ))}
      </div>
      <div className="grid gap-4 sm:grid-cols-2">
        {places.map(({ xM, yM }, k) => (
          <fieldset key={NAMES[k]} className="grid gap-2">
            <legend className="font-semibold">Mark {NAMES[k]} is at</legend>
            <Choice
              label="Point of the site"
              value={site.points.find((point) => point.xM === xM && point.yM === yM)?.id ?? ''}
              options={[
                { value: '', label: 'none of them' },
                ...site.points.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChange={(id) => {
                const point = site.points.find((one) => one.id === id);
                if (point) move(k, { xM: point.xM, yM: point.yM });
              }}
            />
            <div className="grid grid-cols-2 gap-2">
              <PositionField label="East" valueM={xM} onChange={(to) => move(k, { xM: to })} />
              <PositionField label="North" valueM={yM} onChange={(to) => move(k, { yM: to })} />
            </div>
          </fieldset>
        ))}
      </div>
      <p role="status" className={problem ? 'text-caution' : 'sr-only'}>
        {problem ? `${problem.message} ${problem.remedy}` : 'Scaled'}
      </p>
    </>
  );
}

/** A mark which is dragged over the picture. */
function Mark({
  onDrag,
  onDrop,
  onCancel,
  ...rest
}: Omit<ComponentProps<'button'>, 'onDrag' | 'onDrop' | 'onCancel'> &
  Pick<Parameters<typeof useDrag>[0], 'onDrop' | 'onDrag' | 'onCancel'>): ReactNode {
  return <button {...rest} {...useDrag({ onDrag, onDrop, onCancel })} />;
}
