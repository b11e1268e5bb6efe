import type { Session, Study } from '@keen/contract';
import { readDepthText, studyDeal } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useRef, useState } from 'react';
import { useSaveStudyReadingMutation } from '../../api/gaugesApi.ts';
import { failureOf } from '../../api/problem.ts';
import { GaugeBar } from '../../devices/GaugeBar.tsx';
import { useGauge } from '../../devices/useGauge.ts';
import type { GaugeSource } from '../../devices/useGauge.ts';
import { DEPTH_UNIT_WORDS } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { nameOf } from '../../shared/nameOf.ts';
import { t } from '../../words/gauges.ts';

interface StudyReaderProps {
  session: Session;
  study: Study;
  /** Whose turn it is, by place. */
  person: number;
  onDone: () => void;
}

const FULL = 100;

/** One person's readings, mark by mark as dealt; nothing that was read before is shown. */
export function StudyReader({ session, study, person, onDone }: StudyReaderProps) {
  const { id, seed, trials, marks, readIn, readings } = study;
  const [keep, { isLoading, error }] = useSaveStudyReadingMutation();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [source, setSource] = useState<GaugeSource>(null);
  const field = useRef<HTMLInputElement>(null);
  const deal = useMemo(
    () => studyDeal(seed, person, { trials, marks: marks.length }),
    [seed, person, trials, marks.length],
  );
  const isRead = (trial: number, mark: number) =>
    readings.some((one) => one.person === person && one.trial === trial && one.mark === mark);
  const at = deal.findIndex(({ trial, mark }) => !isRead(trial, mark));
  const turn = deal[at] ?? null;
  const done = deal.filter(({ trial, mark }) => isRead(trial, mark)).length;
  const last = at < 0 ? deal.at(-1)! : (deal[at - 1] ?? null);

  async function take(mm: number): Promise<void> {
    if (!turn || isLoading) return;
    setFault(null);
    const result = await keep({ id, reading: { person, ...turn, mm } });
    // What was not saved stays in the field.
    if (result.data) setText('');
    field.current?.focus();
  }

  async function readGaugeText(typed: string): Promise<void> {
    const mm = readDepthText(typed, readIn);
    if (mm === null) {
      setFault(
        t('studyReader.aDepthIn', {
          unit: DEPTH_UNIT_WORDS[readIn],
          example: readIn === 'mm' ? '5.3' : '7',
        }),
      );
      return;
    }
    setText(typed);
    await take(mm);
  }

  async function undoLast(): Promise<void> {
    if (!last) return;
    await keep({ id, reading: { person, ...last, mm: null } });
    field.current?.focus();
  }

  const line = useGauge({
    source,
    onReading: (mm) => void take(mm),
    onOutOfRange: () => setFault(t('studyReader.theGaugeWasPressed')),
    onText: (sent) => void readGaugeText(sent),
  });

  return (
    <Box sx={{ display: 'grid', gap: 3, maxWidth: 560, mx: 'auto', pt: { md: 3 } }}>
      <Box>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
          <Typography variant="h3" component="h2" color="textSecondary" sx={{ flex: 1 }}>
            {t('studyReader.readsOf', {
              session: nameOf(session, study.people[person]!),
              done,
              length: deal.length,
            })}
          </Typography>
          <Button variant="text" onClick={onDone}>
            {turn ? t('studyReader.pause') : t('studyReader.backToTheStudy')}
          </Button>
        </Box>
        <LinearProgress
          variant="determinate"
          value={(FULL * done) / deal.length}
          aria-label={t('studyReader.readingsTaken')}
        />
      </Box>
      {turn ? (
        <Box
          component="form"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void readGaugeText(text);
          }}
          sx={{ display: 'grid', gap: 2 }}
        >
          <Box aria-live="polite">
            <Typography color="textSecondary">
              {t('studyReader.timeOf', { trial: turn.trial + 1, trials })}
            </Typography>
            <Typography
              className="condensed"
              component="p"
              sx={{ fontSize: { xs: '2.4rem', md: '3rem' }, fontWeight: 700, lineHeight: 1.1 }}
            >
              {marks[turn.mark]}
            </Typography>
          </Box>
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start' }}>
            <TextField
              inputRef={field}
              autoFocus
              label={t('studyReader.depth', { depthUnitWords: DEPTH_UNIT_WORDS[readIn] })}
              value={text}
              error={fault !== null}
              helperText={fault}
              autoComplete="off"
              onChange={({ target }) => {
                setText(target.value);
                setFault(null);
              }}
              slotProps={{
                htmlInput: { inputMode: 'decimal', style: { fontSize: '1.8rem', padding: 12 } },
                inputLabel: { shrink: true },
              }}
              sx={{ flex: 1 }}
            />
            <Button
              type="submit"
              variant="contained"
              disabled={isLoading || text.trim() === ''}
              sx={{ minHeight: 62, px: 3 }}
            >
              {t('studyReader.nextMark')}
            </Button>
          </Box>
          <GaugeBar line={line} fault={null} onSource={setSource} />
        </Box>
      ) : (
        <Typography variant="h1" component="p">
          {t('studyReader.allReadThankYou')}
        </Typography>
      )}
      {error && (
        <Notice kind="caution">{t('studyReader.notSaved', { text: failureOf(error).text })}</Notice>
      )}
      {last && done > 0 && (
        <Box>
          <Button
            variant="text"
            sx={{ px: 0 }}
            disabled={isLoading}
            onClick={() => void undoLast()}
          >
            {t('studyReader.takeBackTheLast')}
          </Button>
        </Box>
      )}
    </Box>
  );
}
