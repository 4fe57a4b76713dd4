import 'reflect-metadata';
import { randomBytes, webcrypto, X509Certificate } from 'node:crypto';
import * as x509 from '@peculiar/x509';
import { DAY_MS } from '@/core/units/time';
import { NAME_CONSTRAINTS, nameConstraints } from './name-constraints';

x509.cryptoProvider.set(webcrypto as never);

/** ECDSA over P-256 with SHA-256: what every phone in use reads. */
const KEY = { name: 'ECDSA', namedCurve: 'P-256' } as const;
const SIGNING = { name: 'ECDSA', hash: 'SHA-256' } as const;
/** How long an authority vouches; a studio keeps its phones for some years. */
const ROOT_DAYS = 3650;
/** Longest that a certificate of a server is accepted by phones is 398 days. */
const LEAF_DAYS = 396;
/** A certificate is made anew when so little of it is left. */
const RENEW_WITHIN_MS = 30 * DAY_MS;
/** Clocks of phones run behind: it is valid from the day before. */
const BACK_MS = DAY_MS;

/** Ranges of addresses that no one on the internet has: loopback, private, link-local (RFC 6890). */
const PRIVATE_RANGES = [
  '127.0.0.0/8',
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '169.254.0.0/16',
  '::1/128',
  'fc00::/7',
  'fe80::/10',
] as const;

/** A certificate and its key, as PEM. */
export interface Pair {
  readonly certificatePem: string;
  readonly keyPem: string;
}

const serial = () =>
  randomBytes(16)
    .toString('hex')
    .replace(/^[89a-f]/, '1');
const newKeys = () => webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify']) as Promise<CryptoKeyPair>;

const keyPem = async (key: CryptoKey): Promise<string> =>
  `${x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key as never), 'PRIVATE KEY')}\n`;

/**
 * A studio's own authority: it may vouch for one name of the network, this computer for itself, and private addresses,
 * and for nothing else.
 *
 * @param name the name, such as `studio.local`
 */
export async function makeAuthority(name: string, nowMs: number): Promise<Pair> {
  const keys = await newKeys();
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: `CN=Keen Spiral on ${name}`,
    notBefore: new Date(nowMs - BACK_MS),
    notAfter: new Date(nowMs + ROOT_DAYS * DAY_MS),
    signingAlgorithm: SIGNING,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      new x509.Extension(
        NAME_CONSTRAINTS,
        true,
        new Uint8Array(nameConstraints([name, 'localhost'], PRIVATE_RANGES)),
      ),
    ],
  });
  return { certificatePem: `${certificate.toString('pem')}\n`, keyPem: await keyPem(keys.privateKey) };
}

/** A certificate of this server, signed by an authority, for the names and addresses given. */
export async function issue(
  authority: Pair,
  names: readonly string[],
  addresses: readonly string[],
  nowMs: number,
): Promise<Pair> {
  const root = new x509.X509Certificate(authority.certificatePem);
  const signingKey = await webcrypto.subtle.importKey(
    'pkcs8',
    x509.PemConverter.decodeFirst(authority.keyPem),
    KEY,
    false,
    ['sign'],
  );
  const keys = await newKeys();
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: `CN=${names[0]}`,
    issuer: root.subject,
    notBefore: new Date(nowMs - BACK_MS),
    notAfter: new Date(nowMs + LEAF_DAYS * DAY_MS),
    signingAlgorithm: SIGNING,
    publicKey: keys.publicKey,
    signingKey: signingKey as never,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      await x509.AuthorityKeyIdentifierExtension.create(root.publicKey),
      new x509.SubjectAlternativeNameExtension([
        ...names.map((value) => ({ type: 'dns', value }) as const),
        ...addresses.map((value) => ({ type: 'ip', value }) as const),
      ]),
    ],
  });
  return {
    // The authority goes along, for who was given it and looks for it here.
    certificatePem: `${certificate.toString('pem')}\n${authority.certificatePem}`,
    keyPem: await keyPem(keys.privateKey),
  };
}

/** Whether a certificate names all of these and lasts a while yet. */
export function stillServes(
  { certificatePem }: Pair,
  names: readonly string[],
  addresses: readonly string[],
  nowMs: number,
): boolean {
  const certificate = new X509Certificate(certificatePem);
  return (
    nowMs + RENEW_WITHIN_MS < Date.parse(certificate.validTo) &&
    nowMs > Date.parse(certificate.validFrom) &&
    names.every((name) => certificate.checkHost(name) !== undefined) &&
    addresses.every((address) => certificate.checkIP(address) !== undefined)
  );
}

/** What an authority is recognised by: SHA-256 over it, in pairs of letters (as phones show it). */
export const fingerprintOf = (certificatePem: string): string =>
  new X509Certificate(certificatePem).fingerprint256;

/** The name that an authority vouches for. */
export const nameOf = (certificatePem: string): string =>
  new X509Certificate(certificatePem).subject.replace(/^CN=Keen Spiral on /, '');
