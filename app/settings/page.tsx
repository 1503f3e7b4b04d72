import { SettingsForm } from '@/ui/settings/SettingsForm';
import { Shell } from '@/ui/shared/Shell';
import { requireTeacher } from '../session';
import { titled, voiceHere } from '../voice';

export const generateMetadata = titled('settings.title');

export default async function SettingsPage() {
  const teacher = await requireTeacher();
  const { units, spelling, paper, hand, theme, timeZone } = teacher.settings;
  const { language } = await voiceHere();
  return (
    <Shell section="settings" teacher={teacher.name}>
      <SettingsForm
        zones={Intl.supportedValuesOf('timeZone')}
        name={teacher.name}
        email={teacher.email}
        settings={{ units, spelling, paper, hand, theme, timeZone, language }}
      />
    </Shell>
  );
}
