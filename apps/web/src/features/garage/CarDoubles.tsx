import type { CarDetail, Session } from '@keen/contract';
import { useMergeCarsMutation, useUndoMergeMutation } from '../../api/garageApi.ts';
import { nameOf } from '../../shared/nameOf.ts';
import { newId } from '../../shared/newId.ts';
import { Doubles } from './Doubles.tsx';
import { t } from '../../words/garage.ts';

/** Entries that may be this car once more. */
export function CarDoubles({ car, session }: { car: CarDetail; session: Session }) {
  const [merge, merging] = useMergeCarsMutation();
  const [undo, undoing] = useUndoMergeMutation();
  const { doubles, merges, vehicle } = car;
  return (
    <Doubles
      joinedTitle={t('carDoubles.joinedEntries')}
      doubles={doubles.map(({ id, plate, label }) => ({
        id,
        to: `/garage/${id}`,
        name: plate,
        facts: `, ${label}`,
      }))}
      joined={merges.map(({ id, vehicle: other, visits, personId, at }) => ({
        id,
        name: other.plate,
        said: t('carDoubles.wasJoined', { plate: other.plate, count: visits }),
        at,
        by: nameOf(session, personId),
      }))}
      explained={t('carDoubles.joinedItsVisitsMove')}
      joinLabel={t('carDoubles.itIsThisCar')}
      isBusy={merging.isLoading || undoing.isLoading}
      error={merging.error ?? undoing.error}
      onJoin={(id) => void merge({ id: vehicle.id, merge: { id: newId(), vehicleId: id } })}
      onUndo={(mergeId) => void undo({ id: vehicle.id, mergeId })}
    />
  );
}
