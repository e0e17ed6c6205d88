import { chmod, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { X509Certificate } from 'node:crypto';
import { generate } from 'selfsigned';
import { houseAddresses, houseNames, LOCAL_NAME } from './addresses';

/** A certificate with its key, in PEM, and whether it is the person's own or Huerta's. */
export interface Certificate {
  cert: string;
  key: string;
  by: 'own' | 'made';
}

/** How long one that Huerta makes serves, days: phones refuse longer ones. */
const DAYS = 397;

/**
 * The certificate of one's own, or one that Huerta makes once and keeps beside the garden. One that is over, or
 * that does not name an address that this machine has now, is made anew.
 *
 * @throws Error with a sentence, when the files of one's own cannot be read
 */
export async function certificateOf(
  folder: string,
  own: { cert: string; key: string } | null,
  named: string | null,
): Promise<Certificate> {
  if (own) {
    const read = (path: string) =>
      readFile(path, 'utf8').catch(() => {
        throw new Error(`The certificate’s file ${path} cannot be read.`);
      });
    return { cert: await read(own.cert), key: await read(own.key), by: 'own' };
  }
  const [certFile, keyFile] = [join(folder, 'door.crt'), join(folder, 'door.key')];
  try {
    const kept = { cert: await readFile(certFile, 'utf8'), key: await readFile(keyFile, 'utf8') };
    if (serves(kept.cert)) return { ...kept, by: 'made' };
  } catch {
    // There is none yet.
  }
  const made = await make(named);
  await writeFile(keyFile, made.key, { mode: 0o600 });
  await chmod(keyFile, 0o600);
  await writeFile(certFile, made.cert);
  return { ...made, by: 'made' };
}

function serves(pem: string): boolean {
  const certificate = new X509Certificate(pem);
  const names = certificate.subjectAltName ?? '';
  return (
    Date.parse(certificate.validTo) > Date.now() &&
    houseAddresses().every((address) => names.includes(address))
  );
}

async function make(named: string | null): Promise<{ cert: string; key: string }> {
  const isAddress = (name: string): boolean => /^[\d.]+$/.test(name);
  const altNames = [...new Set(houseNames(named))].map((name) =>
    isAddress(name) ? ({ type: 7, ip: name } as const) : ({ type: 2, value: name } as const),
  );
  const after = new Date();
  after.setDate(after.getDate() + DAYS);
  const made = await generate([{ name: 'commonName', value: LOCAL_NAME }], {
    keySize: 2048,
    algorithm: 'sha256',
    notAfterDate: after,
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'subjectAltName', altNames },
    ],
  });
  return { cert: made.cert, key: made.private };
}
