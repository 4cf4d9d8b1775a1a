import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect, createServer } from 'node:tls';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { afterAll, describe, expect, it } from 'vitest';
import { fingerprintOf, keptCertificate } from './certificate.js';
import { addressOf, isNameOf, readDoor } from './doorConfig.js';

const folder = mkdtempSync(join(tmpdir(), 'kobran-door-'));
afterAll(() => rmSync(folder, { recursive: true }));
const door = (env: NodeJS.ProcessEnv) => readDoor(env, folder);

describe('the door of the crew, from the environment', () => {
  it('is shut unless somebody says where', () => expect(door({})).toBeUndefined());

  it('is encrypted everywhere but on this machine behind a proxy', () => {
    expect(door({ KOBRAN_LISTEN: '192.0.2.5' })).toMatchObject({ port: 4781, encryption: { kind: 'made' } });
    expect(door({ KOBRAN_LISTEN: '127.0.0.1:8080' })?.encryption.kind).toBe('made');
    const proxy = { KOBRAN_PROXY: 'https://kobran.example' };
    expect(door({ KOBRAN_LISTEN: '127.0.0.1:8080', ...proxy })?.encryption.kind).toBe('proxy');
    expect(door({ KOBRAN_LISTEN: '192.0.2.5', ...proxy })?.encryption.kind).toBe('made');
    expect(door({ KOBRAN_LISTEN: '0.0.0.0', ...proxy })?.encryption.kind).toBe('made');
  });

  it('takes certificate files, IPv6 and further names', () => {
    const [cert, key] = ['cert.pem', 'key.pem'].map((name) => join(folder, name));
    writeFileSync(cert, 'C');
    writeFileSync(key, 'K');
    const read = door({
      KOBRAN_LISTEN: '[2001:db8::5]:443',
      KOBRAN_CERT: cert,
      KOBRAN_KEY: key,
      KOBRAN_NAMES: 'Hut.example',
    });
    expect(read).toMatchObject({ address: '2001:db8::5', port: 443, encryption: { kind: 'files' } });
    expect(read?.names.slice(0, 2)).toEqual(['hut.example', '2001:db8::5']);
  });

  it.each([
    [{ KOBRAN_LISTEN: 'everywhere' }, 'KOBRAN_LISTEN'],
    [{ KOBRAN_LISTEN: '192.0.2.5:99999' }, 'KOBRAN_LISTEN'],
    [{ KOBRAN_LISTEN: '192.0.2.5', KOBRAN_CERT: '/nowhere' }, 'KOBRAN_KEY'],
    [{ KOBRAN_LISTEN: '192.0.2.5', KOBRAN_CERT: '/nowhere', KOBRAN_KEY: '/nowhere' }, '/nowhere'],
    [{ KOBRAN_LISTEN: '127.0.0.1', KOBRAN_PROXY: 'http://kobran.example' }, 'KOBRAN_PROXY'],
    [{ KOBRAN_LISTEN: '127.0.0.1', KOBRAN_PROXY: 'kobran.example' }, 'KOBRAN_PROXY'],
    [{ KOBRAN_PROXY: 'https://kobran.example' }, 'KOBRAN_LISTEN'],
  ])('%o is refused with what to mend', (env, said) => expect(() => door(env)).toThrow(said));

  it('knows its names, and links lead to the one the crew writes', () => {
    const read = door({ KOBRAN_LISTEN: '192.0.2.5', KOBRAN_NAMES: 'hut.example' });
    if (!read) throw new Error('shut');
    for (const host of ['hut.example:4781', 'HUT.example', '192.0.2.5:4781'])
      expect(isNameOf(read, host)).toBe(true);
    for (const host of ['elsewhere.example', 'hut.example.elsewhere.example', '192.0.2.6', ''])
      expect(isNameOf(read, host)).toBe(false);
    expect(addressOf(read, 4781)).toBe('https://hut.example:4781');
    expect(addressOf({ ...read, proxy: 'https://kobran.example' }, 4781)).toBe('https://kobran.example');
    expect(addressOf({ ...read, names: ['2001:db8::5'] }, 443)).toBe('https://[2001:db8::5]:443');
  });
});

describe('the certificate which Kobran makes', () => {
  const names = ['hut.example', '192.0.2.5', '2001:db8::5'];

  // RFC 6125 and RFC 5280, 4.2.1.6, as Node.js checks them.
  it('is good for every name, for less than the 825 days which phones believe, and for nobody else to read', async () => {
    const at = join(folder, 'made');
    const { cert } = await keptCertificate(at, names);
    const read = new X509Certificate(cert);
    expect(read.checkHost('hut.example')).toBe('hut.example');
    expect(read.checkIP('192.0.2.5')).toBe('192.0.2.5');
    expect(read.checkIP('2001:db8::5')).toBe('2001:db8::5');
    expect(read.checkHost('elsewhere.example')).toBeUndefined();
    const days = (Date.parse(read.validTo) - Date.parse(read.validFrom)) / 86_400_000;
    expect(days).toBeGreaterThan(365);
    expect(days).toBeLessThan(825);
    expect(statSync(join(at, 'certificate.json')).mode & 0o777).toBe(0o600);
    expect(statSync(at).mode & 0o777).toBe(0o700);
  });

  it('stays, so that its fingerprint does; and is made anew when a name is missing or it is about to end', async () => {
    const at = join(folder, 'stays');
    const first = fingerprintOf((await keptCertificate(at, names)).cert);
    expect(first).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
    expect(fingerprintOf((await keptCertificate(at, names)).cert)).toBe(first);
    const more = fingerprintOf((await keptCertificate(at, [...names, 'mast.example'])).cert);
    expect(more).not.toBe(first);
    expect(readFileSync(join(at, 'certificate.json'), 'utf8')).toContain('BEGIN PRIVATE KEY');
  });

  it('is one with which a client that trusts it makes a connection', async () => {
    const { cert, key } = await keptCertificate(join(folder, 'used'), ['localhost']);
    const server = createServer({ cert, key, minVersion: 'TLSv1.2' }, (socket) => socket.end('in')).listen(
      0,
      '127.0.0.1',
    );
    await once(server, 'listening');
    const { port } = server.address() as AddressInfo;
    const trusting = connect({ port, host: '127.0.0.1', servername: 'localhost', ca: [cert] });
    await once(trusting, 'secureConnect');
    expect([trusting.authorized, trusting.getProtocol()]).toEqual([true, 'TLSv1.3']);
    const [said] = (await once(trusting, 'data')) as [Buffer];
    expect(said.toString()).toBe('in');
    const doubting = connect({ port, host: '127.0.0.1', servername: 'localhost' });
    const [error] = (await once(doubting, 'error')) as [NodeJS.ErrnoException];
    expect(error.code).toBe('DEPTH_ZERO_SELF_SIGNED_CERT');
    trusting.destroy();
    server.close();
  });
});
