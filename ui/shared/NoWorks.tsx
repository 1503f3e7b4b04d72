import Link from 'next/link';

/** What a bench says before the study has a picture. */
export function NoWorks({ studyId }: { studyId: string }) {
  return (
    <div className="bench m-5 flex flex-1 items-center justify-center p-10">
      <p className="bench-note rounded px-5 py-4 text-lg">
        This bench needs a picture to measure.{' '}
        <Link className="underline" href={`/studies/${studyId}/look`}>
          Add a work at Look
        </Link>
        , then come back.
      </p>
    </div>
  );
}
