/**
 * A small certificate authority of this installation's own: phones at the field need a secure page, and
 * there is nobody to ask for a certificate where there is no internet.
 */
import { generateKeyPairSync, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import path from 'node:path';
import forge from 'node-forge';

const DAY_MS = 24 * 60 * 60 * 1000;
const AUTHORITY_DAYS = 3650;
/** Phones refuse longer ones. */
const SERVER_DAYS = 397;
const RENEW_BEFORE_DAYS = 30;
const NAME = 'Bradyon at the field';

/** The addresses of this machine on its networks. */
export function ownAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}

/**
 * The authority, made once and kept with the state, and a certificate of it for these addresses.
 * @param folder of the state; keys are readable by its owner only
 * @returns where key, certificate and the authority's certificate lie
 */
export function ensureCertificates(folder, addresses, now = new Date()) {
  const own = path.join(folder, 'authority');
  mkdirSync(own, { recursive: true, mode: 0o700 });
  const file = (name) => path.join(own, name);
  const files = {
    authority: file('authority.crt'),
    key: file('server.key'),
    certificate: file('server.crt'),
  };
  if (!existsSync(files.authority)) makeAuthority(files.authority, file('authority.key'), now);
  const hosts = ['localhost', '127.0.0.1', ...addresses].toSorted();
  if (!isGood(files.certificate, hosts, now)) {
    makeServer(files, file('authority.key'), hosts, now);
  }
  return files;
}

const subject = (commonName) => [{ name: 'commonName', value: commonName }];

function newKey() {
  const { privateKey } = generateKeyPairSync('rsa', { modulusLength: 2048 });
  return privateKey.export({ type: 'pkcs1', format: 'pem' });
}

function begin(keyPem, days, now) {
  const certificate = forge.pki.createCertificate();
  const key = forge.pki.privateKeyFromPem(keyPem);
  certificate.publicKey = forge.pki.setRsaPublicKey(key.n, key.e);
  // A leading zero keeps it positive.
  certificate.serialNumber = `00${randomBytes(15).toString('hex')}`;
  certificate.validity.notBefore = new Date(now.getTime() - DAY_MS);
  certificate.validity.notAfter = new Date(now.getTime() + days * DAY_MS);
  return { certificate, key };
}

function keep(file, text, mode) {
  writeFileSync(file, text, { mode });
}

function makeAuthority(certificateFile, keyFile, now) {
  const keyPem = newKey();
  const { certificate, key } = begin(keyPem, AUTHORITY_DAYS, now);
  certificate.setSubject(subject(NAME));
  certificate.setIssuer(subject(NAME));
  certificate.setExtensions([
    { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
    { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    { name: 'subjectKeyIdentifier' },
  ]);
  certificate.sign(key, forge.md.sha256.create());
  keep(keyFile, keyPem, 0o600);
  keep(certificateFile, forge.pki.certificateToPem(certificate), 0o644);
}

function makeServer(files, authorityKeyFile, hosts, now) {
  const authority = forge.pki.certificateFromPem(readFileSync(files.authority, 'utf8'));
  const authorityKey = forge.pki.privateKeyFromPem(readFileSync(authorityKeyFile, 'utf8'));
  const keyPem = newKey();
  const { certificate } = begin(keyPem, SERVER_DAYS, now);
  certificate.setSubject(subject('Bradyon'));
  certificate.setIssuer(authority.subject.attributes);
  certificate.setExtensions([
    { name: 'basicConstraints', cA: false },
    { name: 'keyUsage', digitalSignature: true, keyEncipherment: true, critical: true },
    { name: 'extKeyUsage', serverAuth: true },
    { name: 'subjectAltName', altNames: hosts.map(altName) },
  ]);
  certificate.sign(authorityKey, forge.md.sha256.create());
  keep(files.key, keyPem, 0o600);
  keep(files.certificate, forge.pki.certificateToPem(certificate), 0o644);
}

/** As the standard numbers them: 2 a name, 7 an address. */
function altName(host) {
  return /^[\d.]+$/.test(host) ? { type: 7, ip: host } : { type: 2, value: host };
}

/** Whether a certificate is for just these addresses, and lasts a while yet. */
function isGood(file, hosts, now) {
  if (!existsSync(file)) return false;
  const certificate = forge.pki.certificateFromPem(readFileSync(file, 'utf8'));
  const { altNames = [] } = certificate.getExtension('subjectAltName') ?? {};
  const named = altNames.map(({ ip, value }) => ip ?? value).toSorted();
  const lasts =
    certificate.validity.notAfter.getTime() - now.getTime() > RENEW_BEFORE_DAYS * DAY_MS;
  return lasts && named.join(' ') === hosts.join(' ');
}
