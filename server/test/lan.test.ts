import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it, onTestFinished } from 'vitest';
import { ensureCertificates, type Certificates } from '../../scripts/authority.mjs';
import { codeFor, serveAuthority } from '../../scripts/lan.mjs';
import { configFrom } from '../src/config.ts';

const DAY_MS = 86_400_000;
let folder: string;
let made: Certificates;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'bradyon-lan-'));
  made = ensureCertificates(folder, ['192.168.4.7']);
});
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});

/** A request over HTTPS that trusts this authority and nobody else. */
function ask(port: number, options: https.RequestOptions): Promise<string> {
  return new Promise((resolve, reject) => {
    https
      .get({ host: '127.0.0.1', port, path: '/', ...options }, (reply) => {
        let text = '';
        reply.on('data', (part: Buffer) => (text += part.toString()));
        reply.on('end', () => {
          resolve(text);
        });
      })
      .on('error', reject);
  });
}

describe('certificates for the field', () => {
  it('are trusted by a device that has the authority, for the address it came by, and by no other', async () => {
    const server = https.createServer(
      { key: readFileSync(made.key), cert: readFileSync(made.certificate) },
      (_req, res) => {
        res.end('safe');
      },
    );
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    onTestFinished(() => void server.close());
    const { port } = server.address() as AddressInfo;
    const ca = readFileSync(made.authority);
    expect(await ask(port, { ca })).toBe('safe');
    expect(await ask(port, { ca, servername: 'localhost' })).toBe('safe');
    await expect(ask(port, { ca, servername: 'elsewhere.example' })).rejects.toThrow(/altnames/);
    await expect(ask(port, {})).rejects.toThrow(/certificate/);
  });

  it('keep their keys to the owner of the folder', () => {
    for (const file of [made.key, path.join(path.dirname(made.key), 'authority.key')])
      expect(statSync(file).mode & 0o077).toBe(0);
  });

  it('are made once, and a new one only for another address or before it runs out', () => {
    const before = readFileSync(made.certificate, 'utf8');
    const authority = readFileSync(made.authority, 'utf8');
    ensureCertificates(folder, ['192.168.4.7']);
    expect(readFileSync(made.certificate, 'utf8')).toBe(before);
    ensureCertificates(folder, ['10.0.0.9']);
    const moved = readFileSync(made.certificate, 'utf8');
    expect(moved).not.toBe(before);
    ensureCertificates(folder, ['10.0.0.9'], new Date(Date.now() + 380 * DAY_MS));
    expect(readFileSync(made.certificate, 'utf8')).not.toBe(moved);
    // Phones that trust the authority go on trusting it.
    expect(readFileSync(made.authority, 'utf8')).toBe(authority);
  });

  it('are offered on a plain page with the steps, without the key', async () => {
    const server = await serveAuthority(made.authority, 'https://192.168.4.7:4680', 0);
    onTestFinished(() => void server.close());
    const { port } = server.address() as AddressInfo;
    const get = (what: string) =>
      new Promise<{ status: number; text: string }>((resolve, reject) => {
        http
          .get(`http://127.0.0.1:${String(port)}${what}`, (reply) => {
            let text = '';
            reply.on('data', (part: Buffer) => (text += part.toString()));
            reply.on('end', () => {
              resolve({ status: reply.statusCode ?? 0, text });
            });
          })
          .on('error', reject);
      });
    expect((await get('/')).text).toContain('https://192.168.4.7:4680');
    expect((await get('/bradyon-authority.crt')).text).toBe(readFileSync(made.authority, 'utf8'));
    expect((await get('/authority.key')).status).toBe(404);
    expect(await codeFor('http://192.168.4.7:4681')).toMatch(/[▀▄█]/);
  });
});

describe('the settings of a secure server', () => {
  it('want key and certificate together', () => {
    const env = { DATABASE_URL: 'x', SESSION_SECRET: 'x', WEB_ROOT: 'x' };
    expect(configFrom(env).tls).toBeNull();
    expect(() => configFrom({ ...env, TLS_KEY: 'a' })).toThrow(/TLS_CERTIFICATE/);
  });
});
