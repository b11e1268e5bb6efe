import {
  gaugeStateSchema,
  playGaugeSchema,
  pressGaugeSchema,
  rigReadingSchema,
  rigStateSchema,
} from '../devices.ts';
import { readerStateSchema } from '../treadPass.ts';
import type { ApiPath } from './apiPath.ts';

/** The simulated devices. */
export const DEVICES_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/devices/rig',
    summary: 'The simulated rig: the car on it and its faults',
    reply: rigStateSchema,
  },
  {
    method: 'put',
    path: '/api/devices/rig',
    summary: 'Play car and fault on the simulated rig',
    body: rigStateSchema,
    reply: rigStateSchema,
  },
  {
    method: 'get',
    path: '/api/devices/rig/reading',
    summary: 'One look of the simulated rig',
    reply: rigReadingSchema,
  },
  {
    method: 'get',
    path: '/api/devices/gauge',
    summary: 'The simulated depth gauge; it speaks over a WebSocket at /api/devices/gauge/stream',
    reply: gaugeStateSchema,
  },
  {
    method: 'put',
    path: '/api/devices/gauge',
    summary: 'Play battery and fault on the simulated gauge',
    body: playGaugeSchema,
    reply: gaugeStateSchema,
  },
  {
    method: 'post',
    path: '/api/devices/gauge/press',
    summary: 'Set the simulated gauge down and press its trigger',
    body: pressGaugeSchema,
    reply: gaugeStateSchema,
  },
  {
    method: 'get',
    path: '/api/devices/reader',
    summary:
      'The simulated drive-over reader; it speaks over a WebSocket at /api/devices/reader/stream',
    reply: readerStateSchema,
  },
  {
    method: 'put',
    path: '/api/devices/reader',
    summary: 'Play car and fault on the simulated drive-over reader',
    body: readerStateSchema,
    reply: readerStateSchema,
  },
  {
    method: 'post',
    path: '/api/devices/reader/pass',
    summary: 'Send the made-up car over the simulated reader',
    reply: readerStateSchema,
  },
];
