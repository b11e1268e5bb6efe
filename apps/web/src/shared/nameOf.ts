import type { Session } from '@keen/contract';
import { t } from '../words/shared.ts';

/** What a person of the shop is called; whoever left it is still known. */
export function nameOf(session: Session, personId: string): string {
  return session.people.find(({ id }) => id === personId)?.name ?? t('nameOf.somebodyWhoLeft');
}
