import { describe, expect, it } from 'vitest';
import { check, read, written } from './draft.js';
import { starts } from './starts.js';

const part = { ...starts.part.data };

describe('an own entry as it is being typed', () => {
  it('a new one lacks its name and source, and is drawn all the same', () => {
    const checked = check('part', part, undefined);
    expect(checked.entry).toBeUndefined();
    expect([...checked.problems.keys()].sort()).toEqual(['name', 'source']);
    expect(checked.sketch).toBeDefined();
  });

  it('named and sourced it is ready, its id made from its name', () => {
    const checked = check('part', { ...part, name: 'N plug, Größe 10', source: 'sheet' }, undefined);
    expect(checked.id).toBe('n-plug-gro-e-10');
    expect(checked.entry?.data.id).toBe(checked.id);
  });

  it('one which is kept keeps its id whatever it is called', () =>
    expect(check('part', { ...part, name: 'Other', source: 's' }, 'first').id).toBe('first'));

  it('a dimension which cannot be is said at its field and not drawn', () => {
    const checked = check('part', { ...part, name: 'x', source: 's', gripBoreMm: 3 }, undefined);
    expect(checked.problems.get('gripBoreMm')).toContain('3 mm');
    expect(checked.sketch).toBeUndefined();
  });

  it('what stands within another is read and written there', () => {
    const draft = written({ device: { lowHz: 1, kind: 'choke' } }, 'device.lowHz', 144e6);
    expect(draft).toEqual({ device: { lowHz: 144e6, kind: 'choke' } });
    expect(read(draft, 'device.lowHz')).toBe(144e6);
    expect(read({}, 'device.lowHz')).toBeUndefined();
  });

  it('a face of an adapter is read and written in its list', () => {
    const draft = written({ ...starts.adapter.data }, 'faces.1', 'sma-jack');
    expect(read(draft, 'faces.1')).toBe('sma-jack');
    expect(read(draft, 'faces.0')).toBe('n-plug');
    const spoilt = { ...written(draft, 'faces.0', 'zzz'), name: 'x', source: 's' };
    expect(check('adapter', spoilt, undefined).problems.has('faces.0')).toBe(true);
  });
});
