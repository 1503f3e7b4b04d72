import { text } from '../text/en';

/** For how long what is removed can be brought back. */
export function RemovalNote() {
  return <p className="text-xs">{text.shared.removal}</p>;
}
