import type { Random } from '@keen/core';

export interface InventedCar {
  vehicle: { plate: string; label: string; customer: string; phone: string };
  size: string;
  targetKpa: number;
}

const SYLLABLES = 'ba do fen gri hol jun kel lor mav nis ost pel qui ras tov und vel wim yor zan';
const ENDINGS = 'an el ick ora une ay en is';
const COLOURS = 'Grey Green White Black Red Blue Yellow Brown Silver Beige';
const KINDS = [
  { label: 'hatchback', size: '195/65R15', targetKpa: 230 },
  { label: 'hatchback', size: '185/60R15', targetKpa: 220 },
  { label: 'estate', size: '205/55R16', targetKpa: 240 },
  { label: 'saloon', size: '215/60R16', targetKpa: 230 },
  { label: 'saloon', size: '225/50R17', targetKpa: 240 },
  { label: 'minibus', size: '215/65R16', targetKpa: 250 },
  { label: 'van', size: '205/65R16', targetKpa: 260 },
  { label: 'taxi', size: '205/60R16', targetKpa: 240 },
  { label: 'camper', size: '225/70R16', targetKpa: 260 },
  { label: 'pickup', size: '235/70R16', targetKpa: 240 },
] as const;
const PLATE_LETTERS = 'ABCDEFGHJKLMNPRSTUVWXYZ';

/** Made up of syllables: nobody's name, no maker's car, no country's plate. */
export function inventCar(index: number, random: Random): InventedCar {
  const among = <T>(list: readonly T[]): T => list[Math.floor(random.uniform() * list.length)]!;
  const syllables = SYLLABLES.split(' ');
  const name = () => capital(among(syllables) + among(ENDINGS.split(' ')));
  const surname = () => capital(among(syllables) + among(syllables) + among(ENDINGS.split(' ')));
  const kind = among(KINDS);
  const letters = PLATE_LETTERS[index % PLATE_LETTERS.length]! + among([...PLATE_LETTERS]);
  return {
    vehicle: {
      // The number tells the cars apart, so no two have one plate.
      plate: `${letters} ${1_000 + index}`,
      label: `${among(COLOURS.split(' '))} ${kind.label}`,
      customer: `${name()} ${surname()}`,
      phone: `+00 555 ${String(1_000 + ((index * 7) % 9_000))}`,
    },
    size: kind.size,
    targetKpa: kind.targetKpa,
  };
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
