import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { ArchiveForm } from './ArchiveForm.tsx';

const zip = new File(['PK'], 'shop.zip', { type: 'application/zip' });
const choose = () => userEvent.upload(screen.getByLabelText('Archive of a shop'), zip);

describe('ArchiveForm', () => {
  it('says what came in and what was left out', async () => {
    const taken = {
      ...{ visits: 2, known: 1, cars: 2, people: 0, sheets: 0, settings: false },
      faults: [{ file: 'visits/00003-A/visit.json', expected: 'JSON' }],
    };
    showPage(<ArchiveForm />, { answers: { 'POST /api/shop/archive': taken } });
    await choose();
    expect(await screen.findByText(/Imported: 2 visits/)).toHaveTextContent(
      /1 visits were here already\. .*Left out visits\/00003-A\/visit\.json: expected JSON/,
    );
  });

  it('can be stopped while it is sent, and says that nothing was taken', async () => {
    showPage(<ArchiveForm />, {
      answers: { 'POST /api/shop/archive': new Promise(() => undefined) },
    });
    await choose();
    expect(await screen.findByText('Sending the file…')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(await screen.findByText('Stopped. Nothing was imported.')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Stop' })).toBeNull();
  });

  it('says why the server refused', async () => {
    showPage(<ArchiveForm />, { answers: { 'POST /api/shop/archive': 503 } });
    await choose();
    expect(await screen.findByText(/Refused with 503.*Nothing was imported/)).toBeVisible();
  });
});
