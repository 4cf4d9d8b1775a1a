import { faceInFull, faces, pieceName, stages } from '@kobran/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { use, useDeferredValue, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { routes } from '@kobran/contract';
import { call } from '../store/client.js';
import { boardKey } from '../store/queries.js';
import { RunContext } from '../store/RunContext.js';
import { useWords } from '../ui/Preferences.js';
import { ShopProvider, useCatalog } from '../store/Shop.js';
import { Finder, type FinderItem } from '../ui/Finder.js';
import { tools } from './tools.js';
import { useSettings } from './useSettings.js';

/** Runs among what is found. */
const MOST_RUNS = 30;

/** Something the palette finds: a place to go, or a thing to do. */
type Found = FinderItem & ({ to: string } | { act: () => void });

/** Ctrl K: find or do anything by typing. A script of its own: it knows the whole catalogue. */
export function Palette({
  typed,
  take,
  onType,
  onDone,
  meanwhile,
}: {
  typed: string;
  /** Enter was pressed before there was anything to find. */
  take: boolean;
  onType: (typed: string) => void;
  onDone: () => void;
  /** Until the catalogue is there. */
  meanwhile: ReactNode;
}): ReactNode {
  return (
    <ShopProvider meanwhile={meanwhile}>
      <Matches typed={typed} take={take} onType={onType} onDone={onDone} />
    </ShopProvider>
  );
}

function Matches({
  typed,
  take,
  onType,
  onDone,
}: {
  typed: string;
  take: boolean;
  onType: (typed: string) => void;
  onDone: () => void;
}): ReactNode {
  const navigate = useNavigate();
  const places = usePlaces();
  const runs = useRuns(useDeferredValue(typed.trim()));
  const [items] = useState(() => places);
  const all = [...items, ...runs];
  return (
    <Finder
      label="Runs, screens, pieces, connectors, cables, actions, settings"
      items={all}
      autoFocus
      begun={typed}
      take={take}
      onType={onType}
      onPick={(id) => {
        const found = all.find((item) => item.id === id);
        onDone();
        if (!found) return;
        if ('to' in found) void navigate(found.to);
        else found.act();
      }}
      height="max-h-80"
    />
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

/** Runs of all jobs which have what is typed. */
function useRuns(typed: string): Found[] {
  const { data } = useQuery({
    queryKey: boardKey({ search: typed, most: MOST_RUNS }),
    queryFn: () => call(routes.readBoard, { query: { search: typed, most: MOST_RUNS } }),
    placeholderData: keepPreviousData,
  });
  return (data?.rows ?? []).flatMap(({ job, run }) =>
    run?.summary
      ? [
          {
            id: `run ${run.id}`,
            label: run.summary.name,
            hint: job.name,
            // The server has found it by what is typed.
            words: typed,
            to: `/runs/${run.id}/plan`,
          },
        ]
      : [],
  );
}
