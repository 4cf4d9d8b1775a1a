import { faceInFull, faces, pieceName, stages } from '@kobran/core';
import { useQueries } from '@tanstack/react-query';
import { use, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { routes } from '@kobran/contract';
import { call } from '../store/client.js';
import { useJobs } from '../store/queries.js';
import { RunContext } from '../store/RunContext.js';
import { useWords } from '../ui/Preferences.js';
import { useCatalog } from '../store/Shop.js';
import { Finder, type FinderItem } from '../ui/Finder.js';
import { Window } from '../ui/Window.js';
import { useSettings } from './useSettings.js';

/** Something the palette finds: a place to go, or a thing to do. */
type Found = FinderItem & ({ to: string } | { act: () => void });

export const tools: { to: string; label: string; hint: string }[] = [
  { to: '/', label: 'Board', hint: 'jobs and runs' },
  { to: '/catalog', label: 'Catalogue', hint: 'connectors, cables, parts, adapters' },
  { to: '/identify', label: 'Identify', hint: 'what am I holding?' },
  { to: '/quick/length', label: 'Quick length', hint: 'frequency, fraction, cable: the length to cut' },
  { to: '/quick/cable', label: 'What cable is this?', hint: 'by caliper, or an open and a shorted sweep' },
  {
    to: '/quick/loss',
    label: 'Where is the loss?',
    hint: 'copper, water or a joint, from two power readings',
  },
  { to: '/kit', label: 'Kit', hint: 'what belongs in the bag' },
  { to: '/instruments', label: 'Instruments', hint: 'the simulated bench; connect a real one' },
  { to: '/train', label: 'Trainer', hint: 'ten-minute drills' },
  { to: '/practice', label: 'Practice', hint: 'how our shop works: methods, tools, crew' },
  { to: '/ends', label: 'Ends made and failed', hint: 'failures and causes, by part and person' },
  { to: '/backups', label: 'Backups', hint: 'back up, restore, and what was deleted' },
  { to: '/calibrate', label: 'Life-size', hint: 'calibrate this screen against a card' },
];

/** Ctrl K: find or do anything by typing. */
export function Palette({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}): ReactNode {
  useHotkeys('mod+k', () => onOpenChange(!open), { preventDefault: true, enableOnFormTags: true });
  return (
    <Window title="Find or do" open={open} onOpenChange={onOpenChange}>
      {open && <Matches onDone={() => onOpenChange(false)} />}
    </Window>
  );
}

function Matches({ onDone }: { onDone: () => void }): ReactNode {
  const navigate = useNavigate();
  const places = usePlaces();
  const runs = useRuns();
  const [items] = useState(() => places);
  const all = [...items, ...runs];
  return (
    <div className="mt-2">
      <Finder
        label="Runs, screens, pieces, connectors, cables, actions, settings"
        items={all}
        autoFocus
        onPick={(id) => {
          const found = all.find((item) => item.id === id);
          onDone();
          if (!found) return;
          if ('to' in found) void navigate(found.to);
          else found.act();
        }}
        height="max-h-80"
      />
    </div>
  );
}

/** Stages, screens and pieces of the open run. */
function useRunPlaces(): Found[] {
  const run = use(RunContext);
  const catalog = useCatalog();
  const words = useWords();
  if (!run) return [];
  const path = `/runs/${run.id}`;
  return [
    ...stages.map(({ id, name }): Found => ({
      id: `stage ${id}`,
      label: words(name),
      hint: 'stage of this run',
      to: `${path}/${id}`,
    })),
    { id: 'match', label: 'Match and choke', hint: 'of this run', to: `${path}/match` },
    { id: 'cables', label: 'Compare cables', hint: 'of this run', to: `${path}/cables` },
    {
      id: 'rehearse',
      label: 'Rehearse this run',
      hint: 'find a hidden fault',
      to: `${path}/rehearse`,
    },
    ...run.editor.design.pieces.map((piece): Found => ({
      id: `piece ${piece.id}`,
      label: pieceName(piece, catalog),
      hint: 'piece of this run',
      to: `${path}/plan?at=${piece.id}`,
    })),
    { id: 'new run', label: 'New run', hint: 'in the same job', to: `/jobs/${run.jobId}/new` },
    ...(run.editor.undo ? [{ id: 'undo', label: 'Undo', hint: 'Ctrl Z', act: run.editor.undo }] : []),
    ...(run.editor.redo ? [{ id: 'redo', label: 'Redo', hint: 'Ctrl Shift Z', act: run.editor.redo }] : []),
  ];
}

/** Screens, faces and cables, and what can be switched; of the open run first. */
function usePlaces(): Found[] {
  const { cables, parts, adapters } = useCatalog();
  return [
    ...useRunPlaces(),
    ...tools.map(({ to, label, hint }): Found => ({ id: `tool ${to}`, label, hint, to })),
    ...useSettings().map(({ id, ...rest }): Found => ({ id: `setting ${id}`, ...rest })),
    ...[...faces].map(([code, face]): Found => ({
      id: `face ${code}`,
      label: faceInFull(face),
      hint: 'connector',
      to: `/catalog/face/${code}`,
    })),
    ...[...cables.values()].map(({ id, name, aliases = '' }): Found => ({
      id: `cable ${id}`,
      label: name,
      hint: 'cable',
      words: aliases,
      to: `/catalog/cable/${id}`,
    })),
    ...[...parts.values()].map(({ id, name }): Found => ({
      id: `part ${id}`,
      label: name,
      hint: 'part',
      to: `/catalog/part/${id}`,
    })),
    ...[...adapters.values()].map(({ id, name }): Found => ({
      id: `adapter ${id}`,
      label: name,
      hint: 'adapter',
      to: `/catalog/adapter/${id}`,
    })),
  ];
}

/** Runs of all jobs by name. */
function useRuns(): Found[] {
  const { data: jobs = [] } = useJobs();
  const documents = useQueries({
    queries: jobs.map(({ id }) => ({
      queryKey: ['job', id],
      queryFn: () => call(routes.readJob, { id }),
    })),
  });
  return documents.flatMap(({ data }) =>
    data
      ? data.runs.map(({ id, design }): Found => ({
          id: `run ${id}`,
          label: design.name,
          hint: data.name,
          to: `/runs/${id}/plan`,
        }))
      : [],
  );
}
