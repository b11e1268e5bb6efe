import type { Right, Session } from '@keen/contract';
import { roleMay } from '@keen/contract';

/** Whether the person who is signed in may do this; what one may not do is not offered. */
export function mayDo(session: Session, right: Right): boolean {
  return roleMay(session.person.role, right);
}
