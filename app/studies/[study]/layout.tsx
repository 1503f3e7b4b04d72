import { FileText } from 'lucide-react';
import Link from 'next/link';
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
  const report = `/studies/${id}/report`;
  return (
    <Shell
      section="studies"
      teacher={teacher.name}
      more={<Link href={report}>{say('shared.report')}</Link>}
      bar={
        <>
          <h1
            className="min-w-0 flex-1 truncate border-s border-base-300 ps-4 text-base font-semibold max-sm:ps-2 max-sm:text-sm"
            title={say('shared.after', { master: typed(study.master) })}
          >
            <Link href={`/studies/${id}/about`} className="hover:underline" aria-label={say('about.open', { title: typed(study.title) })}>
              {say.typed(study.title)}
            </Link>
          </h1>
          <Progress studyId={id} />
          <EditBar studyId={id} />
          <Link className="btn btn-sm flex-none max-lg:hidden" href={report}>
            <FileText aria-hidden className="size-4" /> {say('shared.report')}
          </Link>
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
