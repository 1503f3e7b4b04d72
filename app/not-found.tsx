import { Trouble } from '@/ui/shared/Trouble';
import { text } from '@/ui/text/en';

const t = text.trouble;

export default function NotFound() {
  return (
    <Trouble
      title={t.missingTitle}
      actions={
        <a className="btn btn-primary" href="/studies">
          {t.home}
        </a>
      }
    >
      <p>{t.missing}</p>
    </Trouble>
  );
}
