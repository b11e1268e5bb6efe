import type { Units } from '@keen/contract';
import { LAB_EVENTS } from '@keen/core/lab';
import type { LabEvent, LabEventKind } from '@keen/core/lab';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { showDistance, showFar } from '../../shared/format.ts';
import { MOST_EVENTS, MOST_KM } from './labSetup.ts';
import { t } from '../../words/wearLab.ts';

const EVENT_WORDS: Record<LabEventKind, { do: string; done: string }> = {
  rotate: { do: t('timeBar.rotateHere'), done: t('timeBar.rotated') },
  align: { do: t('timeBar.alignHere'), done: t('timeBar.aligned') },
  inflate: { do: t('timeBar.setPressuresHere'), done: t('timeBar.pressuresSet') },
  parts: { do: t('timeBar.newPartsHere'), done: t('timeBar.newJointsAndDampers') },
};
/** The step of the slider, km. */
const STEP_KM = 250;

interface TimeBarProps {
  km: number;
  events: readonly LabEvent[];
  units: Units;
  isPlaying: boolean;
  onPlay: () => void;
  onKm: (km: number) => void;
  onEvents: (events: LabEvent[]) => void;
}

/** Distance to scrub or to let run, with what is done on the way. */
export function TimeBar({ km, events, units, isPlaying, onPlay, onKm, onEvents }: TimeBarProps) {
  const add = (kind: LabEventKind) => {
    const event = { kind, atKm: Math.round(km) };
    onEvents([...events, event].toSorted((a, b) => a.atKm - b.atKm));
  };
  return (
    <Box component="section" aria-label={t('timeBar.distance')}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'auto 1fr', sm: 'auto minmax(0, 1fr) auto' },
          alignItems: 'center',
          columnGap: 2.5,
        }}
      >
        <Button
          variant="contained"
          onClick={onPlay}
          sx={{ minWidth: 92 }}
          aria-keyshortcuts={t('timeBar.space')}
        >
          {isPlaying ? t('timeBar.stop') : t('timeBar.drive')}
        </Button>
        <Slider
          aria-label={t('timeBar.distanceDriven')}
          value={km}
          min={0}
          max={MOST_KM}
          step={STEP_KM}
          shiftStep={10 * STEP_KM}
          marks={events.map(({ atKm }) => ({ value: atKm }))}
          getAriaValueText={(value) => `${showDistance(value, units.distance)} ${units.distance}`}
          onChange={(_, next) => onKm(next)}
          // On a phone in a row of its own, under the button and the figure.
          sx={{
            gridRow: { xs: 2, sm: 1 },
            gridColumn: { xs: '1 / -1', sm: 2 },
            mx: { xs: 1.25, sm: 0 },
            width: 'auto',
          }}
        />
        <Box
          className="condensed"
          sx={{
            fontSize: '1.7rem',
            fontWeight: 700,
            whiteSpace: 'nowrap',
            minWidth: 128,
            textAlign: 'right',
            gridRow: 1,
            gridColumn: { xs: 2, sm: 3 },
          }}
        >
          {showDistance(km, units.distance)}{' '}
          <Box component="span" sx={{ fontSize: '1rem', fontWeight: 500 }}>
            {units.distance}
          </Box>
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', ml: { md: 14 } }}>
        {LAB_EVENTS.map((kind) => (
          <Button
            key={kind}
            variant="text"
            sx={{ minHeight: 40 }}
            disabled={km === 0 || events.length >= MOST_EVENTS}
            onClick={() => add(kind)}
          >
            {EVENT_WORDS[kind].do}
          </Button>
        ))}
      </Box>
      {events.length > 0 && (
        <Box
          component="ul"
          aria-label={t('timeBar.doneOnTheWay')}
          sx={{
            listStyle: 'none',
            p: 0,
            m: 0,
            mt: 0.5,
            display: 'flex',
            flexWrap: 'wrap',
            columnGap: 2.5,
          }}
        >
          {events.map((event, i) => (
            <Box
              component="li"
              key={`${event.kind} ${event.atKm} ${i}`}
              sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}
            >
              {showFar(event.atKm, units.distance)} {units.distance}: {EVENT_WORDS[event.kind].done}
              <Button
                variant="text"
                sx={{ px: 0.75, minWidth: 0 }}
                aria-label={t('timeBar.takeOutAt', {
                  done: EVENT_WORDS[event.kind].done,
                  atKm: showFar(event.atKm, units.distance),
                  distance: units.distance,
                })}
                onClick={() => onEvents(events.filter((one) => one !== event))}
              >
                ×
              </Button>
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
