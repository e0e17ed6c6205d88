import { open as openZip, type Entry, type ZipFile } from 'yauzl';
import { LIMITS } from './format';

/** Why a file as a whole is not taken. */
export class FileRefused extends Error {}

/** A zip whose files are read one by one, each within a limit. */
export class Archive {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  /** @throws FileRefused where it is no whole zip, or holds more than the limits */
  static async open(file: string): Promise<Archive> {
    const whole = () =>
      new FileRefused(
        'This is not a whole garden file: it is no zip, or it breaks off. Choose one that Huerta made.',
      );
    const zip = await new Promise<ZipFile>((done, fail) => {
      openZip(file, { lazyEntries: true, autoClose: false }, (error, opened) =>
        error ? fail(whole()) : done(opened),
      );
    });
    if (zip.entryCount > LIMITS.files) {
      zip.close();
      throw new FileRefused(
        `This zip holds ${zip.entryCount} files, and a garden has at most ${LIMITS.files}. Choose one that Huerta made.`,
      );
    }
    const entries = new Map<string, Entry>();
    let unpacked = 0;
    await new Promise<void>((done, fail) => {
      zip.on('error', () => fail(whole()));
      zip.on('end', () => done());
      zip.on('entry', (entry: Entry) => {
        unpacked += entry.uncompressedSize;
        if (unpacked > LIMITS.unpackedBytes)
          fail(
            new FileRefused(
              `Unpacked, this zip is larger than ${LIMITS.unpackedBytes / 1e9} GB, more than a garden can be. Choose one that Huerta made.`,
            ),
          );
        else {
          entries.set(entry.fileName, entry);
          zip.readEntry();
        }
      });
      zip.readEntry();
    }).catch((error: unknown) => {
      zip.close();
      throw error;
    });
    return new Archive(zip, entries);
  }

  paths(): Iterable<string> {
    return this.entries.keys();
  }

  /** A file's bytes; null where it is not there, is larger than the limit, or cannot be unpacked. */
  async bytes(path: string, most: number): Promise<Buffer | null> {
    const entry = this.entries.get(path);
    if (!entry || entry.uncompressedSize > most) return null;
    return new Promise((done) => {
      this.zip.openReadStream(entry, (error, stream) => {
        if (error) {
          done(null);
          return;
        }
        const chunks: Buffer[] = [];
        let size = 0;
        stream.on('data', (chunk: Buffer) => {
          size += chunk.length;
          if (size > most) stream.destroy(new Error('Too large'));
          else chunks.push(chunk);
        });
        stream.on('error', () => done(null));
        stream.on('end', () => done(Buffer.concat(chunks)));
      });
    });
  }

  close(): void {
    this.zip.close();
  }
}
