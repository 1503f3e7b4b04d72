import { FileText } from 'lucide-react';
import { typed } from '@/core/message';
import { sayHere } from '../../voice';
import type { ReactNode } from 'react';
import { EditBar } from '@/ui/shared/EditBar';
import { Progress } from '@/ui/shared/Progress';
import { Rail } from '@/ui/shared/Rail';
import { Shell } from '@/ui/shared/Shell';
import { openStudy } from '../../session';

export default async function StudyLayout({ children, params }: { children: ReactNode; params: Promise<{ study: string }> }) {
  const { study: id } = await params;
  const { teacher, study, rail } = await openStudy(id);
  const say = await sayHere();
  return (
    <Shell section="studies" teacher={teacher.name}>
      <div className="no-print flex flex-wrap items-center gap-x-4 px-5 pt-2">
        <h1 className="text-lg font-semibold">{say.typed(study.title)}</h1>
        <span className="text-sm">{say('shared.after', { master: typed(study.master) })}</span>
        <Progress studyId={id} />
        <EditBar studyId={id} />
        <a className="btn btn-sm" href={`/api/studies/${id}/report`} target="_blank" rel="noreferrer">
          <FileText aria-hidden className="size-4" /> {say('shared.report')}
        </a>
      </div>
      <Rail studyId={id} done={rail} />
      {children}
    </Shell>
  );
}
