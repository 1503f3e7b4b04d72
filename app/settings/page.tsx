import { SettingsForm } from '@/ui/settings/SettingsForm';
import { Shell } from '@/ui/shared/Shell';
import { settingsOf } from '@/server/accounts/settings';
import { requireTeacher } from '../session';

export const metadata = { title: 'Settings' };

export default async function SettingsPage() {
  const teacher = await requireTeacher();
  const { units, spelling, paper, hand, timeZone } = await settingsOf(teacher.id);
  return (
    <Shell section="settings" teacher={teacher.name}>
      <SettingsForm settings={{ units, spelling, paper, hand, timeZone }} />
    </Shell>
  );
}
