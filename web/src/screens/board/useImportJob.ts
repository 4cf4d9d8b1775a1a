import { routes } from '@kobran/contract';
import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { messageOf, upload } from '../../store/client.js';

/** Which job a file makes: tried again it makes no second one. */
const idsOfFiles = new Map<string, string>();

/** A job comes as its own file, or in a hand-over archive. */
const jobOf = async (file: File): Promise<File> =>
  /\.zip$/i.test(file.name) ? (await import('./jobInArchive.js')).jobInArchive(file) : file;

/** Sends a job file; how far it is and what came of it is said, and the job is shown: it stands at the end of the list, which may be far. */
export function useImportJob(onDone: (jobId: string) => void): (file: File) => void {
  const queries = useQueryClient();
  return (file) => {
    const key = `${file.name} ${file.size} ${file.lastModified}`;
    const id = idsOfFiles.get(key) ?? crypto.randomUUID();
    idsOfFiles.set(key, id);
    const said = toast.loading(`${file.name}: reading…`);
    const send = (job: File) =>
      upload(routes.importJob, { query: { id } }, job, (share) =>
        toast.loading(
          share < 1 ? `${file.name}: ${Math.floor(share * 100)} % read…` : `${file.name}: putting it in…`,
          { id: said },
        ),
      );
    jobOf(file)
      .then(send)
      .then(
        ({ id: jobId, name, runs }) => {
          idsOfFiles.delete(key);
          toast.success(`${name} is here, with ${runs.length} ${runs.length === 1 ? 'run' : 'runs'}`, {
            id: said,
          });
          void queries.invalidateQueries();
          onDone(jobId);
        },
        (error: unknown) =>
          toast.error(`${file.name}: ${messageOf(error)}`, { id: said, duration: 15_000, closeButton: true }),
      );
  };
}
