/** What stands beside jobs and runs, wherever it is offered: in the menu, by Ctrl K. */
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
  { to: '/device', label: 'This device', hint: 'what works here without a network, and what waits' },
  { to: '/crew', label: 'Crew and sign-in', hint: 'who comes in with a phone, and which customers look' },
  { to: '/calibrate', label: 'Life-size', hint: 'calibrate this screen against a card' },
];
