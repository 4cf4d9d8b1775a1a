import { pathOf, routes, type BackupSummary } from '@kobran/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Download, RotateCcw, ShieldCheck } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { TopBar } from '../../frame/TopBar.js';
import { call, messageOf, upload } from '../../store/client.js';
import { useIsOwner } from '../../store/me.js';
import { sayMoment } from '../../ui/dates.js';
import { FilePick } from '../../ui/FilePick.js';
import { Window } from '../../ui/Window.js';
import { DeletedThings } from './DeletedThings.js';

const BACKUPS = ['backups'];

const reasons: Record<BackupSummary['reason'], string> = {
  daily: 'made by itself',
  'by-hand': 'made by hand',
  'before-restore': 'made before another was restored',
};

/** What is to be restored: one of the list, or a file. */
type Chosen = { name: string; madeAt: string } | File;

/** Backups of everything, and what was deleted. */
export function BackupsScreen(): ReactNode {
  const { data: backups, error } = useQuery({
    queryKey: BACKUPS,
    queryFn: () => call(routes.listBackups),
  });
  const [busy, setBusy] = useState(false);
  const [chosen, setChosen] = useState<Chosen>();
  const queries = useQueryClient();
  const isOwner = useIsOwner();
  useEffect(() => {
    document.title = 'Backups – Kobran';
  }, []);

  async function make(): Promise<void> {
    setBusy(true);
    try {
      await upload(routes.makeBackup, {}, new Blob([]), () => undefined);
      toast.success('Backed up, and restored once into a scratch database to be sure.');
      await queries.invalidateQueries({ queryKey: BACKUPS });
    } catch (problem) {
      toast.error(messageOf(problem));
    } finally {
      setBusy(false);
    }
  }

  const newest = backups?.[0];
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Backups' }]} />
      <main className="mx-auto max-w-4xl px-4 py-4">
        <h1 className="text-xl font-bold">
          {newest ? `Last backup ${sayMoment(newest.madeAt)}` : backups ? 'No backup yet' : 'Backups'}
        </h1>
        <p className="mt-1 max-w-3xl text-muted">
          Once a day Kobran backs up every job, run, sweep and the shop’s own entries into its data folder,
          and restores each backup once to see that it can be. Seven days and eight weeks are kept. A disk can
          break: take a copy elsewhere now and then.{!isOwner && ' Owners download and restore them.'}
        </p>
        <div className="mt-3 flex flex-wrap gap-3">
          <button className="button button-primary" disabled={busy} onClick={() => void make()}>
            <ShieldCheck size={16} aria-hidden /> {busy ? 'Backing up…' : 'Back up now'}
          </button>
          {isOwner && <FilePick label="Restore a file" accept=".kobran-backup" onPick={setChosen} />}
        </div>
        {error && <p className="mt-3 text-stop">The list cannot be read: {messageOf(error)}</p>}
        {backups && backups.length > 0 && (
          <ul className="mt-4 divide-y divide-rule border-y border-rule" aria-label="Backups">
            {backups.map((one) => (
              <li key={one.name} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
                <span className="min-w-48 flex-1">
                  <span className="font-semibold">{sayMoment(one.madeAt)}</span>
                  <span className="block text-sm text-muted">
                    {reasons[one.reason]}, {size(one.bytes)}
                  </span>
                </span>
                {isOwner && (
                  <>
                    <a className="button" href={pathOf(routes.readBackup, { name: one.name })} download>
                      <Download size={16} aria-hidden /> Download
                      <span className="sr-only"> the backup of {sayMoment(one.madeAt)}</span>
                    </a>
                    <button className="button" onClick={() => setChosen(one)}>
                      <RotateCcw size={16} aria-hidden /> Restore
                      <span className="sr-only"> the backup of {sayMoment(one.madeAt)}</span>
                    </button>
                  </>
                )}
              </li>
            ))}
          </ul>
        )}
        <DeletedThings />
      </main>
      {chosen && <Confirm chosen={chosen} onClose={() => setChosen(undefined)} />}
    </div>
  );
}

/** Restoring replaces everything: it is asked once, and what stands is kept. */
function Confirm({ chosen, onClose }: { chosen: Chosen; onClose: () => void }): ReactNode {
  const queries = useQueryClient();
  const [problem, setProblem] = useState<string>();
  const [sent, setSent] = useState<number>();
  const what = chosen instanceof File ? chosen.name : `the backup of ${sayMoment(chosen.madeAt)}`;

  async function restore(): Promise<void> {
    setProblem(undefined);
    setSent(0);
    try {
      const { madeAt } = await (chosen instanceof File
        ? upload(routes.restoreSentBackup, {}, chosen, setSent)
        : upload(routes.restoreBackup, { name: chosen.name }, new Blob([]), setSent));
      await queries.invalidateQueries();
      toast.success(`Everything is as it was ${sayMoment(madeAt)}.`);
      onClose();
    } catch (error) {
      setProblem(messageOf(error));
      setSent(undefined);
    }
  }
  return (
    <Window title={`Restore ${what}?`} open onOpenChange={onClose}>
      <p className="mt-2">
        Everything in Kobran is replaced by this backup, for everybody. What stands now is backed up first and
        appears in the list, so that you can go back.
      </p>
      {problem !== undefined && (
        <p role="alert" className="mt-3 font-semibold text-stop">
          {problem}
        </p>
      )}
      <div className="mt-4 flex flex-wrap justify-end gap-3">
        <button className="button min-h-11" onClick={onClose}>
          Cancel
        </button>
        <button
          className="button button-primary min-h-11"
          disabled={sent !== undefined}
          onClick={() => void restore()}
        >
          {sent === undefined
            ? 'Replace everything'
            : sent > 0 && sent < 1
              ? `${Math.floor(sent * 100)} % sent…`
              : 'Restoring…'}
        </button>
      </div>
    </Window>
  );
}

const size = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${Math.round(bytes / 1e6)} MB`;
