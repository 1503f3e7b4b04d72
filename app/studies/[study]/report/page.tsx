import { ReportMaking } from '@/ui/report/ReportMaking';
import { openStudy } from '../../../session';
import { titled } from '../../../voice';

export const generateMetadata = titled('report.title');

export default async function ReportPage({ params }: { params: Promise<{ study: string }> }) {
  const { study } = await openStudy((await params).study);
  return <ReportMaking studyId={study.id} study={study.title} />;
}
