import { catalog } from '@kobran/core';
import { describe, expect, it } from 'vitest';
import { aRun } from '../../../core/src/run/aRun.fixture.js';
import { Drafts } from './drafts.js';
import { readDesignDraft } from './readDesignDraft.js';
import { FakeBrowser } from './fakes.fixture.js';
import { ASIDE, draftKey } from './kept/keys.js';

const RUN = 'run';
const read = (value: unknown) => readDesignDraft(value, catalog);
const draft = (name: string) => ({ version: 2, document: { ...aRun(), name } });

function browser() {
  const own = new FakeBrowser();
  const warnings: string[] = [];
  return {
    keeper: own.keeper,
    warnings,
    close: (id: string) => own.close(id),
    tab: (id: string) => new Drafts(own.keeper, own.open(id), (message) => warnings.push(message)),
  };
}

describe('unsaved edits on this device', () => {
  it('are found by their tab, and gone once the server has them', async () => {
    const { tab } = browser();
    const drafts = tab('one');
    drafts.keep(RUN, draft('mine'));
    expect((await drafts.find(RUN, read))?.document.name).toBe('mine');
    drafts.keep(RUN, undefined);
    expect(await drafts.find(RUN, read)).toBeUndefined();
  });

  it('two open tabs keep theirs apart', async () => {
    const { tab } = browser();
    const [one, two] = [tab('one'), tab('two')];
    one.keep(RUN, draft('of one'));
    two.keep(RUN, draft('of two'));
    expect((await one.find(RUN, read))?.document.name).toBe('of one');
    expect((await two.find(RUN, read))?.document.name).toBe('of two');
  });

  it('what a closed tab left behind is taken up by the next one, once', async () => {
    const { tab, close } = browser();
    tab('one').keep(RUN, draft('left behind'));
    close('one');
    expect((await tab('two').find(RUN, read))?.document.name).toBe('left behind');
    expect(await tab('three').find(RUN, read)).toBeUndefined();
  });

  it('one which an older Kobran kept is read too', async () => {
    const { tab, keeper } = browser();
    await keeper.put(draftKey(RUN, 'one'), { version: 2, design: { ...aRun(), name: 'of before' } });
    expect((await tab('one').find(RUN, read))?.document.name).toBe('of before');
  });

  it.each([
    ['a truncated write', 'half a te'],
    ['no version', { document: aRun() }],
    ['a design the rules refuse', { version: 1, document: { ...aRun(), legs: 'long' } }],
    ['a cable nobody knows', { version: 1, document: { ...aRun(), pieces: [{ kind: 'assembly' }] } }],
  ])('%s is set aside with a message, not thrown away and not shown', async (_, spoilt) => {
    const { tab, keeper, warnings } = browser();
    await keeper.put(draftKey(RUN, 'one'), spoilt);
    expect(await tab('one').find(RUN, read)).toBeUndefined();
    const aside = await keeper.entries(ASIDE);
    expect(aside.map(([, entry]) => (entry as { value: unknown }).value)).toEqual([spoilt]);
    expect(warnings.join()).toContain('cannot be read');
  });
});
