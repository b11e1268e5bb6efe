import type { Cupping, Damage, DamageZone, Feather, PuncturePlace, Wheel } from '@keen/contract';
import { DAMAGE_ZONES, DAMAGES, UNSAFE_DAMAGES } from '@keen/contract';
import { DEFAULT_LIMITS_MM, sectionTires, sideOf, stopState } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import type { PointerEvent } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { TireFace, ZONE_SHARES } from '../../drawing/TireFace.tsx';
import { ToothMark } from '../../drawing/ToothMark.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { ChoiceGroup } from '../../shared/ChoiceGroup.tsx';
import { KeyHint } from '../../shared/KeyHint.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { Photos } from './Photos.tsx';
import { t } from '../../words/inspect.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { FOUND } from '../../words/core/inspect.ts';

type Felt = Exclude<Feather, 'unknown'>;

const STROKES: readonly { felt: Felt; key: string }[] = [
  { felt: 'catchesOutward', key: 'o' },
  { felt: 'none', key: 's' },
  { felt: 'catchesInward', key: 'i' },
];
const WAVES: readonly { value: Exclude<Cupping, 'unknown'>; label: string }[] = [
  { value: 'none', label: t('tireStop.none') },
  { value: 'some', label: t('tireStop.some') },
  { value: 'heavy', label: t('tireStop.heavy') },
];
/** Letters out of the words, none of them taken by a stroke. */
const DAMAGE_KEYS: Record<Damage | 'heelToe', string> = {
  cords: 'c',
  bulge: 'b',
  cut: 'u',
  puncture: 'p',
  sidewallCrack: 'r',
  flatSpot: 'f',
  heelToe: 'h',
};
/** A flat spot goes right across. */
const HAS_PLACE = (kind: Damage) => kind !== 'flatSpot';
const PUNCTURE_IN: Record<DamageZone, PuncturePlace> = {
  outerSidewall: 'sidewall',
  outer: 'shoulder',
  centre: 'crown',
  inner: 'shoulder',
  innerSidewall: 'sidewall',
};
const PUNCTURE_OPTIONS: readonly { value: PuncturePlace; label: string }[] = [
  { value: 'crown', label: t('tireStop.crown') },
  { value: 'shoulder', label: t('tireStop.shoulder') },
  { value: 'sidewall', label: t('tireStop.sidewall') },
];
/** By place (common practice, no source); the tire maker and local law decide. */
const PUNCTURE_WORDS: Record<PuncturePlace, string> = {
  crown: t('tireStop.smallAndInThe'),
  shoulder: t('tireStop.inTheShoulderIt'),
  sidewall: t('tireStop.inTheSidewallNot'),
};
/** A finger that moves less has tapped, px. */
const TAP_PX = 16;

/** What the hand and the eye find at one tire, on its drawing. */
export function TireStop({ wheel }: { wheel: Wheel }) {
  const { draft, enter, enterAll } = useVisit();
  const from = useRef<number | null>(null);
  const [placing, setPlacing] = useState<Damage | null>(null);
  const tire = draft.tires?.[wheel];
  const extras = draft.visit?.tires?.[wheel] ?? {};
  const damage = tire?.damage ?? [];
  const feather = known(tire?.feather);
  const waves = known(tire?.cupping);
  const side = sideOf(wheel);
  const name = whereWords(wheel);
  const isUnsafe = damage.some((kind) => UNSAFE_DAMAGES.includes(kind));
  const zones = side === 'left' ? DAMAGE_ZONES : DAMAGE_ZONES.toReversed();
  const strokes = side === 'left' ? STROKES : STROKES.toReversed();

  const feel = (felt: Felt) => enter(`tires.${wheel}.feather`, felt === feather ? null : felt);

  function toggle(kind: Damage | 'heelToe'): void {
    if (kind === 'heelToe') {
      enter(`visit.tires.${wheel}.heelToe`, extras.heelToe ? null : true);
      return;
    }
    if (damage.includes(kind)) {
      const left = damage.filter((one) => one !== kind);
      enterAll([
        { path: `tires.${wheel}.damage`, value: left.length > 0 ? left : null },
        ...(extras.damageAt?.[kind]
          ? [{ path: `visit.tires.${wheel}.damageAt.${kind}`, value: null }]
          : []),
      ]);
      setPlacing(null);
      return;
    }
    enter(`tires.${wheel}.damage`, [...damage, kind]);
    setPlacing(HAS_PLACE(kind) ? kind : null);
  }

  function place(zone: DamageZone): void {
    if (!placing) return;
    enterAll([
      { path: `visit.tires.${wheel}.damageAt.${placing}`, value: zone },
      ...(placing === 'puncture'
        ? [{ path: `visit.tires.${wheel}.puncturePlace`, value: PUNCTURE_IN[zone] }]
        : []),
    ]);
    setPlacing(null);
  }

  useHotkeys(
    STROKES.map(({ key }) => key),
    (_event, { hotkey }) => {
      const stroke = STROKES.find(({ key }) => key === hotkey);
      if (stroke) enter(`tires.${wheel}.feather`, stroke.felt);
    },
  );
  useHotkeys('w', () => {
    const at = WAVES.findIndex(({ value }) => value === waves);
    // From not felt to some: none is part of "nothing found here".
    const next = at < 0 ? 1 : (at + 1) % WAVES.length;
    enter(`tires.${wheel}.cupping`, WAVES[next]?.value);
  });
  useHotkeys(Object.values(DAMAGE_KEYS), (_event, { hotkey }) => {
    for (const [kind, key] of Object.entries(DAMAGE_KEYS)) {
      if (key === hotkey) toggle(kind as Damage | 'heelToe');
    }
  });
  useHotkeys('escape', () => setPlacing(null), { enabled: placing !== null });

  function lift({ clientX }: PointerEvent): void {
    const start = from.current;
    from.current = null;
    if (start === null) return;
    const moved = clientX - start;
    if (Math.abs(moved) < TAP_PX) {
      enter(`tires.${wheel}.feather`, 'none');
      return;
    }
    // Away from the car is to the left on a left wheel, seen from behind.
    const isOutward = moved < 0 === (side === 'left');
    enter(`tires.${wheel}.feather`, isOutward ? 'catchesOutward' : 'catchesInward');
  }

  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ position: 'relative' }}>
        <Box
          onPointerDown={({ clientX }) => {
            from.current = clientX;
          }}
          onPointerUp={lift}
          onPointerCancel={() => {
            from.current = null;
          }}
          data-testid="stroke-pad"
          sx={{ touchAction: 'pan-y', userSelect: 'none', cursor: 'ew-resize' }}
        >
          <TireFace
            wheel={wheel}
            tires={sectionTires(draft, null)}
            legalMm={draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal}
            cupping={waves ?? 'unknown'}
            damageAt={extras.damageAt ?? {}}
            label={t('tireStop.theTreadOf', {
              name,
              state:
                stopState(draft, { kind: 'tire', wheel }, FOUND).words || t('tireStop.notFelt'),
            })}
          />
        </Box>
        {placing && (
          <Box
            role="group"
            aria-label={t('tireStop.whereIsThe', { damageWords: FOUND.damages[placing] })}
            sx={{
              position: 'absolute',
              inset: 0,
              display: 'grid',
              gridTemplateColumns: ZONE_SHARES.map((share) => `${share}fr`).join(' '),
            }}
          >
            {zones.map((zone, i) => (
              <Box
                key={zone}
                component="button"
                type="button"
                aria-label={FOUND.damageZones[zone]}
                autoFocus={i === 0}
                onClick={() => place(zone)}
                sx={{
                  border: '2px dashed var(--marker)',
                  background: 'none',
                  cursor: 'crosshair',
                  minWidth: 0,
                }}
              />
            ))}
          </Box>
        )}
      </Box>
      <Typography color="textSecondary" sx={{ fontSize: '0.9rem' }} aria-live="polite">
        {placing
          ? t('tireStop.whereIsThePress', { damageWords: FOUND.damages[placing] })
          : t('tireStop.swipeAcrossTheTread')}
      </Typography>
      <ChoiceGroup label={t('tireStop.acrossTheRibs')}>
        {strokes.map(({ felt, key }) => (
          <ToggleButton
            key={felt}
            value={felt}
            selected={felt === feather}
            onChange={() => feel(felt)}
            sx={{ gap: 1, px: 1.25 }}
          >
            <ToothMark felt={felt} side={side} />
            {sentence(FOUND.feathers[felt])}
            <KeyHint>{key.toUpperCase()}</KeyHint>
          </ToggleButton>
        ))}
      </ChoiceGroup>
      <Choice
        label={t('tireStop.wavesAlongTheTread')}
        letter="W"
        options={WAVES}
        value={waves}
        onChange={(value) => enter(`tires.${wheel}.cupping`, value)}
      />
      <ChoiceGroup label={t('tireStop.damage')}>
        {([...DAMAGES, 'heelToe'] as const).map((kind) => (
          <ToggleButton
            key={kind}
            value={kind}
            selected={kind === 'heelToe' ? extras.heelToe === true : damage.includes(kind)}
            onChange={() => toggle(kind)}
            sx={{ gap: 0.75, px: 1.25 }}
          >
            {kind === 'heelToe' ? t('tireStop.heelAndToe') : sentence(FOUND.damages[kind])}
            <KeyHint>{DAMAGE_KEYS[kind].toUpperCase()}</KeyHint>
          </ToggleButton>
        ))}
      </ChoiceGroup>
      {damage.filter(HAS_PLACE).some((kind) => kind !== placing && !extras.damageAt?.[kind]) && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {damage
            .filter((kind) => HAS_PLACE(kind) && !extras.damageAt?.[kind] && kind !== placing)
            .map((kind) => (
              <Button key={kind} variant="text" onClick={() => setPlacing(kind)}>
                {t('tireStop.whereIsThe', { damageWords: FOUND.damages[kind] })}
              </Button>
            ))}
        </Box>
      )}
      {damage.includes('puncture') && (
        <Box>
          <Choice
            label={t('tireStop.thePunctureIsIn')}
            options={PUNCTURE_OPTIONS}
            value={extras.puncturePlace ?? null}
            onChange={(value) => enter(`visit.tires.${wheel}.puncturePlace`, value)}
          />
          {extras.puncturePlace && (
            <Typography sx={{ mt: 0.5 }}>{PUNCTURE_WORDS[extras.puncturePlace]}</Typography>
          )}
        </Box>
      )}
      {damage.includes('sidewallCrack') && (
        <Typography>{t('tireStop.fineCracksAreAge')}</Typography>
      )}
      <Photos subject={t('tireStop.tire', { wheel })} label={name} />
      {isUnsafe && <Notice kind="caution">{t('tireStop.notSafeToDrive')}</Notice>}
    </Box>
  );
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function known<T extends string>(value: T | undefined): Exclude<T, 'unknown'> | null {
  return value === undefined || value === 'unknown' ? null : (value as Exclude<T, 'unknown'>);
}
