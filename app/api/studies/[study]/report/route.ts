import { voiceHere } from '@/app/voice';
import { studyReport } from '@/server/exports/report';
import { handle } from '@/server/door/http';

/** The study's report, a PDF. */
export const GET = handle(async ({ teacher, params }) => {
  const { pdf, name } = await studyReport(teacher.id, params.study, await voiceHere());
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(name)}`,
      'cache-control': 'no-store',
    },
  });
});
