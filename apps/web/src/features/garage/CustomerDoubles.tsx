import type { CustomerRow, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { Link as RouterLink } from 'react-router';
import {
  useCarCustomerQuery,
  useMergeCustomersMutation,
  useUndoCustomerMergeMutation,
} from '../../api/garageApi.ts';
import { failureOf } from '../../api/problem.ts';
import { nameOf } from '../../shared/nameOf.ts';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { JoinRow } from './JoinRow.tsx';

/** Names that may be this customer once more: joined with one press, taken apart with another. */
export function CustomerDoubles({ carId, session }: { carId: string; session: Session }) {
  const { data: customer } = useCarCustomerQuery(carId);
  const [merge, merging] = useMergeCustomersMutation();
  const [undo, undoing] = useUndoCustomerMergeMutation();
  if (!customer || customer.doubles.length + customer.merges.length === 0) return null;
  const { doubles, merges, name } = customer;
  const isBusy = merging.isLoading || undoing.isLoading;
  const failure = merging.error ?? undoing.error;
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {doubles.length > 0 ? 'Entered twice?' : 'Joined names'}
      </Typography>
      {failure && <Notice kind="caution">{failureOf(failure).text}</Notice>}
      {doubles.map((other) => (
        <JoinRow key={other.carId}>
          <Box sx={{ flex: 1, minWidth: 220 }}>
            <Link component={RouterLink} to={`/garage/${other.carId}/fleet`}>
              {other.name}
            </Link>
            {factsOf(other)}
            <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
              Joined, these cars are {name}’s, and so is every car that is entered under that name
              later. It can be taken apart again.
            </Box>
          </Box>
          <Button
            disabled={isBusy}
            onClick={() => void merge({ carId, merge: { id: newId(), carId: other.carId } })}
          >
            The same customer: join
          </Button>
        </JoinRow>
      ))}
      {merges.map(({ id, name: merged, cars, personId, at }) => (
        <JoinRow key={id}>
          <Box sx={{ flex: 1, minWidth: 220 }}>
            “{merged}” was joined, {cars === 1 ? '1 car' : `${cars} cars`}
            <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
              {dayjs(at).format('D MMM YYYY')}, {nameOf(session, personId)}
            </Box>
          </Box>
          <Button
            disabled={isBusy}
            aria-label={`Take ${merged} apart again`}
            onClick={() => void undo({ carId, mergeId: id })}
          >
            Undo
          </Button>
        </JoinRow>
      ))}
    </Box>
  );
}

function factsOf({ phone, cars }: CustomerRow): string {
  return `${phone === '' ? '' : `, ${phone}`}, ${cars === 1 ? '1 car' : `${cars} cars`}`;
}
