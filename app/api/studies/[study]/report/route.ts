import { voiceHere } from '@/app/voice';
import { studyOf } from '@/server/accounts/ownership';
import { handle } from '@/server/door/http';
import { beginReport, reportMade, reportMaking } from '@/server/exports/reports';

/** The study's report, a PDF; to whoever asks for JSON, how far it is. */
export const GET = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const voice = await voiceHere();
  if (request.headers.get('accept')?.includes('application/json')) return reportMaking(teacher.id, params.study, voice);
  const { pdf, name } = await reportMade(teacher.id, params.study, voice);
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(name)}`,
      'cache-control': 'no-store',
    },
  });
});

/** Begins to make it. */
export const POST = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return beginReport(teacher.id, params.study, await voiceHere());
});
