import { voiceHere } from '@/app/voice';
import { studyOf } from '@/server/accounts/ownership';
import { fileAnswer, handle } from '@/server/door/http';
import { beginReport, reportMade, reportMaking } from '@/server/exports/reports';

/** The study's report, a PDF; to whoever asks for JSON, how far it is. */
export const GET = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const voice = await voiceHere();
  if (request.headers.get('accept')?.includes('application/json')) return reportMaking(teacher.id, params.study, voice);
  const { pdf, name } = await reportMade(teacher.id, params.study, voice);
  return fileAnswer(new Uint8Array(pdf), 'application/pdf', name, 'inline');
});

/** Begins to make it. */
export const POST = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return beginReport(teacher.id, params.study, await voiceHere());
});
