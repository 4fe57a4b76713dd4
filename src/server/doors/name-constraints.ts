/** Tags of DER that are used here (ITU-T X.690; the choices of GeneralName are those of RFC 5280, 4.2.1.6). */
const SEQUENCE = 0x30;
const DNS_NAME = 0x82;
const IP_ADDRESS = 0x87;
const PERMITTED = 0xa0;

const field = (tag: number, content: Buffer): Buffer => {
  const { length } = content;
  const size =
    length < 0x80 ? [length] : length < 0x100 ? [0x81, length] : [0x82, length >> 8, length & 0xff];
  return Buffer.concat([Buffer.from([tag, ...size]), content]);
};

/** Address and mask of a range such as 192.168.0.0/16, as the extension writes them one after the other. */
function addressAndMask(range: string): Buffer {
  const [address = '', bits = '0'] = range.split('/');
  const bytes = address.includes(':') ? v6Bytes(address) : address.split('.').map(Number);
  const mask = bytes.map((_, i) => 0xff & ~(0xff >> Math.min(Math.max(Number(bits) - 8 * i, 0), 8)));
  return Buffer.from([...bytes, ...mask]);
}

/** Bytes of an IPv6 address that ends in “::”, or is “::1”. */
function v6Bytes(address: string): number[] {
  const [head = '', tail = ''] = address.split('::');
  const words = (part: string) =>
    part === ''
      ? []
      : part.split(':').flatMap((word) => [parseInt(word, 16) >> 8, parseInt(word, 16) & 0xff]);
  const [first, last] = [words(head), words(tail)];
  return [...first, ...Array<number>(16 - first.length - last.length).fill(0), ...last];
}

/** The extension by which an authority may vouch for a few names only. */
export const NAME_CONSTRAINTS = '2.5.29.30';

/**
 * Value of the name constraints of an authority (RFC 5280, 4.2.1.10): the names and ranges of addresses it may vouch
 * for; for any other, what it signs is refused by who checks it.
 */
export function nameConstraints(names: readonly string[], ranges: readonly string[]): Buffer {
  const subtrees = [
    ...names.map((name) => field(DNS_NAME, Buffer.from(name, 'ascii'))),
    ...ranges.map((range) => field(IP_ADDRESS, addressAndMask(range))),
  ].map((base) => field(SEQUENCE, base));
  return field(SEQUENCE, field(PERMITTED, Buffer.concat(subtrees)));
}
