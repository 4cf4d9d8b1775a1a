import { faceInFull, faces, stages } from '@kobran/core';
import { useQueries } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useLocation, useNavigate } from 'react-router';
import { routes } from '@kobran/contract';
import { call } from '../store/client.js';
import { useJobs } from '../store/queries.js';
import { usePreferences } from '../ui/Preferences.js';
import { useCatalog } from '../store/Shop.js';
import { Finder, type FinderItem } from '../ui/Finder.js';
import { Window } from '../ui/Window.js';

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
  { to: '/ends', label: 'What ends teach', hint: 'failures and causes, by part and person' },
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
      {open && <Found onDone={() => onOpenChange(false)} />}
    </Window>
  );
}

function Found({ onDone }: { onDone: () => void }): ReactNode {
  const navigate = useNavigate();
  const places = usePlaces();
  const runs = useRuns();
  const [items] = useState(() => places);
  const all = [...items, ...runs];
  return (
    <div className="mt-2">
      <Finder
        label="Runs, screens, connectors, cables, actions"
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

/** Screens, stages of the open run, faces and cables, and what can be switched. */
function usePlaces(): Found[] {
  const { units, theme, set } = usePreferences();
  const { cables, parts, adapters } = useCatalog();
  const runPath = /^\/runs\/[^/]+/.exec(useLocation().pathname)?.[0];
  return [
    ...(runPath === undefined
      ? []
      : [
          ...stages.map(({ id, name }): Found => ({
            id: `stage ${id}`,
            label: name,
            hint: 'stage of this run',
            to: `${runPath}/${id}`,
          })),
          { id: 'match', label: 'Match and choke', hint: 'of this run', to: `${runPath}/match` },
          { id: 'cables', label: 'Compare cables', hint: 'of this run', to: `${runPath}/cables` },
        ]),
    ...tools.map(({ to, label, hint }): Found => ({ id: `tool ${to}`, label, hint, to })),
    {
      id: 'units',
      label: units === 'metric' ? 'Feet and inches' : 'Metres and millimetres',
      hint: 'units',
      act: () => set({ units: units === 'metric' ? 'imperial' : 'metric' }),
    },
    {
      id: 'theme',
      label: theme === 'light' ? 'Dark' : 'Light',
      hint: 'light of the screen',
      act: () => set({ theme: theme === 'light' ? 'dark' : 'light' }),
    },
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
