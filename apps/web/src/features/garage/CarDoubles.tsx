import type { CarDetail, Person } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { Link as RouterLink } from 'react-router';
import { useMergeCarsMutation, useUndoMergeMutation } from '../../api/garageApi.ts';
import { failureOf } from '../../api/problem.ts';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { JoinRow } from './JoinRow.tsx';

/** Entries that may be this car once more: joined with one press, taken apart with another. */
export function CarDoubles({ car, people }: { car: CarDetail; people: readonly Person[] }) {
  const [merge, merging] = useMergeCarsMutation();
  const [undo, undoing] = useUndoMergeMutation();
  const { doubles, merges, vehicle } = car;
  if (doubles.length === 0 && merges.length === 0) return null;
  const isBusy = merging.isLoading || undoing.isLoading;
  const failure = merging.error ?? undoing.error;
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {doubles.length > 0 ? 'Entered twice?' : 'Joined entries'}
      </Typography>
      {failure && <Notice kind="caution">{failureOf(failure).text}</Notice>}
      {doubles.map((other) => (
        <JoinRow key={other.id}>
          <Box sx={{ flex: 1 }}>
            <Link component={RouterLink} to={`/garage/${other.id}`}>
              {other.plate}
            </Link>
            , {other.label}
            <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
              Joined, its visits stand here and its plate leads here. It can be taken apart again.
            </Box>
          </Box>
          <Button
            disabled={isBusy}
            onClick={() =>
              void merge({ id: vehicle.id, merge: { id: newId(), vehicleId: other.id } })
            }
          >
            It is this car: join
          </Button>
        </JoinRow>
      ))}
      {merges.map(({ id, vehicle: other, visits, personId, at }) => (
        <JoinRow key={id}>
          <Box sx={{ flex: 1 }}>
            {other.plate} was joined to this car, {visits === 1 ? '1 visit' : `${visits} visits`}
            <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
              {dayjs(at).format('D MMM YYYY')}
              {people.some((one) => one.id === personId) &&
                `, ${people.find((one) => one.id === personId)!.name}`}
            </Box>
          </Box>
          <Button
            disabled={isBusy}
            aria-label={`Take ${other.plate} apart again`}
            onClick={() => void undo({ id: vehicle.id, mergeId: id })}
          >
            Undo
          </Button>
        </JoinRow>
      ))}
    </Box>
  );
}
