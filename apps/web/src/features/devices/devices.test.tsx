import { DEFAULT_GAUGE, DEFAULT_RIG } from '@keen/contract';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { DevicesPage } from './DevicesPage.tsx';

const open = (answers: Record<string, unknown> = {}) =>
  showPage(<DevicesPage />, {
    path: '/devices',
    answers: {
      'GET /api/devices/gauge': DEFAULT_GAUGE,
      'GET /api/devices/rig': DEFAULT_RIG,
      'PUT /api/devices/gauge': DEFAULT_GAUGE,
      'POST /api/devices/gauge/press': DEFAULT_GAUGE,
      ...answers,
    },
  });
const gauge = () => within(screen.getByRole('region', { name: 'The depth gauge' }));

describe('DevicesPage', () => {
  it('sends one reading a press, of what lies under the gauge', async () => {
    const { sent } = open();
    const trigger = await screen.findByRole('button', { name: 'Press the trigger' });
    await userEvent.clear(gauge().getByLabelText('Depth under it'));
    await userEvent.type(gauge().getByLabelText('Depth under it'), '4,2');
    await userEvent.tab();
    await userEvent.click(trigger);
    expect(sent()).toEqual([{ what: 'POST /api/devices/gauge/press', body: { mm: 4.2 } }]);
  });

  it('plays how readings come, and asks for their unit only where they are written out', async () => {
    const { sent } = open({ 'GET /api/devices/gauge': { ...DEFAULT_GAUGE, speaks: 'keys' } });
    const units = await screen.findByRole('group', { name: 'With' });
    await userEvent.click(within(units).getByRole('button', { name: 'in' }));
    expect(sent()[0]!.body).toEqual({
      isOn: true,
      speaks: 'keys',
      writes: 'in',
      battery: 0.8,
      fault: 'none',
    });
  });

  it('cannot be pressed while it is off, and says when it does not answer', async () => {
    const off = open({ 'GET /api/devices/gauge': { ...DEFAULT_GAUGE, isOn: false } });
    expect(await screen.findByRole('button', { name: 'Press the trigger' })).toBeDisabled();
    expect(off.sent()).toEqual([]);
  });

  it('says when the gauge is not there', async () => {
    open({ 'GET /api/devices/gauge': 503 });
    expect(await screen.findByText('The gauge does not answer just now.')).toBeVisible();
  });
});
