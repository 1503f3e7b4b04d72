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
  const report = { href: `/api/studies/${id}/report`, target: '_blank', rel: 'noreferrer' };
  return (
    <Shell
      section="studies"
      teacher={teacher.name}
      more={<a {...report}>{say('shared.report')}</a>}
      bar={
        <>
          <h1
            className="min-w-0 flex-1 truncate border-s border-base-300 ps-4 text-base font-semibold max-sm:ps-2 max-sm:text-sm"
            title={say('shared.after', { master: typed(study.master) })}
          >
            {say.typed(study.title)}
          </h1>
          <Progress studyId={id} />
          <EditBar studyId={id} />
          <a className="btn btn-sm flex-none max-lg:hidden" {...report}>
            <FileText aria-hidden className="size-4" /> {say('shared.report')}
          </a>
        </>
      }
    >
      <Rail studyId={id} done={rail} />
      <div id="bench" tabIndex={-1} className="flex min-h-0 flex-1 flex-col overflow-y-auto outline-none print:overflow-visible">
        {children}
      </div>
    </Shell>
  );
}
