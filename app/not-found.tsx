import { Trouble } from '@/ui/shared/Trouble';
import { sayHere } from './voice';

export default async function NotFound() {
  const say = await sayHere();
  return (
    <Trouble
      title={say('trouble.missingTitle')}
      actions={
        <a className="btn btn-primary" href="/studies">
          {say('trouble.home')}
        </a>
      }
    >
      <p>{say('trouble.missing')}</p>
    </Trouble>
  );
}
