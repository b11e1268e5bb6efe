import {} from '@keen/contract/words';
import type { ClosingPoint, Complaint, SetupState } from '@keen/contract';
import { closingList, closingWords } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { AnswerRow } from '../../shared/AnswerRow.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { COMPLAINT_WORDS } from '../../shared/complaintWords.ts';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/setRight.ts';
import { setRightTexts } from '../../words/core/setRight.ts';

const STATES = [
  { value: 'done', label: t('closing.done') },
  { value: 'notNeeded', label: t('closing.doesNotApply') },
] as const satisfies readonly { value: SetupState; label: string }[];
/** Fasteners are looked at again after this distance (common practice, no source). */
const USUAL_RECHECK_KM = 100;

/** What is done, and kept, before the car is given back. */
export function Closing() {
  const { draft, enter } = useVisit();
  const { closing = {}, complaintGone = {}, recheckKm = null } = draft.visit?.setRight ?? {};
  const items = closingList(draft);
  const open = items.filter(({ point }) => !closing[point]).length;
  const set = (point: ClosingPoint, state: SetupState | null) =>
    enter(`visit.setRight.closing.${point}`, state);
  return (
    <Box component="section" aria-labelledby="closing-title">
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline' }}>
        <Typography variant="h2" component="h3" id="closing-title" sx={{ mb: 0.5 }}>
          {t('closing.beforeItIsGiven')}
        </Typography>
        <Typography color="textSecondary" role="status">
          {open === 0
            ? t('closing.allAnswered')
            : t('closing.ofOpen', { open, length: items.length })}
        </Typography>
      </Box>
      {items
        .map((item) => ({ point: item.point, ...closingWords(item, setRightTexts) }))
        .map(({ point, words, details, caution }) => (
          <AnswerRow key={point}>
            <Box>
              {words}
              {details.map((detail) => (
                <Box key={detail} sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                  {detail}
                </Box>
              ))}
              {caution && (
                <Box sx={{ fontSize: '0.85rem' }}>
                  <Box component="strong" sx={{ color: 'var(--marker)' }}>
                    {t('closing.caution')}
                  </Box>{' '}
                  {caution}
                </Box>
              )}
            </Box>
            <Choice
              label={words}
              hideLabel
              dense
              options={STATES}
              value={(closing[point] as (typeof STATES)[number]['value'] | undefined) ?? null}
              onChange={(state) => set(point, state)}
            />
          </AnswerRow>
        ))}
      {(draft.complaints ?? []).map((complaint: Complaint) => (
        <AnswerRow key={complaint}>
          <Box>
            <Rich
              text={t('closing.complaintIs', {
                complaint: COMPLAINT_WORDS[complaint].toLowerCase(),
              })}
            />
          </Box>
          <Choice
            label={t('closing.complaint', { complaintWords: COMPLAINT_WORDS[complaint] })}
            hideLabel
            dense
            options={[
              { value: 'gone', label: t('closing.gone') },
              { value: 'stays', label: t('closing.stillThere') },
            ]}
            value={
              complaintGone[complaint] === undefined
                ? null
                : complaintGone[complaint]
                  ? 'gone'
                  : 'stays'
            }
            onChange={(value) =>
              enter(
                `visit.setRight.complaintGone.${complaint}`,
                value === null ? null : value === 'gone',
              )
            }
          />
        </AnswerRow>
      ))}
      <AnswerRow>
        <Box>
          {t('closing.lookedAtAgain')}
          <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
            {t('closing.kmIsUsualFor', { usualRecheckKm: USUAL_RECHECK_KM })}
          </Box>
        </Box>
        <Box sx={{ width: 150 }}>
          <NumberField
            label={t('closing.recheckAfter')}
            unit="km"
            value={recheckKm}
            min={1}
            max={100_000}
            decimals={0}
            onChange={(km) => enter('visit.setRight.recheckKm', km)}
          />
        </Box>
      </AnswerRow>
    </Box>
  );
}
