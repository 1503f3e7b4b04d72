import { CircleAlert } from 'lucide-react';

/** An error told beside what it is about; read out by screen readers. */
export function Notice({ message }: { message: string | null }) {
  return (
    <div role="alert" aria-live="assertive">
      {message && (
        <p className="my-2 flex items-start gap-2 rounded border border-error px-3 py-2 text-error">
          <CircleAlert aria-hidden className="mt-0.5 size-5 shrink-0" />
          <span>{message}</span>
        </p>
      )}
    </div>
  );
}
