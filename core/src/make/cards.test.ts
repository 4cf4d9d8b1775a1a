import { describe, expect, it } from 'vitest';
import { catalog, entry, partOf, type Cable, type Part } from '../catalog/index.js';
import { fitCable } from '../fit/index.js';
import {
  cardFor,
  centreSchools,
  cutsFromEnd,
  lostOnFailureMm,
  markingSchools,
  recipes,
  stepBlocked,
  stripGauge,
  stripToolSettings,
  toolNames,
  unbraidingSchools,
  type Card,
  type CardOptions,
} from './index.js';

/** Every part on every cable it fits. */
const pairs = [...catalog.parts.values()].flatMap((part) =>
  [...catalog.cables.values()]
    .filter((cable) => fitCable(part, cable).verdict === 'fits')
    .map((cable) => ({ part, cable, name: `${part.id} on ${cable.id}` })),
);

/** Options under which a card’s steps differ. */
const variants: CardOptions[] = [
  {},
  { exposed: true, farEndMade: true, twoPersonCheck: true },
  ...centreSchools.map((centreSchool): CardOptions => ({
    schools: { centreSchool, marking: 'ruler', unbraiding: 'pick' },
  })),
  ...unbraidingSchools.map((unbraiding): CardOptions => ({
    schools: { centreSchool: 'crimp', marking: 'tool', unbraiding },
  })),
  { work: 're-end' },
];

const allCards = pairs.flatMap(({ part, cable, name }) =>
  variants.flatMap((options): [Card, string][] => {
    const card = cardFor(part, cable, 'metric', options);
    return card ? [[card, `${name} ${JSON.stringify(options)}`]] : [];
  }),
);

function eachCard(check: (card: Card, name: string) => void): void {
  expect(allCards.length).toBeGreaterThan(2000);
  for (const [one, name] of allCards) check(one, name);
}

/** Where a law is broken, of all cards; one assertion for thousands of steps. */
const breaches = (found: (card: Card) => string[]): string[] =>
  allCards.flatMap(([one, name]) => found(one).map((what) => `${name}: ${what}`));

const card = (part: string, cable: string, options?: CardOptions): Card => {
  const made = cardFor(entry(catalog.parts, part), entry(catalog.cables, cable), 'metric', options);
  if (!made) throw new Error(`no card for ${part}`);
  return made;
};
const titles = ({ steps }: Card): string[] => steps.map(({ title }) => title);

describe('there is a recipe for every family', () => {
  // The families of the trade, common practice: each has a recipe of its own, made on this part and cable.
  it.each([
    ['crimp-uhf', 'uhf-plug-crimp-10mm', 'rg213'],
    ['solder-uhf', 'uhf-plug-solder-10mm', 'rg213'],
    ['screw-on-uhf', 'uhf-plug-screw-on-10mm', 'rg213'],
    ['reducer-uhf', 'uhf-plug-reducer-5mm', 'rg58'],
    ['washers-uhf', 'uhf-plug-washers-5mm', 'rg58'],
    ['gland-uhf', 'uhf-plug-gland-10mm', 'rg213'],
    ['gland-n', 'n-plug-gland-10mm', 'rg213'],
    ['gland-bnc', 'bnc-plug-gland-5mm', 'rg58'],
    ['crimp-bnc', 'bnc-plug-crimp-5mm', 'rg58'],
    ['crimp-bnc', 'tnc-plug-crimp-5mm', 'rg58'],
    ['crimp-bnc', 'n-plug-crimp-10mm', 'rg213'],
    ['slot-bnc', 'bnc-plug-side-entry-25mm', 'rg316'],
    ['right-angle', 'bnc-plug-right-angle-25mm', 'rg316'],
    ['crimp-sma', 'sma-plug-crimp-25mm', 'rg316'],
    ['compression-f', 'f-plug-compression-7mm75', 'rg6'],
    ['piercing-uhf', 'uhf-plug-piercing-10mm', 'rg213'],
    ['bulkhead-jack', 'uhf-jack-bulkhead-10mm', 'rg213'],
    ['dipole-pigtail', 'pair-plug-pigtail-10mm', 'rg213'],
  ])('%s: %s on %s', (recipe, part, cable) => expect(card(part, cable).recipe).toBe(recipe));

  it('every part on every cable it fits has one, and a corrugated tube its own', () => {
    for (const { part, cable, name } of pairs)
      expect(cardFor(part, cable, 'metric')?.recipe === 'corrugated-clamp', name).toBe(
        cable.shieldKind === 'tube',
      );
  });

  it('no part is claimed by two recipes, and none of the recipes lies idle', () => {
    const used = new Set<string>();
    const cable = entry(catalog.cables, 'rg213');
    for (const part of catalog.parts.values()) {
      const makers = recipes.filter(({ makes }) => makes(part, cable));
      expect(makers.length, part.id).toBe(1);
      used.add(makers[0].id);
    }
    expect(used).toEqual(new Set(recipes.map(({ id }) => id)));
  });
});

describe('laws of every card, over all recipes, cables that fit and schools', () => {
  it('each part of the train goes on exactly once, in sliding order', () => {
    eachCard(({ steps, train }, name) =>
      expect(
        steps.flatMap(({ places }) => places ?? []).map(({ id }) => id),
        name,
      ).toEqual(train.map(({ id }) => id)),
    );
  });

  it('nothing irreversible stands before its checks', () => {
    eachCard(({ steps, pointOfNoReturn }, name) => {
      expect(pointOfNoReturn, name).toBeGreaterThan(0);
      const before = steps.slice(0, pointOfNoReturn);
      const after = steps.slice(pointOfNoReturn);
      expect(before[before.length - 1].reading ?? before.at(-2)?.reading, name).toBe('short check');
      expect(after.filter(({ reading }) => reading === 'insulation').length, name).toBe(1);
      expect(after.filter(({ reading }) => reading === 'continuity' || reading === 'loop').length, name).toBe(
        1,
      );
      // What slides on first is on before anything is closed.
      const slid = steps.findIndex(({ id }) => id === 'slide');
      expect(slid, name).toBeLessThan(pointOfNoReturn);
    });
  });

  it('the order of the general card never changes', () => {
    const order = [
      'parts',
      'slide',
      'cut',
      'mark',
      'jacket',
      'strands',
      'short1',
      'tug',
      'prove',
      'through',
      'sign',
    ];
    eachCard(({ steps }, name) => {
      const at = order.map((id) => steps.findIndex((step) => step.id === id)).filter((k) => k >= 0);
      expect(at, name).toEqual(at.toSorted((x, y) => x - y));
      expect(steps[steps.length - 1].id, name).toBe('sign');
      expect(new Set(steps.map(({ id }) => id)).size, name).toBe(steps.length);
    });
  });

  it('every step says what to do, what right looks and feels like, and what wrong causes', () => {
    expect(
      breaches(({ steps }) =>
        steps
          .filter(
            ({ id, title, how, byTouch, looksRight, feelsRight, goesWrong }) =>
              [title, how, byTouch].some((text) => text.length <= 8) ||
              looksRight.length === 0 ||
              feelsRight.length === 0 ||
              (goesWrong.length === 0 && id !== 'sign'),
          )
          .map(({ id }) => id),
      ),
    ).toEqual([]);
  });

  it('the touch words need no eyes', () => {
    const eyes = /\b(look|see|seen|bright|shows|colour|watch|visible|dark)\b/i;
    // The part as gauge is said in the same words for everybody.
    expect(
      breaches(({ steps, gauge }) =>
        steps
          .flatMap(({ byTouch, feelsRight }) => [byTouch.replace(gauge.partAsGauge, ''), ...feelsRight])
          .filter((text) => eyes.test(text)),
      ),
    ).toEqual([]);
  });

  it('a step with a blade, an iron, hot air or a ratchet carries its caution', () => {
    eachCard(({ steps }, name) => {
      for (const { timerS, id, caution, irreversible } of steps)
        if (timerS !== undefined || ['cut', 'jacket', 'centre', 'crimp'].includes(id))
          expect(caution, `${name}: ${id}${irreversible ? '!' : ''}`).toBeTruthy();
    });
  });

  it('asks only for tools that have a name, the die of its own ferrule among them', () => {
    eachCard(({ tools, part }, name) => {
      for (const { tool } of tools) expect(toolNames[tool], name).toBeTruthy();
      const dies = tools.filter(({ tool }) => tool === 'crimper').map(({ hexMm }) => hexMm);
      expect(dies[0] ?? null, name).toBe(part.hexMm);
      // A ferrule of two diameters takes two dies.
      expect(dies.length, name).toBe(part.hexMm === null ? 0 : part.style === 'side-entry' ? 2 : 1);
      if (tools.some(({ tool }) => tool === 'pin-crimper') && !part.face.startsWith('uhf'))
        expect(tools.find(({ tool }) => tool === 'pin-crimper')?.hexMm, name).toBeGreaterThan(
          part.pins[0].boreMm,
        );
      expect(
        tools.some(({ tool }) => tool === 'meter'),
        name,
      ).toBe(true);
    });
  });

  it('a card never speaks of a part the bag has not', () => {
    eachCard(({ steps, train }, name) => {
      for (const item of ['pin', 'hat', 'cap', 'rear', 'front'])
        if (steps.some(({ id }) => id === item))
          expect(
            train.some(({ id }) => id === item),
            `${name}: ${item}`,
          ).toBe(true);
    });
  });

  it('a failure costs more cable the later it comes', () => {
    eachCard((one, name) => {
      const costs = one.steps.map((_, k) => lostOnFailureMm(one, k));
      expect(costs, name).toEqual(costs.toSorted((x, y) => x - y));
      expect(costs[0], name).toBe(0);
      expect(costs[costs.length - 1], name).toBeGreaterThan(0);
    });
  });
});

describe('strip tool and ruler say the same as the gauge', () => {
  it('blades stand at the edges of the gauge and spare what lies under them', () => {
    for (const { part, cable, name } of pairs) {
      const gauge = stripGauge(part, cable);
      const blades = stripToolSettings(gauge, cable);
      expect(blades.length, name).toBe(gauge.stretches.length);
      expect(blades.at(-1)?.atMm ?? 0, name).toBeCloseTo(gauge.jacketCutMm, 9);
      expect(
        cutsFromEnd(gauge).map(({ atMm }) => atMm),
        name,
      ).toEqual(blades.map(({ atMm }) => atMm));
      for (const [k, { leavesMm, cutsInto }] of blades.entries()) {
        // A blade that would touch copper is set wrong.
        expect(leavesMm, name).toBeGreaterThan(k === 0 ? cable.centreMm : cable.dielectricMm);
        if (cutsInto === 'jacket') expect(leavesMm, name).toBeLessThan(cable.jacketMm + 0.5);
      }
    }
  });

  it('names each cut once, the jacket last', () => {
    const { gauge } = card('uhf-plug-crimp-10mm', 'rg213');
    expect(cutsFromEnd(gauge).map(({ layer }) => layer)).toEqual(['dielectric', 'braid', 'jacket']);
    expect(
      cutsFromEnd(stripGauge(part('uhf-plug-screw-on-10mm'), cable('rg213'))).map(({ layer }) => layer),
    ).toEqual(['dielectric', 'jacket']);
  });
});

const part = (id: string): Part => entry(catalog.parts, id);
const cable = (id: string): Cable => entry(catalog.cables, id);

// Handbook practice, no source: good people differ; each school is a card of its own.
describe('schools change the card', () => {
  const withSchools = (schools: Partial<NonNullable<CardOptions['schools']>>): Card =>
    card('bnc-plug-crimp-5mm', 'rg58', {
      schools: { centreSchool: 'crimp', marking: 'ruler', unbraiding: 'brush', ...schools },
    });

  it('a crimped pin needs no iron, a soldered one no pin crimper', () => {
    const tools = (schools: Parameters<typeof withSchools>[0]): string[] =>
      withSchools(schools).tools.map(({ tool }) => tool);
    expect(tools({ centreSchool: 'crimp' })).not.toContain('fine-iron');
    expect(tools({ centreSchool: 'solder' })).not.toContain('pin-crimper');
    // Both together are for open UHF tips; a captive pin is crimped or soldered as its sheet says (handbook of the trade).
    expect(tools({ centreSchool: 'crimp and solder' })).not.toContain('fine-iron');
    const both = {
      schools: { centreSchool: 'crimp and solder', marking: 'ruler', unbraiding: 'brush' },
    } as const;
    const tip = card('uhf-plug-crimp-10mm', 'rg213', both).tools.map(({ tool }) => tool);
    expect(tip).toEqual(expect.arrayContaining(['fine-iron', 'pin-crimper']));
    const gland = card('n-plug-gland-10mm', 'rg213', both).tools.map(({ tool }) => tool);
    expect(gland).toContain('fine-iron');
    expect(gland).not.toContain('pin-crimper');
    const pin = withSchools({ centreSchool: 'crimp' }).steps.find(({ id }) => id === 'pin');
    expect(pin?.timerS).toBeUndefined();
    expect(pin?.caution).not.toContain('iron');
  });

  it.each(markingSchools)('marks by %s, and says why', (marking) => {
    const step = withSchools({ marking }).steps.find(({ id }) => id === 'mark');
    expect(step?.how).toMatch({ ruler: /from the cut end/, part: /^Lay/, tool: /Blade at/ }[marking]);
    expect(step?.school).toMatch(/^Our practice: .+\. .+\.$/);
  });

  it('the neck is pushed under an unopened braid only where there is a neck', () => {
    const braid = (id: string, on: string): string =>
      card(id, on, {
        schools: { centreSchool: 'crimp', marking: 'ruler', unbraiding: 'push under' },
      }).steps.find(({ id: step }) => step === 'braid' || step === 'fold')?.how ?? '';
    expect(braid('bnc-plug-crimp-5mm', 'rg58')).toContain('Leave it woven');
    expect(braid('uhf-plug-screw-on-10mm', 'rg213')).toContain('brush');
    expect(braid('n-plug-gland-10mm', 'rg213')).toContain('brush');
  });

  it('outdoors the shrink is adhesive-lined; indoors it is only strain relief', () => {
    const shrink = (exposed: boolean): string | undefined =>
      card('bnc-plug-crimp-5mm', 'rg58', { exposed }).steps.find(({ id }) => id === 'shrink')?.title;
    expect(shrink(true)).toContain('Adhesive-lined');
    expect(shrink(false)).not.toContain('dhesive');
  });

  it('a choke is spoken of at a dipole, not at a panel', () => {
    const words = (id: string): string =>
      card(id, 'rg213')
        .steps.map(({ how }) => how)
        .join(' ');
    expect(words('pair-plug-pigtail-10mm')).toContain('choke');
    expect(words('uhf-jack-bulkhead-10mm')).not.toMatch(/choke|dipole/);
  });

  it('both conductors are measured at once when the far end is made', () => {
    const reading = (farEndMade: boolean): string | undefined =>
      card('bnc-plug-crimp-5mm', 'rg58', { farEndMade }).steps.find(({ id }) => id === 'through')?.reading;
    expect([reading(false), reading(true)]).toEqual(['continuity', 'loop']);
    // An end that is made again: nobody climbs to the far end for a bare conductor that is not there.
    const again = card('bnc-plug-crimp-5mm', 'rg58', { work: 're-end', farEndMade: false });
    expect(again.steps.find(({ id }) => id === 'through')?.reading).toBe('loop');
  });

  it('two-person check: a step before the sign-off, and only then', () => {
    const names = (twoPersonCheck: boolean): string[] =>
      card('bnc-plug-crimp-5mm', 'rg58', { twoPersonCheck }).steps.map(({ id }) => id);
    expect(names(true).slice(-2)).toEqual(['second', 'sign']);
    expect(names(false)).not.toContain('second');
  });

  it('a captive nut neither slides on first nor is screwed down last', () => {
    for (const id of ['uhf-plug-piercing-10mm', 'uhf-plug-crimp-10mm']) {
      const { train: _, referencePlane: __, ...dimensions } = part(id);
      const captive = cardFor(partOf({ ...dimensions, captiveNut: true }), cable('rg213'), 'metric');
      const placed = captive?.steps.flatMap(({ places = [] }) => places.map(({ id: item }) => item));
      expect(placed).not.toContain('nut');
      expect(captive?.steps.at(-2)?.title).not.toContain('Nut down');
      expect(
        card(id, 'rg213')
          .steps.flatMap(({ places = [] }) => places)
          .map(({ id: item }) => item),
      ).toContain('nut');
    }
  });

  it('speaks the units of the shop', () => {
    const inches = cardFor(part('uhf-plug-crimp-10mm'), cable('rg213'), 'imperial');
    expect(inches && titles(inches)).toContain('Take the jacket off, about 1 23/32 in back from the cut');
  });
});

// Common practice, no source: none of seven strands may be missing; of nineteen one may.
it('a lost strand is a count where there are few', () => {
  const lost = (on: string): string =>
    card('n-plug-crimp-10mm', on)
      .steps.find(({ id }) => id === 'strands')
      ?.goesWrong.join() ?? '';
  expect(lost('rg213')).toContain('of 7 none may be missing');
  expect(
    card('n-plug-crimp-5mm', 'rg58')
      .steps.find(({ id }) => id === 'strands')
      ?.goesWrong.join(),
  ).toContain('one in twenty');
});

// Handbook of the trade, 3: dielectric and foil flush with the hat; insulators face each other on the pin's collar.
describe('gland parts', () => {
  it.each([
    ['uhf-plug-gland-10mm', 'rg213', 0],
    ['n-plug-gland-10mm', 'rg213', 4],
    ['bnc-plug-gland-5mm', 'rg58', 3],
  ])('%s has one chain of lengths, in the gauge and in every step', (id, on, rearMm) => {
    const { steps, gauge } = card(id, on);
    expect(gauge.stretches.map(({ layer }) => layer)).toEqual(['centre', 'braid']);
    expect(gauge.stretches[0].lengthMm).toBe(gauge.fit.pin.depthMm + rearMm + (rearMm === 0 ? 2 : 0));
    const text = (step: string): string => {
      const found = steps.find((one) => one.id === step);
      return `${found?.title} ${found?.how}`;
    };
    expect(text('hat')).toContain('Foil and dielectric end flush with the rim');
    expect(text('centre')).toContain('flush with the rim of the hat');
    expect(text('centre')).not.toMatch(/Leave \d/);
    if (rearMm > 0) {
      expect(text('rear')).toContain(`takes ${rearMm} mm of the conductor`);
      expect(text('pin')).toContain('hard against the rear insulator');
    }
  });

  it('a pin that is not home never costs the dielectric', () => {
    eachCard(({ steps }, name) => {
      for (const { how } of steps) expect(how, name).not.toMatch(/off the dielectric/);
    });
    const pin = card('n-plug-gland-10mm', 'rg213').steps.find(({ id }) => id === 'pin');
    expect(pin?.how).toContain('shorten the conductor');
    expect(pin?.goesWrong.join()).toContain('crushed oval');
  });
});

describe('work on an end which exists', () => {
  it('re-ending begins off the air, cuts back, looks for bright dry copper, and is then the new end’s card', () => {
    const fresh = card('n-plug-gland-10mm', 'rg213', { farEndMade: true });
    const again = card('n-plug-gland-10mm', 'rg213', { work: 're-end' });
    expect(again.steps.slice(0, 3).map(({ id }) => id)).toEqual(['off-air', 'cut-back', 'bright']);
    expect(titles(again).slice(3)).toEqual(titles(fresh));
    expect(again.minutes).toBeGreaterThan(fresh.minutes);
  });

  it('adhesive shrink and strain relief: nothing irreversible is without its count, and the end is measured after it', () => {
    const { steps } = card('n-plug-crimp-10mm', 'rg213', { work: 'shrink' });
    expect(steps.filter(({ timerS }) => timerS).length).toBe(2);
    expect(steps[steps.length - 1].reading).toBe('insulation');
    expect(card('n-plug-crimp-10mm', 'rg213', { work: 'shrink' }).tools).toContainEqual({ tool: 'hot-air' });
  });
});

describe('a step lets go on only when it may', () => {
  const { steps } = card('bnc-plug-crimp-5mm', 'rg58', { twoPersonCheck: true });
  const named = (id: string) => {
    const step = steps.find((one) => one.id === id);
    if (!step) throw new Error(`no step ${id}`);
    return step;
  };

  it('asks for every part on the cable', () => {
    const slide = named('slide');
    expect(stepBlocked(slide, { confirmed: ['ferrule'] })).toBe('Confirm first: shrink tube.');
    expect(stepBlocked(slide, { confirmed: ['ferrule', 'shrink'] })).toBeUndefined();
  });

  it('asks for the reading, and refuses a bad one', () => {
    const check = named('short1');
    expect(stepBlocked(check, { confirmed: [] })).toContain('reading');
    expect(stepBlocked(check, { confirmed: [], readingOk: false })).toContain('mend');
    expect(stepBlocked(check, { confirmed: [], readingOk: true })).toBeUndefined();
  });

  it('a second check is somebody else’s, whatever the spelling', () => {
    const blocked = (maker: string, checker: string) =>
      stepBlocked(named('second'), { confirmed: [], maker, checker });
    expect(blocked('', 'Joss')).toContain('made');
    expect(blocked('Wenna', ' ')).toContain('checked');
    expect(blocked('Wenna', ' wenna ')).toContain('another');
    expect(blocked('Wenna', 'Joss')).toBeUndefined();
  });

  it('nobody signs without a name', () => {
    expect(stepBlocked(named('sign'), { confirmed: [], maker: ' ' })).toContain('who made');
    expect(stepBlocked(named('sign'), { confirmed: [], maker: 'Wenna' })).toBeUndefined();
  });
});
