import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { PERSON, SESSION, visitDetail } from '../../../tests/visitBench.tsx';
import { CustomerDoubles } from './CustomerDoubles.tsx';
import { GaragePage } from './GaragePage.tsx';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const VEHICLE = { ...visitDetail().visit.vehicle, id: id(1), phone: '+49 30 1' };
const CUSTOMER = {
  carId: id(1),
  name: 'Tess Ter',
  phone: '0123 555 010',
  cars: 3,
  lastVisitAt: '2026-03-01T09:00:00.000Z',
};

describe('GaragePage', () => {
  it('lists customers and finds them, each leading to their cars', async () => {
    const { answers, queries } = showPage(<GaragePage />, {
      answers: {
        'GET /api/garage': { rows: [], after: null },
        'GET /api/customers': {
          rows: [CUSTOMER, { ...CUSTOMER, carId: id(2), cars: 1 }],
          after: 'tess',
        },
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Customers' }));
    const list = within(await screen.findByRole('list', { name: 'Customers' }));
    const [first] = await list.findAllByRole('link');
    expect(first).toHaveAttribute('href', `/garage/${id(1)}/fleet`);
    expect(first).toHaveTextContent('3 cars');
    answers['GET /api/customers'] = { rows: [], after: null };
    fireEvent.change(screen.getByLabelText('Search the customers'), { target: { value: 'zoe' } });
    await screen.findByText('No customer fits this search.');
    expect(queries('GET /api/customers').at(-1)).toBe('?words=zoe');
  });

  it('lists the tires that are stored, with their place', async () => {
    const stored = {
      place: 'Rack B 12',
      count: 4,
      season: 'winter',
      size: '205/55R16',
      onRims: false,
      since: '2026-04-02',
    };
    const { answers } = showPage(<GaragePage />, {
      at: '/?list=stored',
      answers: {
        'GET /api/stored-tires': {
          rows: [{ vehicle: VEHICLE, visitId: id(50), stored }],
          after: null,
        },
      },
    });
    const row = await screen.findByRole('link', { name: /Rack B 12/ });
    expect(row).toHaveTextContent('4 winter tires');
    expect(row).toHaveTextContent('205/55R16, without rims');
    expect(row).toHaveTextContent('since 2 Apr 2026');
    answers['GET /api/stored-tires'] = { rows: [], after: null };
    fireEvent.change(screen.getByLabelText('Search the stored tires'), {
      target: { value: 'attic' },
    });
    await screen.findByText('No stored tires fit this search.');
  });
});

describe('CustomerDoubles', () => {
  const path = `/api/garage/${id(1)}/customer`;
  const other = { ...CUSTOMER, carId: id(2), name: 'Tes Ter', cars: 1 };
  const merge = {
    id: id(7),
    name: 'Tes Ter',
    cars: 1,
    personId: PERSON.id,
    at: '2026-06-10T09:00:00.000Z',
  };
  const doubles = (change: object) => ({ ...CUSTOMER, doubles: [], merges: [], ...change });

  it('joins a name that looks the same, and takes it apart again', async () => {
    const { answers, sent } = showPage(<CustomerDoubles carId={id(1)} session={SESSION} />, {
      answers: {
        [`GET ${path}`]: doubles({ doubles: [other] }),
        [`POST ${path}/merges`]: doubles({ merges: [merge] }),
        [`DELETE ${path}/merges/${id(7)}`]: doubles({ doubles: [other] }),
      },
    });
    const join = await screen.findByRole('button', { name: 'The same customer: join' });
    answers[`GET ${path}`] = doubles({ merges: [merge] });
    await userEvent.click(join);
    const undo = await screen.findByRole('button', { name: 'Separate Tes Ter again' });
    expect(sent()).toMatchObject([{ what: `POST ${path}/merges`, body: { carId: id(2) } }]);
    expect(screen.getByRole('heading', { name: 'Joined names' })).toBeVisible();
    answers[`GET ${path}`] = doubles({ doubles: [other] });
    await userEvent.click(undo);
    await screen.findByRole('button', { name: 'The same customer: join' });
  });

  it('shows why it could not be joined', async () => {
    showPage(<CustomerDoubles carId={id(1)} session={SESSION} />, {
      answers: {
        [`GET ${path}`]: doubles({ doubles: [other] }),
        [`POST ${path}/merges`]: 409,
      },
    });
    await userEvent.click(await screen.findByRole('button', { name: 'The same customer: join' }));
    await screen.findByText(/Refused with 409/);
  });

  it('is not there where nothing looks alike', async () => {
    const { queries } = showPage(<CustomerDoubles carId={id(1)} session={SESSION} />, {
      answers: { [`GET ${path}`]: doubles({}) },
    });
    await waitFor(() => expect(queries(`GET ${path}`)).toHaveLength(1));
    expect(screen.queryByRole('heading')).toBeNull();
  });
});
