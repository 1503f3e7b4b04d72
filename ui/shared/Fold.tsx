import type { ReactNode } from 'react';

interface Props {
  title: string;
  small?: boolean;
  children: ReactNode;
}

/** What is looked at now and then, opened under its title. */
export function Fold({ title, small, children }: Props) {
  return (
    <details className={small ? '' : 'border-t border-base-300 pt-2'}>
      <summary className={small ? 'text-sm font-semibold' : 'text-lg font-semibold'}>{title}</summary>
      <div className="mt-2">{children}</div>
    </details>
  );
}
