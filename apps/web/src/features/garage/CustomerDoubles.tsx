import type { Session } from '@keen/contract';
import {
  useCarCustomerQuery,
  useMergeCustomersMutation,
  useUndoCustomerMergeMutation,
} from '../../api/garageApi.ts';
import { nameOf } from '../../shared/nameOf.ts';
import { newId } from '../../shared/newId.ts';
import { Doubles } from './Doubles.tsx';
import { t } from '../../words/garage.ts';

const carsOf = (count: number) => t('customerList.cars', { count });

/** Names that may be the customer of a car once more. */
export function CustomerDoubles({ carId, session }: { carId: string; session: Session }) {
  const { data: customer } = useCarCustomerQuery(carId);
  const [merge, merging] = useMergeCustomersMutation();
  const [undo, undoing] = useUndoCustomerMergeMutation();
  if (!customer) return null;
  const { doubles, merges, name } = customer;
  return (
    <Doubles
      joinedTitle={t('customerDoubles.joinedNames')}
      doubles={doubles.map((other) => ({
        id: other.carId,
        to: `/garage/${other.carId}/fleet`,
        name: other.name,
        facts: `${other.phone === '' ? '' : `, ${other.phone}`}, ${carsOf(other.cars)}`,
      }))}
      joined={merges.map((merged) => ({
        id: merged.id,
        name: merged.name,
        said: t('customerDoubles.wasJoined', { name: merged.name, cars: carsOf(merged.cars) }),
        at: merged.at,
        by: nameOf(session, merged.personId),
      }))}
      explained={t('customerDoubles.joinedTheirCarsMove', { name })}
      joinLabel={t('customerDoubles.theSameCustomerJoin')}
      isBusy={merging.isLoading || undoing.isLoading}
      error={merging.error ?? undoing.error}
      onJoin={(id) => void merge({ carId, merge: { id: newId(), carId: id } })}
      onUndo={(mergeId) => void undo({ carId, mergeId })}
    />
  );
}
