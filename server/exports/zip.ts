/** Knows how a document and the pictures it speaks of go out as one ZIP, a picture at a time. */
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { database } from '../database/connection';
import { getBlob } from '../pictures/store';

const ENDINGS: Record<string, string> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/tiff': 'tif',
  'image/gif': 'gif',
  'image/avif': 'avif',
  'image/heic': 'heic',
};

/** A picture by the path it has in the archive. */
export interface InZip {
  path: string;
  sha256: string;
}

export const pathOf = ({ id, mime }: { id: string; mime: string }): string => `pictures/${id}.${ENDINGS[mime] ?? 'bin'}`;

/** The archive as a stream: the document as JSON first, then one picture in memory at a time. */
export function zipStream(name: string, document: unknown, files: readonly InZip[]): ReadableStream<Uint8Array> {
  const db = database();
  let wake = () => {};
  let over = false;
  const stop = () => {
    over = true;
    wake();
  };
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const zip = new Zip((error, chunk, final) => {
        if (error) return controller.error(error);
        controller.enqueue(chunk);
        if (final) controller.close();
      });
      const fill = async () => {
        const json = new ZipDeflate(name, { level: 6 });
        zip.add(json);
        json.push(new TextEncoder().encode(JSON.stringify(document, null, 1)), true);
        for (const { path, sha256 } of files) {
          while (!over && (controller.desiredSize ?? 1) <= 0) await new Promise<void>((done) => (wake = done));
          if (over) return;
          // Pictures are packed already.
          const entry = new ZipPassThrough(path);
          zip.add(entry);
          entry.push(new Uint8Array(await getBlob(db, sha256)), true);
        }
        zip.end();
      };
      fill().catch((error) => controller.error(error));
    },
    pull: () => wake(),
    cancel: stop,
  });
}
