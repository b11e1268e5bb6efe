/** Single words that labels and tables are made of. */
export const terms = {
  side: { left: 'left', right: 'right' },
  axle: { front: 'front', rear: 'rear' },
  rib: { inner: 'inner', centre: 'centre', outer: 'outer' },
  angle: { camber: 'camber', toe: 'toe', caster: 'caster' },
  unit: { degrees: 'degrees', minutes: 'minutes', inches: 'inches', in32: '32nds' },
  role: { advisor: 'advisor', technician: 'technician', lead: 'lead' },
} as const;
