/** Knows how progress reaches a page: server-sent events, one when something has changed, a comment now and then to keep the line. */
import { database } from '../database/connection';
import { progressOf } from '../queue/queue';
import { isEnding } from '../ending';

export function progressStream(teacherId: string, studyId: string, signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  let timer: NodeJS.Timeout | undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let before = '';
      let quiet = 0;
      const stop = () => {
        clearTimeout(timer);
        try {
          controller.close();
        } catch {
          // Already closed by the reader.
        }
      };
      const tick = async () => {
        if (signal.aborted || isEnding()) return stop();
        try {
          const now = JSON.stringify(await progressOf(database(), teacherId, studyId));
          if (now !== before) {
            controller.enqueue(encoder.encode(`data: ${now}\n\n`));
            before = now;
            quiet = 0;
          } else if (++quiet % 15 === 0) controller.enqueue(encoder.encode(': still here\n\n'));
          timer = setTimeout(tick, 1000);
        } catch {
          stop();
        }
      };
      signal.addEventListener('abort', stop);
      void tick();
    },
    cancel: () => clearTimeout(timer),
  });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
